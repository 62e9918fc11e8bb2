'use client';

import { useState } from 'react';
import { useStore } from 'zustand';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { freeName } from '@rigid-beam/core/model/edits/next-id';
import { categories, type LoadCase, type Model } from '@rigid-beam/core/model/model';
import type { AxisName } from '@rigid-beam/core/model/point';
import { intensityUnit } from '@rigid-beam/core/quantities/display';
import { actingIndex } from '../session/editor-state';
import { useDisplay, useEditor, useEditorState, useModel } from '../session/use-editor';
import { chosenOf } from '../session/chosen';
import type { SheetController } from '../sheet/controller';
import { loadWords } from '../sheet/describe-items';
import { ApplyTool, type Application } from '../sheet/tools/apply-tool';
import { Button, Columns, Hint, PanelSubtitle, TextButton, Row, Select, Stack } from '../ui/controls';
import { Instrument, Instruments } from '../ui/Instrument';
import { NameField } from '../ui/NameField';
import type { PictureName } from '../ui/pictures';
import { QuantityField } from '../ui/QuantityField';
import { RunLoad } from './RunLoad';

/** The loads that can be placed: what each takes, and what a click makes of it. A new kind of load is added here. */
interface Placing {
  readonly id: string;
  readonly text: string;
  readonly picture: PictureName;
  /** In as little room as there is. */
  readonly short: string;
  readonly on: Application['on'];
  readonly size: 'intensity' | 'force' | 'moment';
  readonly load: (target: string, at: number, size: number, along: AxisName, space: Model['space']) => Record<string, unknown>;
}

const placings: readonly Placing[] = [
  {
    id: 'line',
    picture: 'line',
    short: 'Line',
    text: 'Line load',
    on: 'member',
    size: 'intensity',
    load: (member, _, size, along) => ({
      type: 'line',
      member,
      axes: 'global',
      from: { [`w${along}`]: size },
      to: { [`w${along}`]: size },
    }),
  },
  {
    id: 'plan',
    picture: 'plan',
    short: 'On plan',
    text: 'Line load on plan',
    on: 'member',
    size: 'intensity',
    load: (member, _, size, along) => ({
      type: 'line',
      member,
      axes: 'projected',
      from: { [`w${along}`]: size },
      to: { [`w${along}`]: size },
    }),
  },
  {
    id: 'pressure',
    picture: 'pressure',
    short: 'Across',
    text: 'Line load across the member',
    on: 'member',
    size: 'intensity',
    load: (member, _, size, along) => {
      const key = along === 'z' ? 'wz' : 'wy';
      return { type: 'line', member, axes: 'local', from: { [key]: size }, to: { [key]: size } };
    },
  },
  {
    id: 'point',
    picture: 'point',
    short: 'Force',
    text: 'Force on a member',
    on: 'member',
    size: 'force',
    load: (member, at, size, along) => ({ type: 'point', member, at: nearTidy(at), [`f${along}`]: size }),
  },
  {
    id: 'node',
    picture: 'node',
    short: 'On a node',
    text: 'Force on a node',
    on: 'node',
    size: 'force',
    load: (node, _, size, along) => ({ type: 'node', node, [`f${along}`]: size }),
  },
  {
    id: 'couple',
    picture: 'couple',
    short: 'Couple',
    text: 'Couple on a node',
    on: 'node',
    size: 'moment',
    load: (node, _, size, along, space) => ({ type: 'node', node, [space === 'plane' ? 'mz' : `m${along}`]: size }),
  },
];

/** Positions snap to twentieths of the member, so that the middle is the middle. */
const nearTidy = (at: number): number => Math.round(at * 20) / 20;

