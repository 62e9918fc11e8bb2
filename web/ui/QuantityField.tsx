'use client';

import { useEffect, useRef, useState, type RefObject } from 'react';
import type { DimensionName } from '@rigid-beam/core/quantities/dimension';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { inUnit, showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { withPowers } from './with-powers';
import { FieldBox, FieldInput, FieldLabel, FieldNote } from './controls';

interface QuantityFieldProps {
  readonly label: string;
  /** SI; undefined shows an empty field. */
  readonly value: number | undefined;
  readonly dimension: DimensionName;
  /** What a number without a unit means, and the unit shown. Empty for plain numbers. */
  readonly unit: string;
  /** Called with the SI value on Enter or when the field is left; `undefined` when it was emptied and `mayBeEmpty`. */
  readonly onCommit: (value: number | undefined) => void;
  readonly mayBeEmpty?: true;
  readonly hideLabel?: true;
  readonly autoFocus?: true;
  readonly onCancel?: () => void;
  /** Tab takes the value and goes on to the next of its kind, or with Shift to the one before. */
  readonly onNext?: (step: 1 | -1) => void;
  /** Going to another control in here does not leave the field. */
  readonly within?: RefObject<HTMLElement | null>;
  /** What to show in an empty field, for example a value that is computed. */
  readonly placeholder?: string;
}

/** What a text means as a quantity, or why it means nothing. */
function understand(text: string, dimension: DimensionName, unit: string): { value?: number; words: string } {
  const parsed = parseQuantity(text, dimension, unit === '' ? undefined : unit);
  if (!parsed.ok) return { words: parsed.reason };
  return { value: parsed.value, words: `= ${showQuantity(parsed.value, unit, 6)}` };
}

/** A numeric field that takes arithmetic and units and shows what it understood before Enter. */
export function QuantityField(props: QuantityFieldProps) {
  const { label, value, dimension, unit, onCommit, mayBeEmpty, hideLabel, autoFocus, onCancel, onNext, placeholder, within } =
    props;
  const shown = value === undefined ? '' : editText(value, unit);
  const [draft, setDraft] = useState<string>();
  const input = useRef<HTMLInputElement>(null);
  const leaving = useRef(false);
  useEffect(() => {
    if (autoFocus) input.current?.select();
  }, [autoFocus]);

  const text = draft ?? shown;
  const understood = draft === undefined || draft.trim() === '' ? undefined : understand(draft, dimension, unit);
  const faulty = understood !== undefined && understood.value === undefined;

  const commit = (): void => {
    if (leaving.current || draft === undefined || draft === shown) {
      onCancel?.();
      setDraft(undefined);
      return;
    }
    if (draft.trim() === '') {
      if (mayBeEmpty) onCommit(undefined);
      setDraft(undefined);
      return;
    }
    if (understood?.value === undefined) return;
    leaving.current = true;
    onCommit(understood.value);
    setDraft(undefined);
    leaving.current = false;
  };

  return (
    <FieldBox
      value={text}
      onChange={setDraft}
      isInvalid={faulty}
      {...(hideLabel && { 'aria-label': label })}
      autoFocus={autoFocus ?? false}
    >
      {!hideLabel && (
        <FieldLabel>
          {label}
          {unit !== '' && <span> ({withPowers(unit)})</span>}
        </FieldLabel>
      )}
      <FieldInput
        ref={input}
        autoComplete="off"
        spellCheck={false}
        placeholder={placeholder ?? ''}
        onBlur={(event) => {
          if (!within?.current?.contains(event.relatedTarget)) commit();
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Tab' && onNext && !faulty) {
            event.preventDefault();
            commit();
            onNext(event.shiftKey ? -1 : 1);
          }
          if (event.key !== 'Escape') return;
          event.stopPropagation();
          setDraft(undefined);
          onCancel?.();
        }}
      />
      {understood && (
        <FieldNote slot="description" data-fault={faulty || undefined}>
          {understood.words}
        </FieldNote>
      )}
    </FieldBox>
  );
}

/** The value as text to edit: with an ordinary minus, so that it can be typed over. */
function editText(value: number, unit: string): string {
  const number = unit === '' ? showNumber(value, 7) : showNumber(inUnit(value, unit), 7);
  return number.replace('−', '-');
}
