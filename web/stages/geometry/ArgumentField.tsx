'use client';

import { alongAxis, structureAxis } from '@rigid-beam/core/quantities/axis-names';
import type { Model } from '@rigid-beam/core/model/model';
import { axisNames, type AxisName, type Point } from '@rigid-beam/core/model/point';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { capital } from '@rigid-beam/core/capital';
import { Select, ToggleButton } from '../../ui/controls';
import { QuantityField } from '../../ui/QuantityField';
import { TextLine } from '../../ui/TextLine';
import type { Argument, Value } from '../../commands/grammar';
import { argumentField as WORDS } from './words';

interface ArgumentFieldProps {
  readonly argument: Argument;
  readonly value: Value | undefined;
  readonly model: Model;
  readonly onChange: (value: Value | undefined) => void;
}

const WAYS: Record<AxisName, string> = { x: WORDS.across, y: WORDS.up, z: WORDS.forward };
const DEGREE = Math.PI / 180;

/** One argument of an edit as a field, by its kind. */
export function ArgumentField({ argument, value, model, onChange }: ArgumentFieldProps) {
  const { kind, words, shown } = argument;
  const label = argument.label ?? capital(words);
  const display = displayOf(model);
  const unit = display.length;
  // A way forward is one for everybody; a place is told by its axes.
  const read = (axis: AxisName, value: number): number =>
    shown === 'point' ? alongAxis(structureAxis(display, axis), value) : value;
  const axes = model.space === 'plane' ? (['x', 'y'] as const) : axisNames;
  switch (kind) {
    case 'length':
      return (
        <QuantityField
          label={label}
          value={value as number | undefined}
          dimension="length"
          unit={unit}
          onCommit={(next) => next !== undefined && onChange(next)}
        />
      );
    case 'vector': {
      const point = (value as Point | undefined) ?? [0, 0, 0];
      return axes.map((axis, k) => (
        <QuantityField
          key={axis}
          label={shown === 'point' ? `${label} ${structureAxis(display, axis).letter}` : WAYS[axis]}
          value={point[k] === undefined ? undefined : read(axis, point[k])}
          dimension="length"
          unit={unit}
          onCommit={(next) => onChange(point.map((part, i) => (i === k ? read(axis, next ?? 0) : part)) as unknown as Point)}
        />
      ));
    }
    case 'angle':
      return (
        <QuantityField
          label={label}
          value={value === undefined ? undefined : (value as number) * DEGREE}
          dimension="angle"
          unit="deg"
          onCommit={(next) => next !== undefined && onChange(Number((next / DEGREE).toFixed(9)))}
        />
      );
    case 'count':
      return (
        <QuantityField
          label={label}
          value={value as number | undefined}
          dimension="number"
          unit=""
          onCommit={(next) => next !== undefined && onChange(Math.max(1, Math.round(next)))}
        />
      );
    case 'axis':
      return (
        <Select
          label={label}
          choices={(argument.inSpace ? axisNames : axes).map((id) => ({ id, text: structureAxis(display, id).letter }))}
          value={value as string}
          onChange={(id) => onChange(id as AxisName)}
        />
      );
    case 'section':
      return (
        <Select
          label={label}
          choices={[{ id: '', text: 'none' }, ...model.sections.map(({ id }) => ({ id, text: id }))]}
          value={(value as string | undefined) ?? ''}
          onChange={(id) => onChange(id === '' ? undefined : id)}
        />
      );
    case 'text':
      return <TextLine label={label} value={(value as string | undefined) ?? ''} onCommit={onChange} />;
    case 'flag':
      return (
        <ToggleButton isSelected={value === true} onChange={(on) => onChange(on ? true : undefined)}>
          {label}
        </ToggleButton>
      );
  }
}
