'use client';

import { useEffect, useId, useRef, useState } from 'react';
import styled from 'styled-components';
import { commands } from '../commands/all';
import { behind, lacking, matching, onEnter, type Command } from '../commands/command';
import { keywordsLeft } from '../commands/grammar';
import { useEditorState } from '../session/use-editor';
import type { SheetController } from '../sheet/controller';
import { overFace } from '../ui/controls';
import { stageCommands } from './stages';

const known: readonly Command[] = [...commands, ...stageCommands];

const Box = styled.div`
  position: relative;
  flex: 0 1 21rem;
  min-width: 9rem;
`;

const Field = styled.input`
  width: 100%;
  min-height: 1.7rem;
  padding: 0.1rem 0.5rem;
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
  background: var(--paper);
  color: var(--ink);
`;

const Drop = styled.div`
  position: absolute;
  z-index: 20;
  top: 100%;
  left: 0;
  width: 26rem;
  max-width: 90vw;
  ${overFace}
`;

const List = styled.ul`
  max-height: 24rem;
  overflow-y: auto;
`;

const Choice = styled.li`
  padding: 0.25rem 0.6rem;
  white-space: normal;
  &[aria-selected='true'] {
    background: var(--hover);
  }
  small {
    display: block;
    color: var(--soft);
  }
`;

const Said = styled.p`
  padding: 0.3rem 0.6rem;
  color: var(--attention);
  white-space: normal;
  &[data-good='true'] {
    color: var(--good);
  }
`;

const Trouble = styled.p`
  padding: 0.3rem 0.6rem;
  color: var(--fault);
  white-space: normal;
`;

/** Every action by its name: `/` comes here, typing finds it, and what stands behind the name is what it works with. */
export function CommandField({ sheet }: { readonly sheet: SheetController | undefined }) {
  const [text, setText] = useState('');
  const [open, setOpen] = useState(false);
  const [at, setAt] = useState(0);
  const [trouble, setTrouble] = useState<string>();
  /** Whether the one in hand was taken from the list, by arrow keys. */
  const [isChosen, setIsChosen] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const list = useRef<HTMLUListElement>(null);
  const id = useId();
  // What can be done depends on the selection and on the model: the list is found anew when they change.
  useEditorState((state) => state.selection);
  useEditorState((state) => state.model);
  const found: readonly Command[] = sheet && open ? matching(known, text).filter((command) => command.fits?.(sheet) ?? true) : [];
  const current = Math.min(at, found.length - 1);

  // What is typed behind a name is said back before Enter.
  const named = found[0];
  const typed = named && text.trim().toLowerCase().startsWith(named.name.toLowerCase()) ? behind(named, text) : undefined;
  const said = sheet && named?.preview && typed !== undefined && typed !== '' ? named.preview(sheet, typed) : undefined;
  const [completion] = named?.keywords && typed !== undefined && typed !== '' ? keywordsLeft(named.keywords, typed) : [];

  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      // In a field a stroke divides; with Control it leads here from there too.
      if (event.key !== '/' || (typing && !event.ctrlKey) || event.metaKey || event.altKey) return;
      event.preventDefault();
      field.current?.focus();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  useEffect(() => {
    list.current?.children[current]?.scrollIntoView({ block: 'nearest' });
  }, [current]);

  const close = (): void => {
    setText('');
    setOpen(false);
    setAt(0);
    setIsChosen(false);
    setTrouble(undefined);
  };
  const choose = (next: number): void => {
    setAt(next);
    setIsChosen(true);
  };
  const fillIn = (command: Command): void => {
    setText(`${command.name} `);
    setAt(0);
    setTrouble(undefined);
    field.current?.focus();
  };
  const run = (command: Command): void => {
    if (!sheet) return;
    const rest = behind(command, text);
    // The name is filled in, and what follows is typed behind it.
    if (command.notation && rest === '' && text.trim().toLowerCase() !== command.name.toLowerCase()) return fillIn(command);
    const refused = lacking(command, sheet) ?? command.run(sheet, rest);
    setTrouble(refused);
    if (refused !== undefined) return;
    close();
    field.current?.blur();
  };

  return (
    <Box>
      <Field
        ref={field}
        role="combobox"
        aria-label="Command"
        aria-expanded={open}
        aria-controls={id}
        aria-activedescendant={open && found[current] ? `${id}-${current}` : undefined}
        placeholder="Command: press /"
        autoComplete="off"
        spellCheck={false}
        value={text}
        onFocus={() => setOpen(true)}
        onBlur={() => setOpen(false)}
        onChange={(event) => {
          setText(event.target.value);
          setAt(0);
          setIsChosen(false);
          setTrouble(undefined);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') choose(Math.min(current + (isChosen || text !== '' ? 1 : 0), found.length - 1));
          else if (event.key === 'ArrowUp') choose(Math.max(current - 1, 0));
          else if (event.key === 'Tab' && completion !== undefined) setText(`${text.trimEnd()} ${completion} `);
          else if (event.key === 'Enter') {
            const command = found[current];
            const what = !command ? 'nothing' : isChosen ? 'run' : onEnter(command, text);
            if (command && what === 'run') run(command);
            else if (command && what === 'fill in') fillIn(command);
          } else if (event.key === 'Escape') {
            close();
            field.current?.blur();
          } else return;
          event.preventDefault();
          event.stopPropagation();
        }}
      />
      {open && (
        <Drop onPointerDown={(event) => event.preventDefault()}>
          {trouble === undefined && said && (
            <Said role="status" data-good={said.isGood}>
              {said.words}
              {completion !== undefined && ` · Tab: ${completion}`}
            </Said>
          )}
          {trouble !== undefined && <Trouble role="alert">{trouble}</Trouble>}
          <List ref={list} role="listbox" id={id} aria-label="Commands">
            {found.map((command, i) => (
              <Choice
                key={command.name}
                role="option"
                id={`${id}-${i}`}
                aria-selected={i === current}
                onPointerEnter={() => setAt(i)}
                onClick={() => run(command)}
              >
                {command.name}
                {command.notation && <small>{command.notation}</small>}
                {sheet && !said && trouble === undefined && lacking(command, sheet) && <small>{lacking(command, sheet)}</small>}
              </Choice>
            ))}
            {found.length === 0 && (
              <Choice role="option" aria-selected={false}>
                No command of this name fits here.
              </Choice>
            )}
          </List>
        </Drop>
      )}
    </Box>
  );
}
