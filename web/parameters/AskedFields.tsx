'use client';

import type { Parameter } from '@rigid-beam/core/model/model';
import { rangeText, readRange, type Range } from '@rigid-beam/core/model/parameters/range';
import { readMeasure } from '@rigid-beam/core/study/measure';
import { useEditorState } from '../editor/use-editor';
import { Select } from '../ui/controls';
import { TextLine } from '../ui/TextLine';
import { offeredResults } from './results';
import { study as WORDS } from './words';

/** A parameter and the range over which it goes; what was not typed is the range that it has, or half as much to twice as much. */
export interface AskedParameter {
  readonly name: string;
  readonly typed?: string;
}

export function rangeAsked({ typed }: AskedParameter, parameter: Parameter): Range | undefined {
  const read = readRange(typed ?? rangeOffered(parameter), parameter);
  return read.ok ? read.range : undefined;
}

export function rangeOffered(parameter: Parameter): string {
  const { from, to, value } = parameter;
  if (from !== undefined && to !== undefined) return rangeText(parameter);
  const [low, high] = [Math.min(value / 2, value * 2), Math.max(value / 2, value * 2)];
  return rangeText({ ...parameter, from: low, to: value === 0 ? 1 : high });
}

interface ParameterChoiceProps {
  readonly label: string;
  readonly rangeLabel: string;
  readonly asked: AskedParameter | undefined;
  readonly parameters: readonly Parameter[];
  /** What stands for no parameter, where there may be none. */
  readonly none?: string;
  readonly onChange: (asked: AskedParameter | undefined) => void;
}

const NONE = '\u0000';

export function ParameterChoice({ label, rangeLabel, asked, parameters, none, onChange }: ParameterChoiceProps) {
  const parameter = parameters.find(({ id }) => id === asked?.name);
  return (
    <>
      <Select
        label={label}
        choices={[...(none === undefined ? [] : [{ id: NONE, text: none }]), ...parameters.map(({ id }) => ({ id, text: id }))]}
        value={parameter?.id ?? NONE}
        onChange={(name) => onChange(name === NONE ? undefined : { name })}
      />
      {parameter && (
        <TextLine
          label={rangeLabel}
          value={asked!.typed ?? rangeOffered(parameter)}
          understand={(text) => {
            const read = readRange(text, parameter);
            return read.ok ? { ok: true, words: '' } : { ok: false, words: read.reason };
          }}
          onCommit={(typed) => onChange({ name: parameter.id, typed })}
        />
      )}
    </>
  );
}

/** Which result is followed: one of those offered, or any as it is written. */
export function ResultChoice({ value, onChange }: { readonly value: string; readonly onChange: (text: string) => void }) {
  const model = useEditorState((state) => state.model);
  const offered = offeredResults(model);
  const isOffered = offered.some(({ id }) => id === value);
  return (
    <>
      <Select
        label={WORDS.result}
        choices={[...offered, { id: NONE, text: WORDS.other }]}
        value={isOffered ? value : NONE}
        onChange={(id) => onChange(id === NONE ? '' : id)}
      />
      {!isOffered && (
        <TextLine
          label={WORDS.written}
          value={value}
          placeholder="b:M@2.4m"
          understand={(text) => {
            const read = readMeasure(text, model);
            return 'reason' in read ? { ok: false, words: read.reason } : { ok: true, words: read.words };
          }}
          onCommit={onChange}
        />
      )}
    </>
  );
}
