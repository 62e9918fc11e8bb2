'use client';

import { massShares } from '@rigid-beam/core/combinations/mass-shares';
import { sumText } from '@rigid-beam/core/combinations/sum-text';
import type { NaturalModesSettings } from '@rigid-beam/core/model/analysis-settings';
import {
  directionSums,
  groundTypes,
  modalSums,
  SPECTRUM_DAMPING,
  spectrumDirections,
  spectrumShapes,
  type DirectionSum,
  type GroundType,
  type ModalSum,
  type SpectrumSettings,
  type SpectrumShape,
} from '@rigid-beam/core/model/spectrum-settings';
import { readSpectrumTable, spectrumTableText } from '@rigid-beam/core/model/spectrum-table';
import { axisKeys, type AxisKey } from '@rigid-beam/core/quantities/axis-names';
import { useState } from 'react';
import { TextField } from 'react-aria-components';
import { useEditor, useModel } from '../../editor/use-editor';
import { Button, Columns, FieldArea, FieldLabel, FieldNote, Hint, Row, Select } from '../../ui/controls';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import { QuantityField } from '../../ui/QuantityField';
import { Tick } from '../../ui/Tick';
import { earthquakePart as WORDS } from '../words';

/** What an earthquake begins with. */
const BEGIN = {
  standard: { ground: 'B', acceleration: 1, behaviour: 1.5 },
  own: { table: [{ period: 0, acceleration: 1 }, { period: 0.1, acceleration: 2.5 }, { period: 0.5, acceleration: 2.5 }, { period: 4, acceleration: 0.3 }] }, // oxfmt-ignore
} as const;

interface EarthquakePartProps {
  readonly modes: NaturalModesSettings;
  readonly onChange: (next: NaturalModesSettings) => void;
}

/** Whether the ground moves, how, along what, and how modes and directions are put together. */
export function EarthquakePart({ modes, onChange }: EarthquakePartProps) {
  const { spectrum } = modes;
  const { space } = useModel();
  const set = (next: SpectrumSettings | undefined): void => {
    const { spectrum: _, ...rest } = modes;
    onChange({ ...rest, ...(next && { spectrum: next }) });
  };
  const choose = (id: string): void => {
    if (id === 'none') return set(undefined);
    const { shape, table, ground, acceleration, importance, behaviour, vertical, ...rest } = spectrum ?? {};
    if (id === 'table') return set({ ...rest, table: table ?? BEGIN.own.table, ...(rest.directions?.includes('y') && { vertical: vertical ?? 0.7 }) });
    const before = { ground, acceleration, importance, behaviour };
    const kept = shape ? Object.fromEntries(Object.entries(before).filter(([, value]) => value !== undefined)) : BEGIN.standard;
    set({ ...rest, shape: id as SpectrumShape, ...kept });
  }; // oxfmt-ignore
  return (
    <>
      <Select
        label={WORDS.earthquake}
        choices={[{ id: 'none', text: WORDS.nothing }, ...spectrumShapes.map((id) => ({ id, text: WORDS.shapes[id] })), { id: 'table', text: WORDS.table }]}
        value={spectrum ? (spectrum.shape ?? 'table') : 'none'}
        onChange={choose}
      />
      {spectrum && (
        <>
          {spectrum.shape ? <Standard spectrum={spectrum} onChange={set} /> : <OwnTable spectrum={spectrum} onChange={set} />}
          <Together spectrum={spectrum} space={space} onChange={set} />
          <Beside spectrum={spectrum} onChange={set} />
        </>
      )}
    </>
  ); // oxfmt-ignore
}

interface PartProps {
  readonly spectrum: SpectrumSettings;
  readonly onChange: (next: SpectrumSettings) => void;
}

/** The numbers of the standard. */
function Standard({ spectrum, onChange }: PartProps) {
  return (
    <Columns>
      <Select
        label={WORDS.ground}
        choices={groundTypes.map((id) => ({ id, text: id }))}
        value={spectrum.ground!}
        onChange={(ground) => onChange({ ...spectrum, ground: ground as GroundType })}
      />
      <QuantityField
        label={WORDS.acceleration}
        value={spectrum.acceleration}
        dimension="acceleration"
        unit="m/s²"
        place={spectrumPlace('acceleration')}
        onCommit={(acceleration) => acceleration !== undefined && onChange({ ...spectrum, acceleration })}
      />
      <QuantityField
        label={WORDS.importance}
        value={spectrum.importance ?? 1}
        dimension="number"
        unit=""
        place={spectrumPlace('importance')}
        onCommit={(importance) => {
          const { importance: _, ...rest } = spectrum;
          onChange(importance === undefined || importance === 1 ? rest : { ...rest, importance });
        }}
      />
      <QuantityField
        label={WORDS.behaviour}
        value={spectrum.behaviour}
        dimension="number"
        unit=""
        mayBeEmpty
        place={spectrumPlace('behaviour')}
        placeholder={WORDS.elastic}
        onCommit={(behaviour) => {
          const { behaviour: _, ...rest } = spectrum;
          onChange(behaviour === undefined ? rest : { ...rest, behaviour });
        }}
      />
    </Columns>
  );
}

