'use client';

import type { HarmonicSettings } from '@rigid-beam/core/model/analysis-settings';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import { axisKeys, inReaderOrder, structureAxis, type AxisKey } from '@rigid-beam/core/quantities/axis-names';
import { inUnit, showNumber } from '@rigid-beam/core/quantities/show';
import type { Solution } from '@rigid-beam/core/results/results';
import { harmonicOf, harmonicRange } from '@rigid-beam/core/tables/results/harmonic';
import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import { useDisplay, useEditor, useEditorState, useModel } from '../../editor/use-editor';
import { Button, Columns, Hint, Row, Select } from '../../ui/controls';
import { Fold } from '../../ui/Fold';
import { QuantityField } from '../../ui/QuantityField';
import { harmonicPart as WORDS } from './words';

const FrequencyChart = dynamic(() => import('./FrequencyChart').then((all) => all.FrequencyChart), { ssr: false });

/** What swings: a force of one size, a person who walks, a mass that turns off its axis; each with its numbers, which can be typed over. */
const SOURCES = {
  force: { force: 1000, damping: 0.02 },
  // 0.4 of the weight of 700 N, in step.
  walking: { force: 280, damping: 0.01, from: 1.6, to: 2.4 },
  machine: { unbalance: 0.05, damping: 0.02 },
} as const;
const harmonicPlace = (key: keyof HarmonicSettings): string => placeText('analysis', 'naturalModes', 'harmonic', key);
type Source = keyof typeof SOURCES;

/** A force that swings at a node: how strongly another node, or the same, is accelerated by frequency. */
export function HarmonicPart({ solution }: { readonly solution: Solution }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const modes = model.analysis?.naturalModes;
  const harmonic = modes?.harmonic;
  const set = (next: HarmonicSettings | undefined): void => {
    const { harmonic: _, ...rest } = modes ?? {};
    const naturalModes = { ...rest, ...(next && { harmonic: next }) };
    editor.edit({ type: 'set', settings: { analysis: { ...model.analysis, naturalModes } } });
  };
  const selection = useEditorState((state) => state.selection);
  const begin = (source: Source): void => {
    const chosen = selection.find(({ kind }) => kind === 'node');
    const node = harmonic?.node ?? (chosen && 'id' in chosen ? chosen.id : mostMoved(solution));
    const { along = 'y', at } = harmonic ?? {};
    set({ node, along, ...(at !== undefined && { at }), ...SOURCES[source] });
  };
  return (
    <Fold title={WORDS.title} remembered="harmonic">
      <Select
        label={WORDS.source}
        choices={[{ id: 'none', text: WORDS.nothing }, ...Object.entries(WORDS.sources).map(([id, text]) => ({ id, text }))]}
        value={harmonic ? sourceOf(harmonic) : 'none'}
        onChange={(id) => (id === 'none' ? set(undefined) : begin(id as Source))}
      />
      {harmonic && (
        <>
          <Columns>
            <NodeField label={WORDS.node} value={harmonic.node} onChange={(node) => set({ ...harmonic, node })} />
            <Select
              label={WORDS.along}
              choices={inReaderOrder(model.space === 'plane' ? (['x', 'y'] as const) : axisKeys, display).map((id) => ({
                id,
                text: structureAxis(display, id).letter,
              }))}
              value={harmonic.along}
              onChange={(along) => set({ ...harmonic, along: along as AxisKey })}
            />
            <NodeField
              label={WORDS.readAt}
              value={harmonic.at ?? harmonic.node}
              onChange={(at) => {
                const { at: _, ...rest } = harmonic;
                set(at === harmonic.node ? rest : { ...rest, at });
              }}
            />
            {harmonic.force === undefined ? (
              <QuantityField
                label={WORDS.unbalance}
                value={harmonic.unbalance}
                dimension="number"
                unit=""
                place={harmonicPlace('unbalance')}
                onCommit={(unbalance) => unbalance !== undefined && set({ ...harmonic, unbalance })}
              />
            ) : (
              <QuantityField
                label={WORDS.force}
                value={harmonic.force}
                dimension="force"
                unit={display.force}
                place={harmonicPlace('force')}
                onCommit={(force) => force !== undefined && set({ ...harmonic, force })}
              />
            )}
            <QuantityField
              label={WORDS.damping}
              value={100 * harmonic.damping}
              dimension="number"
              unit=""
              inPercent
              place={harmonicPlace('damping')}
              onCommit={(percent) => percent !== undefined && set({ ...harmonic, damping: percent / 100 })}
            />
            {(['from', 'to'] as const).map((end) => (
              <QuantityField
                key={end}
                label={WORDS[end]}
                value={harmonic[end]}
                dimension="number"
                unit=""
                mayBeEmpty
                place={harmonicPlace(end)}
                onCommit={(frequency) => {
                  const { [end]: _, ...rest } = harmonic;
                  set(frequency === undefined ? rest : { ...rest, [end]: frequency });
                }}
              />
            ))}
          </Columns>
          <Answer solution={solution} />
          <Row>
            <Button onPress={() => editor.show({ drawer: 'harmonic' })}>{WORDS.schedule}</Button>
          </Row>
        </>
      )}
    </Fold>
  );
}

const sourceOf = ({ force, from }: HarmonicSettings): Source => (force === undefined ? 'machine' : from === undefined ? 'force' : 'walking'); // oxfmt-ignore

/** The node that moves most in the first mode. */
function mostMoved({ structure, outcomes, responses }: Solution): string {
  const mode = outcomes.find((one) => one.kind === 'shape' && one.swing);
  const moved = mode?.kind === 'shape' ? responses[mode.at]!.displacements : new Float64Array(0);
  let [node, most] = [0, 0];
  moved.forEach((value, f) => {
    if (f % 6 < 3 && Math.abs(value) > most) [node, most] = [Math.floor(f / 6), Math.abs(value)];
  });
  return structure.names.nodes[node]!;
}

interface NodeFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (node: string) => void;
}

function NodeField({ label, value, onChange }: NodeFieldProps) {
  const nodes = useEditorState((state) => state.model.nodes);
  return <Select label={label} choices={nodes.map(({ id }) => ({ id, text: id }))} value={value} onChange={onChange} />;
}

/** The largest acceleration, where it is, and the curve. */
function Answer({ solution }: { readonly solution: Solution }) {
  const display = useDisplay();
  const found = useMemo(() => {
    const harmonic = harmonicOf(solution);
    if (!harmonic) return undefined;
    const [from, to] = harmonicRange(solution, harmonic);
    return { curve: harmonic.curve(from, to), most: harmonic.most(from, to), reach: harmonic.reach, to };
  }, [solution]);
  if (!found || found.most.displacement === 0) return <Hint role="status">{WORDS.still}</Hint>;
  const { most, curve, reach, to } = found;
  const moves = `${showNumber(inUnit(most.displacement, display.deflection))} ${display.deflection}`;
  const said = WORDS.most(showNumber(most.acceleration, 3), showNumber(most.frequency, 3), moves, Math.round((-most.phase * 180) / Math.PI)); // oxfmt-ignore
  return (
    <>
      <Hint role="status">{said}</Hint>
      <FrequencyChart curve={curve} most={most} label={said} />
      {to > 1.001 * reach && <Hint>{WORDS.beyond(showNumber(reach, 3))}</Hint>}
    </>
  );
}