/** Cases, what can be put on the structure, and what the acting case holds. */
export function LoadsBench({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const outcome = useEditorState(actingIndex);
  const acting = model.cases[outcome];
  const newCase = (): void => {
    const id = freeName(
      'Q',
      [...model.cases, ...model.combinations].map((one) => one.id),
    );
    if (editor.edit({ type: 'put', list: 'cases', entry: { id, title: 'Imposed', category: 'imposed' } }))
      editor.go({ acting: id });
  };
  return (
    <Stack>
      <Row>
        <Select
          label="Acting case"
          choices={model.cases.map(({ id, title }) => ({ id, text: title ? `${id} · ${title}` : id }))}
          value={acting?.id ?? ''}
          onChange={(id) => editor.go({ acting: id })}
        />
        <Button onPress={newCase}>Add a case</Button>
      </Row>
      {acting && <Placer sheet={sheet} caseId={acting.id} />}
      {acting && (
        <>
          <PanelSubtitle>Loads of {acting.id}</PanelSubtitle>
          {model.loads.every((load) => load.case !== acting.id) && (
            <Hint>None yet. Choose a load above, then click where it acts.</Hint>
          )}
          {model.loads.map((load) =>
            load.case === acting.id ? (
              <TextButton key={load.id} onPress={() => editor.select([{ kind: 'load', id: load.id }])}>
                {loadWords(load, display)}
              </TextButton>
            ) : null,
          )}
        </>
      )}
      {acting && <PanelSubtitle>Case {acting.id}</PanelSubtitle>}
      {acting ? (
        <CaseEditor key={acting.id} loadCase={acting} />
      ) : (
        <Hint>A combination acts. Choose a case to change its loads.</Hint>
      )}
    </Stack>
  );
}

function CaseEditor({ loadCase }: { readonly loadCase: LoadCase }) {
  const editor = useEditor();
  const put = (entry: LoadCase): void => {
    if (editor.edit({ type: 'put', list: 'cases', entry: { ...entry }, key: loadCase.id }) && entry.id !== loadCase.id)
      editor.go({ acting: entry.id });
  };
  return (
    <Stack>
      <Columns>
        <NameField label="Case" value={loadCase.id} onCommit={(id) => put({ ...loadCase, id })} />
        <QuantityField
          label="Self weight ×"
          value={loadCase.selfWeight ?? 0}
          dimension="number"
          unit=""
          onCommit={(value) => put({ ...loadCase, selfWeight: value ?? 0 })}
        />
      </Columns>
      <NameField label="Title" value={loadCase.title ?? ''} mayBeEmpty onCommit={(title) => put({ ...loadCase, title })} />
      <Row>
        <Select
          label="Kind"
          choices={categories.map((id) => ({ id, text: id }))}
          value={loadCase.category}
          onChange={(id) => put({ ...loadCase, category: id as LoadCase['category'] })}
        />
        <Button onPress={() => editor.edit({ type: 'remove', list: 'cases', keys: [loadCase.id] })}>Remove {loadCase.id}</Button>
      </Row>
    </Stack>
  );
}

function Placer({ sheet, caseId }: { readonly sheet: SheetController; readonly caseId: string }) {
  const display = useDisplay();
  const tool = useStore(sheet.store, (state) => state.tool.name);
  const [sizes, setSizes] = useState({ intensity: -10e3, force: -10e3, moment: 10e3 });
  const editor = useEditor();
  const selection = useEditorState((state) => state.selection);
  const space = useEditorState((state) => state.model.space);
  const [along, setAlong] = useState<AxisName>('y');
  const units = { intensity: intensityUnit(display), force: display.force, moment: display.moment };

  const take = (placing: Placing, size: number, direction: AxisName): void =>
    sheet.take(
      new ApplyTool(sheet, {
        name: `load ${placing.id}`,
        hint: `Click the ${placing.on}s that get it: ${placing.text.toLowerCase()}. Escape ends.`,
        on: placing.on,
        intent: (model, id, at) => ({
          type: 'put',
          list: 'loads',
          entry: { case: caseId, ...placing.load(id, at, size, direction, model.space) },
        }),
      }),
    );
  /** The load in hand changes with the fields. */
  const again = (next: typeof sizes, direction: AxisName): void => {
    const inHand = placings.find(({ id }) => tool === `load ${id}`);
    if (inHand) take(inHand, next[inHand.size], direction);
  };
  const held = placings.find(({ id }) => tool === `load ${id}`);
  const chosen = chosenOf(selection);
  const targets = held?.on === 'node' ? chosen.nodes : chosen.members;
  /** One step for all that are selected; a force on a member acts in its middle. */
  const put = (placing: Placing): void => {
    const intents = targets.map((id): Intent => ({
      type: 'put',
      list: 'loads',
      entry: { case: caseId, ...placing.load(id, 0.5, sizes[placing.size], along, space) },
    }));
    const label = `Put a load on ${targets.length} ${placing.on}s`;
    if (editor.edit({ type: 'batch', intents, label })) sheet.takeSelect();
  };
  const change = (key: keyof typeof sizes) => (value: number | undefined) => {
    if (value === undefined) return;
    const next = { ...sizes, [key]: value };
    setSizes(next);
    again(next, along);
  };
  return (
    <Stack>
      <PanelSubtitle>Put on the structure</PanelSubtitle>
      <Instruments role="group" aria-label="Loads to place">
        {placings.map((placing) => (
          <Instrument
            key={placing.id}
            picture={placing.picture}
            words={placing.short}
            label={placing.text}
            isHeld={tool === `load ${placing.id}`}
            onChange={(on) => (on ? take(placing, sizes[placing.size], along) : sheet.takeSelect())}
          />
        ))}
      </Instruments>
      <Columns>
        <QuantityField
          label="Intensity"
          value={sizes.intensity}
          dimension="intensity"
          unit={units.intensity}
          onCommit={change('intensity')}
        />
        <QuantityField label="Force" value={sizes.force} dimension="force" unit={units.force} onCommit={change('force')} />
        <QuantityField label="Couple" value={sizes.moment} dimension="moment" unit={units.moment} onCommit={change('moment')} />
        <Select
          label="Direction"
          choices={[
            { id: 'y', text: 'Y, up is positive' },
            { id: 'x', text: 'X, right is positive' },
            ...(space === 'space' ? [{ id: 'z', text: 'Z, forward is positive' }] : []),
          ]}
          value={along}
          onChange={(id) => {
            setAlong(id as AxisName);
            again(sizes, id as AxisName);
          }}
        />
      </Columns>
      {held && targets.length > 0 && (
        <Button onPress={() => put(held)}>
          Put it on the {targets.length} selected {held.on === 'node' ? 'nodes' : 'members'}
        </Button>
      )}
      <RunLoad caseId={caseId} along={along} />
    </Stack>
  );
}