const spectrumPlace = (...keys: readonly string[]): string => placeText('analysis', 'naturalModes', 'spectrum', ...keys);

/** A table of one's own, as text. */
function OwnTable({ spectrum, onChange }: PartProps) {
  const kept = spectrumTableText(spectrum.table ?? []);
  const [draft, setDraft] = useState<string>();
  const read = draft === undefined ? undefined : readSpectrumTable(draft);
  const fault = read && 'fault' in read ? read.fault : undefined;
  const take = (): void => {
    if (!read || 'fault' in read) return;
    onChange({ ...spectrum, table: read.table });
    setDraft(undefined);
  };
  return (
    <>
      <TextField value={draft ?? kept} onChange={setDraft} onBlur={take} isInvalid={fault !== undefined}>
        <FieldLabel>{WORDS.ownTable}</FieldLabel>
        <FieldArea />
        {fault !== undefined && (
          <FieldNote slot="description" data-fault>
            {fault}
          </FieldNote>
        )}
      </TextField>
      {spectrum.directions?.includes('y') && (
        <QuantityField
          label={WORDS.vertical}
          value={spectrum.vertical}
          dimension="number"
          unit=""
          place={spectrumPlace('vertical')}
          onCommit={(vertical) => vertical !== undefined && onChange({ ...spectrum, vertical })}
        />
      )}
    </>
  );
}

/** Along what the ground moves, and how modes and directions are put together. */
function Together({ spectrum, space, onChange }: PartProps & { readonly space: 'plane' | 'space' }) {
  const along = spectrumDirections(spectrum, space);
  const turn = (axis: AxisKey): void => {
    const directions = axisKeys.filter((key) => (key === axis) !== along.includes(key));
    const upright = spectrum.table && directions.includes('y') ? { vertical: spectrum.vertical ?? 0.7 } : {};
    const { vertical: _, ...rest } = spectrum;
    if (directions.length > 0) onChange({ ...rest, ...upright, directions });
  };
  return (
    <>
      <Hint>{WORDS.moves}</Hint>
      {axisKeys
        .filter((axis) => space === 'space' || axis !== 'z')
        .map((axis) => (
          <Tick key={axis} isSelected={along.includes(axis)} onChange={() => turn(axis)}>
            {WORDS.directions[axis]}
          </Tick>
        ))}
      <Columns>
        <Select
          label={WORDS.modes}
          choices={modalSums.map((id) => ({ id, text: WORDS.modalSums[id] }))}
          value={spectrum.modes ?? 'cqc'}
          onChange={(modes) => onChange({ ...spectrum, modes: modes as ModalSum })}
        />
        <QuantityField
          label={WORDS.damping}
          value={100 * (spectrum.damping ?? SPECTRUM_DAMPING)}
          dimension="number"
          unit=""
          inPercent
          place={spectrumPlace('damping')}
          onCommit={(percent) => percent !== undefined && onChange({ ...spectrum, damping: percent / 100 })}
        />
      </Columns>
      {along.length > 1 && (
        <Select
          label={WORDS.sum}
          choices={directionSums.map((id) => ({ id, text: WORDS.directionSums[id] }))}
          value={spectrum.sum ?? 'squares'}
          onChange={(sum) => onChange({ ...spectrum, sum: sum as DirectionSum })}
        />
      )}
    </>
  );
}

/** What acts beside it. */
function Beside({ spectrum, onChange }: PartProps) {
  const model = useModel();
  const editor = useEditor();
  const usual = massShares(model);
  const set = (beside: Readonly<Record<string, number>>): void => {
    const { beside: _, ...rest } = spectrum;
    const counting = Object.fromEntries(Object.entries(beside).filter(([, factor]) => factor !== 0));
    onChange({ ...rest, ...(Object.keys(counting).length > 0 && { beside: counting }) });
  };
  return (
    <>
      <Hint>{WORDS.besideHint}</Hint>
      <Columns>
        {model.cases.map(({ id }) => (
          <QuantityField
            key={id}
            label={WORDS.factorOf(id)}
            value={spectrum.beside?.[id] ?? 0}
            dimension="number"
            unit=""
            place={spectrumPlace('beside', id)}
            onCommit={(factor) => factor !== undefined && set({ ...spectrum.beside, [id]: factor })}
          />
        ))}
      </Columns>
      <Row>
        {Object.keys(usual).length > 0 && <Button onPress={() => set(usual)}>{WORDS.usual(sumText(usual))}</Button>}
        <Button onPress={() => editor.show({ drawer: 'baseShear' })}>{WORDS.schedule}</Button>
      </Row>
    </>
  );
}
