'use client';

import { displayOf } from '@rigid-beam/core/quantities/display';
import { memo, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { ComboBox, Input, ListBox, ListBoxItem, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { commandsFor } from '../commands/all';
import { lacking, matching, type Command } from '../commands/command';
import { carriedOut, entered, keyInField, leadsToCommands, saidBack, type Came } from '../commands/typing';
import { useEditor, useEditorState } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { overFace } from '../ui/controls';
import { stageCommands } from './stages';
import { commandField as WORDS } from './words';

const Box = styled(ComboBox<Command>)`
  position: relative;
  flex: 0 1 7.5rem;
  min-width: 5rem;
  min-height: 1.55rem;
`;

/** It grows over what stands left of it, which keeps its place. */
const Field = styled(Input)`
  position: absolute;
  right: 0;
  z-index: 1;
  width: 100%;
  min-height: 1.55rem;
  &:focus {
    width: 16rem;
    max-width: 80vw;
  }
  padding: 0.05rem 0.5rem;
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
  background: var(--paper);
  color: var(--ink);
`;

const Drop = styled(Popover)`
  width: 26rem;
  max-width: 90vw;
  ${overFace}
`;

const List = styled(ListBox<Command>)`
  max-height: 24rem;
  overflow-y: auto;
`;

const Choice = styled(ListBoxItem)`
  padding: 0.25rem 0.6rem;
  white-space: normal;
  cursor: default;
  &[data-focused],
  &[data-hovered] {
    background: var(--hover);
  }
  small {
    display: block;
    color: var(--soft);
  }
`;

/** While nobody looks at the list there is none to keep. */
const NONE: readonly Command[] = [];

const None = styled.p`
  padding: 0.25rem 0.6rem;
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
export const CommandField = memo(function CommandField({ sheet }: { readonly sheet: SheetController | undefined }) {
  const editor = useEditor();
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState<string>();
  const field = useRef<HTMLInputElement>(null);
  // What can be done depends on the selection and on the model: the list is found anew when they change.
  const [isOpen, setIsOpen] = useState(false);
  const selection = useEditorState((state) => (isOpen ? state.selection : undefined));
  useEditorState((state) => (isOpen ? state.model : undefined));
  const lookUp = (typed: string): readonly Command[] =>
    sheet
      ? matching([...commandsFor(displayOf(sheet.editor.state.model)), ...stageCommands], typed).filter(
          (command) => command.fits?.(sheet) ?? true,
        )
      : NONE;
  const found = isOpen ? lookUp(text) : NONE;

  const { said, completion } = saidBack(found[0], sheet, text);

  useEffect(() => {
    const onKey = (event: globalThis.KeyboardEvent): void => {
      const isInText = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      const { key, ctrlKey, metaKey, altKey, isTrusted } = event;
      const pressed = { key, ctrlKey, metaKey, altKey, isTrusted, isInText, hasDialog: Boolean(editor.state.dialog) };
      if (!leadsToCommands(pressed)) return;
      event.preventDefault();
      field.current?.focus();
    };
    // Before any field: one that searches keeps its keys to itself.
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, [editor]);

  // Enter that came before there was a sheet to do anything on is kept for it.
  const isWaiting = useRef(false);
  const write = (next: string): void => {
    isWaiting.current = false;
    setText(next);
    setTrouble(undefined);
  };
  const leave = (): void => {
    write('');
    field.current?.blur();
  };
  const follow = (came: Came | undefined): void => {
    if (came?.of === 'done') leave();
    else if (came?.of === 'text') write(came.text);
    else if (came) setTrouble(came.words);
  };
  /** What Enter does with what is typed, whether or not its list is open: a window that was left for a moment has closed it. */
  const enter = (): void => {
    if (sheet) follow(entered(found[0] ?? lookUp(text)[0], sheet, text));
  };
  useEffect(() => {
    if (!sheet || !isWaiting.current) return;
    isWaiting.current = false;
    enter();
  });
  const onKey = (event: KeyboardEvent): void => {
    const isChosen = field.current?.hasAttribute('aria-activedescendant') === true;
    const does = keyInField({ key: event.key, isChosen, hasCompletion: completion !== undefined });
    if (!does) return;
    if (does === 'complete') write(completion!.text);
    else if (does === 'leave') leave();
    else if (sheet) enter();
    else isWaiting.current = true;
    event.preventDefault();
    event.stopPropagation();
  };

  return (
    <Box
      aria-label={WORDS.command}
      menuTrigger="focus"
      allowsCustomValue
      allowsEmptyCollection
      inputValue={text}
      onInputChange={(next) => {
        // What is typed is looked up, whether or not the window has told that it has the focus.
        setIsOpen(true);
        write(next);
      }}
      items={found}
      selectedKey={null}
      onSelectionChange={(key) => {
        const command = found.find(({ name }) => name === key);
        if (command && sheet) follow(carriedOut(command, sheet, text));
      }}
    >
      <div onKeyDownCapture={onKey} onFocus={() => setIsOpen(true)} onBlur={() => setIsOpen(false)}>
        <Field ref={field} placeholder="/ command" autoComplete="off" spellCheck={false} />
      </div>
      <Drop placement="bottom start" offset={0}>
        {trouble === undefined && said && (
          <Said role="status" data-good={said.isGood}>
            {said.words}
            {completion !== undefined && ` · Tab: ${completion.keyword}`}
          </Said>
        )}
        {trouble !== undefined && <Trouble role="alert">{trouble}</Trouble>}
        <List dependencies={[selection, said, trouble]} renderEmptyState={() => <None>{WORDS.none}</None>}>
          {(command) => (
            <Choice id={command.name} textValue={command.name}>
              {command.name}
              {command.notation && <small>{command.notation}</small>}
              {sheet && !said && trouble === undefined && lacking(command, sheet) && <small>{lacking(command, sheet)}</small>}
            </Choice>
          )}
        </List>
      </Drop>
    </Box>
  );
});
