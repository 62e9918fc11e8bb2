'use client';

import type { TypicalField, TypicalValues } from '@rigid-beam/core/model/typical/typical';
import { parseSpacings, showSpacings } from '@rigid-beam/core/quantities/spacings';
import { Select } from '../../ui/controls';
import { QuantityField } from '../../ui/QuantityField';
import { TextLine } from '../../ui/TextLine';
import { typicalPart as WORDS } from './words';

interface MeasureFieldProps {
  readonly field: TypicalField;
  readonly value: TypicalValues[string];
  readonly unit: string;
  /** Where it stands in the model, once it is placed. */
  readonly place?: string;
  readonly onChange: (value: TypicalValues[string]) => void;
}

/** A measure of a typical structure. */
export function MeasureField({ field, value, unit, place, onChange }: MeasureFieldProps) {
  switch (field.kind) {
    case 'choice':
      return <Select label={field.label} choices={field.of} value={String(value)} onChange={onChange} />;
    case 'spacings':
      return (
        <TextLine
          label={`${field.label} (${unit})`}
          value={showSpacings(value as readonly number[], unit)}
          understand={(text) => {
            const parsed = parseSpacings(text, unit);
            return parsed.ok
              ? {
                  ok: true,
                  words: WORDS.together(parsed.steps.length, showSpacings([parsed.steps.reduce((a, b) => a + b, 0)], unit), unit),
                }
              : { ok: false, words: parsed.reason };
          }}
          onCommit={(text) => {
            const parsed = parseSpacings(text, unit);
            if (parsed.ok) onChange(parsed.steps);
          }}
        />
      );
    default:
      return (
        <QuantityField
          label={field.label}
          value={value as number}
          dimension={field.kind === 'length' ? 'length' : 'number'}
          unit={field.kind === 'length' ? unit : ''}
          place={place}
          onCommit={(next) => onChange(next ?? 0)}
        />
      );
  }
}
