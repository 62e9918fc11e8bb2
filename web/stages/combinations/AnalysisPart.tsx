'use client';

import {
  BOWS,
  displacedOutcomes,
  MODES,
  swayAngle,
  type BucklingCurve,
  type BucklingSettings,
  type DisplacedOutcomes,
  type SecondOrderSettings,
  type Sway,
} from '@rigid-beam/core/model/analysis-settings';
import { swayDirections, type SwayDirection } from '@rigid-beam/core/model/loads/notional';
import type { Model } from '@rigid-beam/core/model/model';
import { useDisplay, useEditor, useEditorState } from '../../editor/use-editor';
import { caseChoices } from '../../ui/case-choices';
import { Columns, Hint, Select } from '../../ui/controls';
import { Fold } from '../../ui/Fold';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import { QuantityField } from '../../ui/QuantityField';
import { NaturalModesPart } from './NaturalModesPart';
import { Tick } from '../../ui/Tick';
import { analysisPart as WORDS } from '../words';

/** Which equilibrium the analysis looks for, how the structure is imperfect in it, and whose critical loads are found. */
export function AnalysisPart() {
  const editor = useEditor();
  const analysis = useEditorState((state) => state.model.analysis);
  const set = (change: Model['analysis']): void =>
    void editor.edit({ type: 'set', settings: { analysis: { ...analysis, ...change } } });
  const second = analysis?.secondOrder;
  return (
    <Fold title={WORDS.title} note={second ? WORDS.inSecond : WORDS.inFirst} remembered="analysis">
      <Select
        label={WORDS.equilibrium}
        choices={[
          { id: 'first', text: WORDS.firstOrder },
          ...displacedOutcomes.map((id) => ({ id, text: WORDS.secondOrder[id] })),
        ]}
        value={second?.of ?? 'first'}
        onChange={(id) => {
          if (id !== 'first') return set({ secondOrder: { ...second, of: id as DisplacedOutcomes } });
          const { secondOrder: _, ...rest } = analysis ?? {};
          editor.edit({ type: 'set', settings: { analysis: rest } });
        }}
      />
      {second && <Imperfect second={second} onChange={(secondOrder) => set({ secondOrder })} />}
      <CriticalLoads analysis={analysis} />
      <NaturalModesPart analysis={analysis} />
    </Fold>
  );
}

interface ImperfectProps {
  readonly second: SecondOrderSettings;
  readonly onChange: (next: SecondOrderSettings) => void;
}

function Imperfect({ second, onChange }: ImperfectProps) {
  const { sway, bow, ...rest } = second;
  const setSway = (next: Sway | undefined): void => onChange({ ...rest, ...(bow && { bow }), ...(next && { sway: next }) });
  return (
    <>
      <Select
        label={WORDS.sway}
        choices={Object.entries(WORDS.swayBy).map(([id, text]) => ({ id, text }))}
        value={sway ? (sway.angle === undefined ? 'height' : 'angle') : 'none'}
        onChange={(id) => {
          const way = sway?.towards ? { towards: sway.towards } : {};
          if (id === 'none') setSway(undefined);
          else setSway(id === 'angle' ? { ...way, angle: sway ? swayAngle(sway) : 1 / 200 } : { ...way, height: 4, columns: 2 });
        }}
      />
      {sway && <Leaning sway={sway} onChange={setSway} />}
      <Select
        label={WORDS.bow}
        choices={[
          { id: 'none', text: WORDS.straight },
          ...Object.entries(BOWS).map(([id, ratio]) => ({ id, text: WORDS.curve(id, Math.round(1 / ratio)) })),
          { id: 'ratio', text: WORDS.ownBow },
        ]}
        value={bow ? (bow.curve ?? 'ratio') : 'none'}
        onChange={(id) => {
          const next = id === 'none' ? {} : { bow: id === 'ratio' ? { ratio: 1 / 250 } : { curve: id as BucklingCurve } };
          onChange({ ...rest, ...(sway && { sway }), ...next });
        }}
      />
      <CountingStiffness second={second} onChange={onChange} />
      {bow?.ratio !== undefined && (
        <QuantityField
          label={WORDS.bowRatio}
          value={bow.ratio}
          dimension="number"
          unit=""
          place={placeText('analysis', 'secondOrder', 'bow', 'ratio')}
          onCommit={(ratio) => ratio !== undefined && onChange({ ...second, bow: { ratio } })}
        />
      )}
    </>
  );
}

