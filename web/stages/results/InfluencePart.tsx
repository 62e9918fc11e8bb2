'use client';

import { placeText } from '@rigid-beam/core/model/parameters/place';
import { Fragment } from 'react';
import styled from 'styled-components';
import { isFound, type InfluenceAsked, type InfluenceFound } from '@rigid-beam/core/influence/asked';
import { standingLoad, travellingTrain } from '@rigid-beam/core/influence/standing-load';
import { worstOf } from '@rigid-beam/core/results/travelling/worst';
import { DOWN } from '@rigid-beam/core/results/travelling/path';
import { nextNumber } from '@rigid-beam/core/model/edits/next-id';
import type { Axles, Train } from '@rigid-beam/core/model/train';
import type { Point } from '@rigid-beam/core/model/point';
import { inReaderOrder, structureAxis } from '@rigid-beam/core/quantities/axis-names';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { influenceTable, worstTable, type InfluenceRow, type WorstRow } from '@rigid-beam/core/tables/influence/influence';
import { asTold, effectWords } from '@rigid-beam/core/tables/influence/measure';
import type { Table as CoreTable } from '@rigid-beam/core/tables/column';
import type { Structure } from '@rigid-beam/core/stiffness/structure';
import { ImpactField, TrainLine } from '../../cards/TrainFields';
import { chosenOf } from '../../editor/chosen';
import { settledSolution, useDisplay, useEditor, useEditorState, useModel } from '../../editor/use-editor';
import type { LookedInfluence } from '../../editor/slices/influence';
import { capital } from '@rigid-beam/core/capital';
import { Button, Columns, Hint, PanelSubtitle, PlainButton, Row, Select, Stack } from '../../ui/controls';
import { ReadTable, Where } from '../../ui/ReadTable';
import { influencePart as WORDS } from './words';

/** A short field, and behind it what removes the train. */
const ImpactRow = styled.div`
  display: grid;
  grid-template-columns: 5rem auto;
  gap: 0.5rem;
  align-items: end;
  justify-content: space-between;
`;

/** The influence line that is looked at: what it is of, the way and direction of its load, its values, and each train where it is worst. */
export function InfluencePart({ looked }: { readonly looked: LookedInfluence }) {
  const editor = useEditor();
  const display = useDisplay();
  const structure = useEditorState(settledSolution)?.structure;
  const { asked, found } = looked;
  const what = found && structure && isFound(found.what) ? asTold(found.what, structure, display) : found?.what;
  return (
    <Stack aria-label={WORDS.label} role="region">
      <Row>
        <PanelSubtitle>
          {what && structure && isFound(what) ? capital(effectWords(what.effect, structure, display)) : asked.effect}
        </PanelSubtitle>
        <Button onPress={() => editor.look(undefined)}>{WORDS.close}</Button>
      </Row>
      <WayOfLoad asked={asked} found={what && isFound(what) ? what : undefined} />
      {what && !isFound(what) && what.map(({ message }) => <Hint key={message}>{message}</Hint>)}
      {what && structure && isFound(what) && (
        <>
          <Told table={influenceTable(what, structure, display)} />
          <Trains looked={looked} what={what} structure={structure} />
        </>
      )}
    </Stack>
  );
}

/** T1, T2, … whichever is free. */
const nextName = (trains: readonly Train[]): string => `T${nextNumber(trains.map(({ id }) => id.replace(/^T/u, '')))}`;

/** A value, and below what it is of where that is. */
function Told<R extends InfluenceRow>({ table, onShow }: { readonly table: CoreTable<R>; readonly onShow?: (row: R) => void }) {
  const shown = { ...table, columns: table.columns.filter(({ key }) => key !== 'where') };
  return (
    <ReadTable
      table={shown}
      cell={({ key }, row) => {
        if (key === 'value' && row.value !== undefined && onShow)
          return (
            <PlainButton aria-label={WORDS.show(table.title, row.what)} onPress={() => onShow(row)}>
              {showNumber(row.value)}
            </PlainButton>
          );
        if (key !== 'what') return undefined;
        return (
          <>
            {row.what}
            <Where>{row.where}</Where>
          </>
        );
      }}
    />
  );
}

const isSame = (a: Point, b: Point): boolean => a.every((part, i) => part === b[i]);

