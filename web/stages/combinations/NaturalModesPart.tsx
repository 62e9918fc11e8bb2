'use client';

import { placeText } from '@rigid-beam/core/model/parameters/place';
import { massShare, massShares } from '@rigid-beam/core/combinations/mass-shares';
import {
  betweenNodes,
  NATURAL_MODES,
  type BetweenNodes,
  type NaturalModesSettings,
} from '@rigid-beam/core/model/analysis-settings';
import type { Model } from '@rigid-beam/core/model/model';
import { massUnit } from '@rigid-beam/core/quantities/display';
import { useDisplay, useEditor, useEditorState } from '../../editor/use-editor';
import { Button, Columns, Hint, Row, Select } from '../../ui/controls';
import { QuantityField } from '../../ui/QuantityField';
import { Tick } from '../../ui/Tick';
import { analysisPart as WORDS } from '../words';
import { EarthquakePart } from './EarthquakePart';

type Masses = NonNullable<NaturalModesSettings['nodes']>;

/** Whether natural modes are found, how many, and what has mass in them. */
export function NaturalModesPart({ analysis }: { readonly analysis: Model['analysis'] }) {
  const editor = useEditor();
  const modes = analysis?.naturalModes;
  const set = (next: NaturalModesSettings | undefined): void => {
    const { naturalModes: _, ...rest } = analysis ?? {};
    editor.edit({ type: 'set', settings: { analysis: { ...rest, ...(next && { naturalModes: next }) } } });
  };
  return (
    <>
      <Select
        label={WORDS.naturalModes}
        choices={[{ id: 'none', text: WORDS.notFound }, ...betweenNodes.map((id) => ({ id, text: WORDS.between[id] }))]}
        value={modes ? (modes.between ?? 'swing') : 'none'}
        onChange={(id) => {
          if (id === 'none') return set(undefined);
          const { between: _, ...rest } = modes ?? { cases: massShares(editor.state.model) };
          set(id === 'swing' ? rest : { ...rest, between: id as BetweenNodes });
        }}
      />
      {modes && (
        <QuantityField
          label={WORDS.modes}
          value={modes.modes ?? NATURAL_MODES}
          dimension="number"
          unit=""
          place={placeText('analysis', 'naturalModes', 'modes')}
          onCommit={(count) => count !== undefined && set({ ...modes, modes: count })}
        />
      )}
      {modes && <CountingMasses modes={modes} onChange={set} />}
      {modes && <EarthquakePart modes={modes} onChange={set} />}
    </>
  );
}

interface MassesProps {
  readonly modes: NaturalModesSettings;
  readonly onChange: (next: NaturalModesSettings) => void;
}

function CountingMasses({ modes, onChange }: MassesProps) {
  const cases = useEditorState((state) => state.model.cases);
  return (
    <>
      <Hint>{WORDS.massHint}</Hint>
      <Tick
        isSelected={modes.selfWeight ?? true}
        onChange={(counts) => {
          const { selfWeight: _, ...rest } = modes;
          onChange(counts ? rest : { ...rest, selfWeight: false });
        }}
      >
        {WORDS.ownMass}
      </Tick>
      <Columns>
        {cases.map(({ id, category }) => (
          <QuantityField
            key={id}
            label={WORDS.massOf(id, massShare(category))}
            value={modes.cases?.[id] ?? 0}
            dimension="number"
            unit=""
            place={placeText('analysis', 'naturalModes', 'cases', id)}
            onCommit={(share) => {
              const { [id]: _, ...others } = modes.cases ?? {};
              const { cases: __, ...rest } = modes;
              const next = share === undefined || share === 0 ? others : { ...others, [id]: share };
              onChange({ ...rest, ...(Object.keys(next).length > 0 && { cases: next }) });
            }}
          />
        ))}
      </Columns>
      <NodeMasses modes={modes} onChange={onChange} />
    </>
  );
}

/** Masses that stand on nodes: those that are chosen can be given one, all alike. */
function NodeMasses({ modes, onChange }: MassesProps) {
  const display = useDisplay();
  const selection = useEditorState((state) => state.selection);
  const chosen = new Set(selection.flatMap((one) => (one.kind === 'node' ? [one.id] : [])));
  const masses = modes.nodes ?? [];
  const set = (next: Masses): void => {
    const { nodes: _, ...rest } = modes;
    onChange({ ...rest, ...(next.length > 0 && { nodes: next }) });
  };
  const without = (ids: ReadonlySet<string>): Masses => masses.filter(({ node }) => !ids.has(node));
  return (
    <>
      <Columns>
        {masses.map(({ node, mass }, i) => (
          <QuantityField
            key={node}
            label={WORDS.massAt(node)}
            value={mass}
            dimension="mass"
            unit={massUnit(display)}
            place={placeText('analysis', 'naturalModes', 'nodes', String(i), 'mass')}
            onCommit={(next) =>
              next === undefined
                ? set(without(new Set([node])))
                : set(masses.map((one) => (one.node === node ? { node, mass: next } : one)))
            }
          />
        ))}
      </Columns>
      <Row>
        <Button
          isDisabled={chosen.size === 0}
          onPress={() => set([...without(chosen), ...Array.from(chosen, (node) => ({ node, mass: 100 }))])}
        >
          {chosen.size === 0 ? WORDS.chooseNodes : WORDS.giveMass([...chosen])}
        </Button>
      </Row>
    </>
  );
}
