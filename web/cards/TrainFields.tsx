'use client';

import { readTrain, writeTrain, type Axles } from '@rigid-beam/core/model/train';
import { useDisplay } from '../editor/use-editor';
import { capital } from '@rigid-beam/core/capital';
import { QuantityField } from '../ui/QuantityField';
import { TextLine } from '../ui/TextLine';
import { trainFields as WORDS } from './words';

interface TrainLineProps {
  readonly label: string;
  /** None of a train that is still to be written. */
  readonly train?: Axles;
  readonly onCommit: (train: Axles) => void;
}

/** A train as it is written, in the units that are shown. */
export function TrainLine({ label, train, onCommit }: TrainLineProps) {
  const { force, length } = useDisplay();
  const units = { force, length };
  return (
    <TextLine
      label={label}
      value={train ? writeTrain(train, units) : ''}
      {...(!train && { placeholder: WORDS.example })}
      understand={(text) => {
        const read = readTrain(text, units);
        if (!read.ok) return { ok: false, words: `${capital(read.reason)}.` };
        return { ok: true, words: writeTrain(read.train, units) };
      }}
      onCommit={(text) => {
        const read = readTrain(text, units);
        if (read.ok) onCommit(read.train);
      }}
    />
  );
}

interface ImpactFieldProps<T> {
  readonly of: T;
  /** Where it stands in the model. */
  readonly place: string;
  readonly put: (changed: T) => void;
}

/** By what the axles of a train are multiplied for their impact; 1 is not kept. */
export function ImpactField<T extends Pick<Axles, 'impact'>>({ of, place, put }: ImpactFieldProps<T>) {
  return (
    <QuantityField
      label={WORDS.impact}
      value={of.impact ?? 1}
      dimension="number"
      unit=""
      place={place}
      onCommit={(impact) => {
        const { impact: _, ...rest } = of;
        put({ ...(rest as T), ...(impact !== undefined && impact !== 1 && { impact }) });
      }}
    />
  );
}