/** Along which members, or across which nodes, the load travels, and where it pushes. */
function WayOfLoad({ asked, found }: { readonly asked: InfluenceAsked; readonly found: InfluenceFound | undefined }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const selection = useEditorState((state) => state.selection);
  const chosen = chosenOf(selection);
  const look = (change: Partial<InfluenceAsked>): void => editor.look({ asked: { ...asked, ...change } });
  const members =
    found?.path.spans.flatMap((span) => (span.kind === 'member' ? [model.members[span.member]?.id ?? ''] : [])) ?? [];
  const ways = [
    { id: 'usual', text: WORDS.usual },
    ...(asked.over ? [{ id: 'over', text: WORDS.over(asked.over) }] : []),
    ...(asked.across ? [{ id: 'across', text: WORDS.across(asked.across) }] : []),
    ...(chosen.members.length > 0 ? [{ id: 'members', text: WORDS.selectedMembers(chosen.members.length) }] : []),
    ...(chosen.nodes.length > 1 ? [{ id: 'nodes', text: WORDS.selectedNodes(chosen.nodes.length) }] : []),
  ];
  const choose = (id: string): void => {
    if (id === 'usual') look({ over: undefined, across: undefined });
    if (id === 'members') look({ over: chosen.members, across: undefined });
    if (id === 'nodes') look({ over: undefined, across: chosen.nodes });
  };
  const directions = [
    { id: 'down', text: WORDS.down, direction: DOWN },
    ...inReaderOrder(model.space === 'plane' ? (['x'] as const) : (['x', 'z'] as const), display).map((axis) => {
      const { letter, sign } = structureAxis(display, axis);
      return { id: axis, text: WORDS.alongAxis(letter), direction: (axis === 'x' ? [sign, 0, 0] : [0, 0, sign]) as Point };
    }),
  ];
  return (
    <>
      <Columns>
        <Select
          label={WORDS.way}
          choices={ways}
          value={asked.across ? 'across' : asked.over ? 'over' : 'usual'}
          onChange={choose}
        />
        <Select
          label={WORDS.direction}
          choices={directions}
          value={directions.find(({ direction }) => isSame(direction, asked.direction ?? DOWN))?.id ?? 'down'}
          onChange={(id) => look({ direction: directions.find((one) => one.id === id)!.direction })}
        />
      </Columns>
      {members.length > 0 && !asked.over && <Hint>{WORDS.along(members)}</Hint>}
      {ways.length === 1 && <Hint>{WORDS.otherWay}</Hint>}
    </>
  );
}

interface TrainsProps {
  readonly looked: LookedInfluence;
  readonly what: InfluenceFound;
  readonly structure: Structure;
}

/** The trains of the model, each where it is worst; a new one is written. */
function Trains({ looked, what, structure }: TrainsProps) {
  const editor = useEditor();
  const display = useDisplay();
  const model = useModel();
  const trains = model.trains ?? [];
  const put = (id: string, axles: Axles, key?: string): void =>
    void editor.edit({ type: 'put', list: 'trains', entry: { id, ...axles }, ...(key !== undefined && { key }) });
  /** Puts a train on the structure where it is worst, and goes there. */
  const place = (train: Train, side: 'max' | 'min'): void => {
    const placed = standingLoad(model, what.path, train, worstOf(what.line, train)[side]);
    if (typeof placed === 'string') return editor.refuse(`${placed}.`);
    if (editor.edit(placed.intent)) editor.go({ stage: 'loads', acting: placed.caseId });
  };
  /** Lets a train travel along this way, and goes to its envelope. */
  const travel = (train: Train): void => {
    const travelling = travellingTrain(model, what.path, train);
    if (typeof travelling === 'string') return editor.refuse(`${travelling}.`);
    if (editor.edit(travelling.intent)) editor.go({ stage: 'results', acting: travelling.envelope });
  };
  const show = (train: Train) => (row: WorstRow) => editor.look({ ...looked, train: { id: train.id, side: row.side } });
  return (
    <>
      {trains.map((train) => (
        <Fragment key={train.id}>
          <TrainLine
            label={WORDS.train(train.title ?? train.id)}
            train={train}
            onCommit={(axles) => {
              const { title, impact } = train;
              put(train.id, { ...(title && { title }), ...axles, ...(impact !== undefined && { impact }) }, train.id);
            }}
          />
          <ImpactRow>
            <ImpactField
              of={train}
              place={placeText('trains', train.id, 'impact')}
              put={(changed) => put(train.id, changed, train.id)}
            />
            <Button
              onPress={() => editor.edit({ type: 'remove', list: 'trains', keys: [train.id] })}
              aria-label={WORDS.remove(train.id)}
            >
              {WORDS.removeShort}
            </Button>
          </ImpactRow>
          <Told table={worstTable(what, train, structure, display)} onShow={show(train)} />
          {train.uniform !== undefined && <Hint>{WORDS.axlesOnly}</Hint>}
          <Row>
            {(['max', 'min'] as const).map((side) => (
              <Button key={side} onPress={() => place(train, side)} aria-label={WORDS.placeOf(WORDS.place[side], train.id)}>
                {WORDS.place[side]}
              </Button>
            ))}
          </Row>
          <Button onPress={() => travel(train)} aria-label={WORDS.travelOf(train.id)}>
            {WORDS.travel}
          </Button>
        </Fragment>
      ))}
      <TrainLine label={WORDS.newTrain} onCommit={(axles) => put(nextName(trains), axles)} />
    </>
  );
}
