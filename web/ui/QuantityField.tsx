'use client';

import { useContext, useEffect, useRef, useState, type KeyboardEvent, type RefObject } from 'react';
import { partOf, percentOf } from '@rigid-beam/core/model/parameters/percent';
import { turnedRound } from '@rigid-beam/core/model/parameters/turned-round';
import type { DimensionName } from '@rigid-beam/core/quantities/dimension';
import { readTyped } from '@rigid-beam/core/model/parameters/typed';
import type { Scope } from '@rigid-beam/core/quantities/expression';
import { inUnit, showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { withPowers } from '@rigid-beam/core/quantities/with-powers';
import { stepOf, stepped, SteppingContext } from './stepping';
import { FieldBox, FieldInput, FieldLabel, FieldNote } from './controls';
import { ExpressionsContext } from './expressions';
import { giveUp } from './give-up';
import { quantityField as WORDS } from './words';

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
  /** Where its number stands in the model: there an expression is kept as it was typed. */
  readonly place?: string | undefined;
  /** What keeps an expression that gives no number at one place alone. */
  readonly keeping?: Keeping | undefined;
  /** The field counts the other way than the model does. */
  readonly isTurned?: boolean;
  /** The field counts in percent what the model holds as a part of one. */
  readonly inPercent?: true;
  /** What to show in an empty field, for example a value that is computed. */
  readonly placeholder?: string;
}

/** The expression that gives what a field shows, and what keeps another one; none takes its number for itself. */
export interface Keeping {
  readonly text: string | undefined;
  readonly keep: (text: string | undefined, value: number) => void;
}

/** What a text means as a quantity, or why it means nothing. */
function understand(text: string, { dimension, unit, scope, isKept }: Understanding): Understood {
  const read = readTyped(text, dimension, unit, scope);
  if (!read.ok) return { words: read.reason };
  const { value, kept } = read;
  return {
    value,
    words: WORDS[kept !== undefined && !isKept ? 'givesNow' : 'gives'](showQuantity(value, unit, 6)),
    ...(kept !== undefined && { kept }),
  };
}

interface Understanding {
  readonly dimension: DimensionName;
  readonly unit: string;
  readonly scope: Scope;
  /** Whether what mentions parameters is kept as it was typed. */
  readonly isKept: boolean;
}

interface Understood {
  readonly value?: number;
  readonly words: string;
  /** The expression that is to be kept, where parameters are mentioned. */
  readonly kept?: string;
}

/** A numeric field that takes arithmetic and units and shows what it understood before Enter. */
export function QuantityField(props: QuantityFieldProps) {
  const {
    label,
    value,
    dimension,
    unit,
    onCommit,
    mayBeEmpty,
    hideLabel,
    autoFocus,
    onCancel,
    onNext,
    placeholder,
    within,
    place,
    keeping,
    isTurned,
    inPercent,
  } = props;
  const { scope, textAt, express, refusedBy } = useContext(ExpressionsContext);
  const [shownAs, keptAs] = isTurned ? [turnedRound, turnedRound] : inPercent ? [percentOf, partOf] : [asItIs, asItIs];
  const through = (as: (text: string) => string, text: string | undefined) => (text === undefined ? text : as(text));
  const kept: Keeping | undefined =
    place === undefined ? keeping : { text: through(shownAs, textAt(place)), keep: (to) => express(place, through(keptAs, to)) };
  const asked = { dimension, unit, scope, isKept: kept !== undefined };
  const expression = kept?.text;
  const shown = expression ?? (value === undefined ? '' : editText(value, unit));
  const [draft, setDraft] = useState<string>();
  /** Why the expression that stands in the field was not taken. */
  const [refused, setRefused] = useState<string>();
  const input = useRef<HTMLInputElement>(null);
  const leaving = useRef(false);
  const stepping = useContext(SteppingContext);
  /** The step of a run of arrow keys: it stays when a figure is passed. */
  const run = useRef<number>(undefined);
  useEffect(() => {
    if (autoFocus) input.current?.select();
  }, [autoFocus]);

  const text = draft ?? shown;
  const typedText = inPercent ? text.replace(/\s*%\s*$/u, '') : text;
  const understood =
    text.trim() === '' || (draft === undefined && expression === undefined) ? undefined : understand(typedText, asked);
  const faulty = refused !== undefined || (understood !== undefined && understood.value === undefined);

  const commit = (): void => {
    const isTried = run.current !== undefined;
    run.current = undefined;
    if (leaving.current || draft === undefined || (draft === shown && !isTried)) {
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
    const { kept: meant, value: now } = understood;
    if (meant !== undefined && kept) {
      const why = refusedBy(() => kept.keep(meant, now));
      setRefused(why);
      leaving.current = false;
      if (why !== undefined) return;
      setDraft(undefined);
      onCancel?.();
      return;
    }
    // The number that the expression gives already, written for itself.
    if (kept && expression !== undefined && now === value) kept.keep(undefined, now);
    else onCommit(now);
    setDraft(undefined);
    leaving.current = false;
  };

  /** An arrow key changes the value, and what follows from it is shown at once; Enter or leaving takes it. */
  const step = (event: KeyboardEvent, sign: 1 | -1): void => {
    const now = understood ? understood.value : (value ?? 0);
    if (now === undefined) return;
    event.preventDefault();
    const inOwn = unit === '' ? now : inUnit(now, unit);
    const by = event.shiftKey || event.altKey ? stepOf(inOwn, event) : (run.current ?? stepOf(inOwn, event));
    run.current ??= by;
    const typed = editText(stepped(inOwn, by, sign), '');
    setDraft(typed);
    const parsed = understand(typed, asked);
    if (parsed.value !== undefined) stepping?.trial(() => onCommit(parsed.value));
  };

  return (
    <FieldBox
      value={text}
      onChange={(next) => {
        setRefused(undefined);
        setDraft(next);
      }}
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
          if (event.key === 'ArrowUp' || event.key === 'ArrowDown') step(event, event.key === 'ArrowUp' ? 1 : -1);
          if (event.key === 'Tab' && onNext && !faulty) {
            event.preventDefault();
            commit();
            onNext(event.shiftKey ? -1 : 1);
          }
          if (event.key !== 'Escape') return;
          giveUp(event, draft);
          if (run.current !== undefined) stepping?.giveUp();
          run.current = undefined;
          setRefused(undefined);
          setDraft(undefined);
          onCancel?.();
        }}
      />
      {understood && (
        <FieldNote slot="description" data-fault={faulty || undefined}>
          {refused ?? understood.words}
        </FieldNote>
      )}
    </FieldBox>
  );
}

const asItIs = (text: string): string => text;

/** The value as text to edit: with an ordinary minus, so that it can be typed over. */
function editText(value: number, unit: string): string {
  const number = unit === '' ? showNumber(value, 7) : showNumber(inUnit(value, unit), 7);
  return number.replace('−', '-');
}