/** Which part of the stiffness counts, by material: all of it where nothing is said. */
function CountingStiffness({ second, onChange }: ImperfectProps) {
  const materials = useEditorState((state) => state.model.materials);
  return materials.map(({ id }) => (
    <QuantityField
      key={id}
      label={WORDS.stiffness(id)}
      value={second.stiffness?.[id] ?? 1}
      dimension="number"
      unit=""
      place={placeText('analysis', 'secondOrder', 'stiffness', id)}
      onCommit={(factor) => {
        const { [id]: _, ...others } = second.stiffness ?? {};
        const stiffness = factor === undefined || factor === 1 ? others : { ...others, [id]: factor };
        const { stiffness: __, ...rest } = second;
        onChange({ ...rest, ...(Object.keys(stiffness).length > 0 && { stiffness }) });
      }}
    />
  ));
}

function Leaning({ sway, onChange }: { readonly sway: Sway; readonly onChange: (next: Sway) => void }) {
  const display = useDisplay();
  const space = useEditorState((state) => state.model.space);
  const towards = swayDirections.filter((way) => space === 'space' || way === 'right' || way === 'left');
  return (
    <>
      <Columns>
        {sway.angle !== undefined ? (
          <QuantityField
            label={WORDS.angle}
            value={sway.angle}
            dimension="number"
            unit=""
            place={placeText('analysis', 'secondOrder', 'sway', 'angle')}
            onCommit={(angle) => angle !== undefined && onChange({ ...sway, angle })}
          />
        ) : (
          <>
            <QuantityField
              label={WORDS.height}
              value={sway.height}
              dimension="length"
              unit={display.length}
              place={placeText('analysis', 'secondOrder', 'sway', 'height')}
              onCommit={(height) => height !== undefined && onChange({ ...sway, height })}
            />
            <QuantityField
              label={WORDS.columns}
              value={sway.columns ?? 1}
              dimension="number"
              unit=""
              place={placeText('analysis', 'secondOrder', 'sway', 'columns')}
              onCommit={(columns) => columns !== undefined && onChange({ ...sway, columns })}
            />
          </>
        )}
        <Select
          label={WORDS.towards}
          choices={[{ id: 'worst', text: WORDS.worst }, ...towards.map((id) => ({ id, text: WORDS.ways[id] }))]}
          value={sway.towards ?? 'worst'}
          onChange={(id) => {
            const { towards: _, ...rest } = sway;
            onChange(id === 'worst' ? rest : { ...rest, towards: id as SwayDirection });
          }}
        />
      </Columns>
      {sway.angle === undefined && <Hint>{WORDS.leansBy(Math.round(1 / swayAngle(sway)))}</Hint>}
    </>
  );
}

function CriticalLoads({ analysis }: { readonly analysis: Model['analysis'] }) {
  const editor = useEditor();
  const cases = useEditorState((state) => state.model.cases);
  const combinations = useEditorState((state) => state.model.combinations);
  const buckling = analysis?.buckling;
  const sums = combinations.filter(({ type }) => type === 'sum');
  const set = (next: BucklingSettings | undefined): void => {
    const { buckling: _, ...rest } = analysis ?? {};
    editor.edit({ type: 'set', settings: { analysis: { ...rest, ...(next && { buckling: next }) } } });
  };
  return (
    <Columns>
      <Select
        label={WORDS.criticalLoads}
        choices={[
          { id: '', text: WORDS.notFound },
          ...(buckling && buckling.of.length > 1 ? [{ id: 'several', text: buckling.of.join(', ') }] : []),
          ...caseChoices([...sums, ...cases]),
        ]}
        value={buckling ? (buckling.of.length > 1 ? 'several' : buckling.of[0]!) : ''}
        onChange={(id) => {
          if (id !== 'several') set(id === '' ? undefined : { ...buckling, of: [id] });
        }}
      />
      {buckling && (
        <QuantityField
          label={WORDS.modes}
          value={buckling.modes ?? MODES}
          dimension="number"
          unit=""
          place={placeText('analysis', 'buckling', 'modes')}
          onCommit={(modes) => modes !== undefined && set({ ...buckling, modes })}
        />
      )}
      {buckling && (
        <Tick
          isSelected={buckling.negative ?? false}
          onChange={(also) => {
            const { negative: _, ...rest } = buckling;
            set(also ? { ...rest, negative: true } : rest);
          }}
        >
          {WORDS.alsoReversed}
        </Tick>
      )}
    </Columns>
  );
}
