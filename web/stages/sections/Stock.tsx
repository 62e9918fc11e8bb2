'use client';

import { useEffect, useRef, type ReactNode } from 'react';
import styled from 'styled-components';
import { useStore } from 'zustand';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Member } from '@rigid-beam/core/model/model';
import { chosenOf } from '../../editor/chosen';
import { GIVEN } from '../../editor/catalogue/words';
import { useEditor, useEditorState, useModel } from '../../editor/use-editor';
import type { SheetController } from '../../sheet/controller';
import { ApplyTool } from '../../sheet/tools/apply-tool';
import { Button, Hint, Row, Stack, ToggleButton } from '../../ui/controls';
import { STOCK } from './words';

/** One of what members are made of. */
export interface StockItem {
  readonly id: string;
  readonly picture?: ReactNode;
  /** What it is, in a few figures. */
  readonly note: string;
  /** Beside what can be done with it: its neighbours in the catalogue. */
  readonly more?: () => ReactNode;
  /** What can be changed of it. */
  readonly editor: () => ReactNode;
}

interface StockProps {
  readonly sheet: SheetController;
  readonly list: 'sections' | 'materials';
  readonly items: readonly StockItem[];
}

const Card = styled(ToggleButton)`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  justify-content: stretch;
  align-items: center;
  gap: 0.1rem 0.5rem;
  width: 100%;
  padding: 0.25rem 0.5rem;
  background: var(--paper);
  text-align: left;
  white-space: normal;
  b {
    overflow-wrap: anywhere;
  }
  small {
    grid-column: 2 / -1;
    font-size: 0.72rem;
  }
  svg {
    grid-row: 1 / 3;
  }
  &:not(:has(svg)) {
    grid-template-columns: minmax(0, 1fr) auto;
    small {
      grid-column: 1 / -1;
    }
  }
`;

/** Sections or materials as they stand on a shelf: one is taken in hand, and members that are clicked get it; it is changed in place below. */
export function Stock({ sheet, list, items }: StockProps) {
  const editor = useEditor();
  const model = useModel();
  const key = list === 'sections' ? 'section' : 'material';
  const prefix = `${key} `;
  const tool = useStore(sheet.store, (state) => state.tool.name);
  const selection = useEditorState((state) => state.selection);
  const held = tool.startsWith(prefix) ? tool.slice(prefix.length) : undefined;
  const selected = new Set(chosenOf(selection).members);
  const users = (id: string): Member[] => model.members.filter((member) => member[key] === id);
  const given = (members: readonly Member[], id: string): Intent[] =>
    members.map((member) => ({ type: 'put', list: 'members', entry: { ...member, [key]: id }, key: member.id }));
  const take = (id: string): void =>
    sheet.take(
      new ApplyTool(sheet, {
        name: prefix + id,
        hint: STOCK.hint(id),
        on: 'member',
        intent: (current, targets) => {
          const wanted = new Set(targets);
          const intents = given(
            current.members.filter((member) => wanted.has(member.id) && member[key] !== id),
            id,
          );
          return intents.length > 1 ? { type: 'batch', intents, label: GIVEN(id, intents.length) } : intents[0];
        },
      }),
    );
  const assign = (id: string): void => {
    const intents = given(
      model.members.filter((member) => selected.has(member.id)),
      id,
    );
    editor.edit({ type: 'batch', intents, label: GIVEN(id, intents.length) });
  };
  // Given another name while it is in hand, it stays there.
  const ids = items.map(({ id }) => id).join('\n');
  const before = useRef(ids);
  useEffect(() => {
    const [old, now] = [before.current.split('\n'), ids.split('\n')];
    before.current = ids;
    if (held === undefined || now.includes(held) || !old.includes(held)) return;
    const renamed = now.find((id) => !old.includes(id));
    if (renamed !== undefined && now.length === old.length) take(renamed);
    else sheet.takeSelect();
  });
  if (items.length === 0) return <Hint>{STOCK.none}</Hint>;
  return (
    <Stack>
      {items.map(({ id, picture, note, more, editor: change }) => {
        const count = users(id).length;
        return (
          <Stack key={id} role="group" aria-label={`${key} ${id}`}>
            <Card
              isSelected={held === id}
              onChange={(on) => (on ? take(id) : sheet.takeSelect())}
              aria-label={`${id}, ${note}, ${STOCK.members(count)}`}
            >
              {picture}
              <b>{id}</b>
              <span>{STOCK.members(count)}</span>
              <small className="number">{note}</small>
            </Card>
            {held === id && (
              <>
                <Row>
                  {selected.size > 0 && <Button onPress={() => assign(id)}>{STOCK.assign(id, selected.size)}</Button>}
                  {count > 0 && (
                    <Button onPress={() => editor.select(users(id).map((member) => ({ kind: 'member', id: member.id })))}>
                      {STOCK.select(count)}
                    </Button>
                  )}
                  {count === 0 && (
                    <Button
                      onPress={() => {
                        sheet.takeSelect();
                        editor.edit({ type: 'remove', list, keys: [id] });
                      }}
                    >
                      {STOCK.remove(id)}
                    </Button>
                  )}
                </Row>
                {more?.()}
                {change()}
              </>
            )}
          </Stack>
        );
      })}
    </Stack>
  );
}
