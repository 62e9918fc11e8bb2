'use client';

import { useState } from 'react';
import { Heading } from 'react-aria-components';
import styled from 'styled-components';
import type { Model } from '@rigid-beam/core/model/model';
import { takableKinds, takables, type TakableKind } from '@rigid-beam/core/tables/taking/takable';
import type { Taken } from '@rigid-beam/core/tables/taking/take-tables';
import type { Understood } from '@rigid-beam/core/tables/taking/heads';
import { useEditor, useEditorState } from '../editor/use-editor';
import { Button, Hint, PlainButton, Select, Stack, ToggleButton } from '../ui/controls';
import { DialogDesk, DialogHead, DialogSide } from '../ui/WideDialog';
import { Foot, Trouble } from './faces';
import { TakenRows } from './TakenRows';
import { useTaking } from './use-taking';
import { fileDialog as FILE, tablesDialog as WORDS } from './words';

const NONE = '';

const Sheet = styled(Stack)`
  padding-bottom: 0.6rem;
  border-bottom: 1px solid var(--rule);
  > button {
    justify-content: space-between;
  }
`;

/** Tables of a file, looked at before any row of them is taken. */
export function TablesOfFile({ file, onClose }: { readonly file: File; readonly onClose: () => void }) {
  const editor = useEditor();
  const model = useEditorState((state) => state.model);
  const { tables, taken, trouble, change, changeKind } = useTaking(file, model);
  const [at, setAt] = useState(0);
  const [refused, setRefused] = useState<string>();
  const table = tables?.[at];
  const take = ({ intent }: Taken): void => {
    if (!intent) return;
    const fault = editor.refusalOf(intent)[0]?.message;
    if (fault !== undefined || !editor.edit(intent)) return setRefused(fault);
    onClose();
  };
  return (
    <>
      <DialogHead>
        <Heading slot="title">{FILE.title(file.name)}</Heading>
        <PlainButton onPress={onClose}>{FILE.close}</PlainButton>
      </DialogHead>
      <DialogSide role="group" aria-label={WORDS.tables}>
        {tables?.map((one, i) => (
          <Sheet key={i}>
            <ToggleButton isSelected={i === at} onChange={() => setAt(i)}>
              <span>{one.grid.title}</span>
              <small>{WORDS.rows(one.grid.rows.length - one.first)}</small>
            </ToggleButton>
            <Select
              label={WORDS.takenAs}
              value={one.kind ?? NONE}
              choices={[
                ...takableKinds.map((kind) => ({ id: kind, text: takables[kind].words })),
                { id: NONE, text: WORDS.notTaken },
              ]}
              onChange={(kind) => changeKind(i, kind === NONE ? undefined : (kind as TakableKind))}
            />
          </Sheet>
        ))}
      </DialogSide>
      <DialogDesk>
        {trouble !== undefined ? (
          <Trouble role="alert">{trouble}</Trouble>
        ) : table ? (
          <TakenRows
            key={at}
            table={table}
            model={model}
            rows={taken?.rows[at]}
            onChange={(columns) => change(at, { ...table, columns })}
          />
        ) : (
          <Trouble as={Hint}>{WORDS.reading}</Trouble>
        )}
        {tables && <TakeIt taken={taken} refused={refused} model={model} tables={tables} onTake={take} />}
      </DialogDesk>
    </>
  );
}

interface TakeItProps {
  readonly taken: Taken | undefined;
  readonly refused: string | undefined;
  readonly model: Model;
  readonly tables: readonly Understood[];
  readonly onTake: (taken: Taken) => void;
}

function TakeIt({ taken, refused, onTake }: TakeItProps) {
  const count = taken ? taken.counts.new + taken.counts.changed : 0;
  return (
    <Foot>
      <Hint role="status" data-testid="taken">
        {refused ?? (taken ? `${WORDS.summary(taken.counts)}.` : WORDS.reading)}
      </Hint>
      <Button isDisabled={!taken?.intent} onPress={() => taken && onTake(taken)}>
        {taken && taken.counts.faulty > 0 ? WORDS.takeWithout(count, taken.counts.faulty) : WORDS.take(count)}
      </Button>
    </Foot>
  );
}
