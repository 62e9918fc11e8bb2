import { axisCalled, structureAxis, withAxes } from '@rigid-beam/core/quantities/axis-names';
import { displayOf, lengthUnit } from '@rigid-beam/core/quantities/display';
import type { Model } from '@rigid-beam/core/model/model';
import type { AxisName, Point } from '@rigid-beam/core/model/point';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { grammar as WORDS } from './words';

/** What can be typed for an argument, and what it is read as. */
interface Kinds {
  readonly length: number;
  /** Across by up by forward, metres. */
  readonly vector: Point;
  /** Degrees. */
  readonly angle: number;
  readonly count: number;
  /** By its name in the file: in which sense a reader counts along it, `senseOf` tells. */
  readonly axis: AxisName;
  /** The name of a section of the model. */
  readonly section: string;
  readonly text: string;
  /** The keyword itself says it. */
  readonly flag: true;
}
export type Kind = keyof Kinds;

/** One thing that a command takes: what stands first, or what follows a keyword. */
export interface Argument {
  readonly kind: Kind;
  /** The word before it; without one it stands first. */
  readonly after?: string;
  /** What it is, as the command field explains it. */
  readonly words: string;
  /** What its field is called in a form. */
  readonly label?: string;
  readonly optional?: true;
  /** What it is where nothing is written. */
  readonly default?: Kinds[Kind];
  /** A plane model does without it. */
  readonly inSpace?: true;
  /** In a form it can be shown on the sheet: as a way from point to point, or as the point itself. */
  readonly shown?: 'way' | 'point';
}
export type Arguments = { readonly [name: string]: Argument };

/** What was read; arguments that were left out are undefined. */
export type Values<A extends Arguments> = { readonly [name in keyof A]: Kinds[A[name]['kind']] | undefined };

const EXAMPLES: Record<Kind, string> = {
  length: '2.5',
  vector: '3 by 0',
  angle: '30',
  count: '4',
  axis: 'y',
  section: 'tube',
  text: '…',
  flag: '',
};

/** How a command is written: its keywords with an example behind each. */
export function notationOf(given: Arguments): string {
  return Object.values(given)
    .map(({ kind, after = '', words, optional }) => {
      const part = [after, EXAMPLES[kind], words && `(${words})`].filter(Boolean).join(' ');
      return optional ? `[${part}]` : part;
    })
    .join(' ');
}

/** Reads what is typed behind a command's name; why it cannot be read, in words, with how it is written. */
export function readArguments<A extends Arguments>(given: A, text: string, model: Model): Values<A> | string {
  const parts = clauses(
    text,
    Object.values(given).flatMap(({ after }) => after ?? []),
  );
  const notation = withAxes(notationOf(given), displayOf(model));
  const values: Record<string, unknown> = {};
  for (const [name, argument] of Object.entries(given)) {
    const typed = parts.get(argument.after ?? '');
    if (typed === undefined || (typed === '' && argument.kind !== 'flag')) {
      if (argument.optional) {
        if (argument.default !== undefined) values[name] = argument.default;
        continue;
      }
      return `${withAxes(missing(argument), displayOf(model))} Write: ${notation}`;
    }
    const read = readKind(argument, typed, model);
    if (typeof read === 'object' && 'reason' in read) return `${read.reason}. Write: ${notation}`;
    values[name] = read;
  }
  const rest = parts.get('');
  const first = Object.values(given).some(({ after }) => after === undefined);
  if (rest && !first) return WORDS.notUnderstoodWrite(rest, notation);
  return values as Values<A>;
}

const missing = ({ after, words }: Argument): string =>
  after ? WORDS.isMissing(after) : words ? WORDS.whatIsMissing(words) : WORDS.somethingIsMissing;

/** Cuts a text at its keywords: what stands behind each, and under '' what stands first. */
function clauses(text: string, keywords: readonly string[]): Map<string, string> {
  const found = new Map<string, string>();
  let keyword = '';
  let words: string[] = [];
  const close = (): void => {
    if (keyword !== '' || words.length > 0) found.set(keyword, words.join(' '));
  };
  for (const word of text.trim().split(/\s+/).filter(Boolean)) {
    const lower = word.toLowerCase();
    if (!keywords.includes(lower) || found.has(lower) || lower === keyword) words.push(word);
    else {
      close();
      [keyword, words] = [lower, []];
    }
  }
  close();
  return found;
}

/** What an argument of a form begins with, or what is left of it when its field is emptied. */
export type Value = Kinds[Kind];

type Read = Kinds[Kind] | { readonly reason: string };

function readKind({ kind, words }: Argument, text: string, model: Model): Read {
  switch (kind) {
    case 'length':
      return readLength(text, model);
    case 'vector':
      return readVector(text, model);
    case 'angle': {
      const parsed = parseQuantity(text, 'angle', 'deg');
      if (!parsed.ok) return { reason: WORDS.isNoAngle(text, parsed.reason) };
      return Number(((parsed.value * 180) / Math.PI).toFixed(9));
    }
    case 'count': {
      const count = Number(text);
      return Number.isInteger(count) && count > 0 ? count : { reason: WORDS.isNoWholeNumber(text, words) };
    }
    case 'axis': {
      return axisCalled(displayOf(model), text)?.key ?? { reason: WORDS.isNoAxisWriteX(text) };
    }
    case 'section': {
      const section = model.sections.find(({ id }) => id.toLowerCase() === text.toLowerCase());
      return section ? section.id : { reason: WORDS.thereIsNoSection(text) };
    }
    case 'text':
      return text;
    case 'flag':
      return text === '' ? true : { reason: WORDS.isNotUnderstood(text) };
  }
}

function readLength(text: string, model: Model): number | { readonly reason: string } {
  const parsed = parseQuantity(text, 'length', lengthUnit(model));
  return parsed.ok ? parsed.value : { reason: WORDS.isNoLength(text.trim(), parsed.reason) };
}

/** `3 by 0`, `3 by 0 by -5`; a single length leads across. */
function readVector(text: string, model: Model): Point | { readonly reason: string } {
  const parts = text.split(/\bby\b/);
  if (parts.length > 3) return { reason: WORDS.tooManyParts };
  const lengths: number[] = [];
  for (const part of parts) {
    const length = readLength(part, model);
    if (typeof length !== 'number') return length;
    lengths.push(length);
  }
  return [lengths[0]!, lengths[1] ?? 0, lengths[2] ?? 0];
}

/** What was understood, said back with units. */
export function understood<A extends Arguments>(given: A, values: Values<A>, model: Model): string {
  const unit = lengthUnit(model);
  const show = (kind: Kind, value: unknown): string => {
    if (kind === 'length') return showQuantity(value as number, unit);
    if (kind === 'vector') return (value as Point).map((part) => showQuantity(part, unit)).join(' by ');
    if (kind === 'angle') return `${String(value)}°`;
    if (kind === 'axis') return structureAxis(displayOf(model), value as AxisName).letter;
    return kind === 'flag' ? '' : String(value);
  };
  return Object.entries(given)
    .flatMap(([name, { kind, after = '' }]) =>
      values[name] === undefined ? [] : [[after, show(kind, values[name])].filter(Boolean).join(' ')],
    )
    .join(' ');
}

/** The keyword that can follow, and the text with it: the word that is being written is completed, else the next one is added. */
export function completed(given: Arguments, text: string): { readonly keyword: string; readonly text: string } | undefined {
  const words = text.trim().split(/\s+/);
  const used = new Set(words.map((word) => word.toLowerCase()));
  const left = Object.values(given).flatMap(({ after }) => (after && !used.has(after) ? [after] : []));
  const last = words.at(-1)!.toLowerCase();
  const begun = text.endsWith(' ') || last === '' ? undefined : left.find((keyword) => keyword.startsWith(last));
  const keyword = begun ?? left[0];
  if (keyword === undefined) return undefined;
  return { keyword, text: [...(begun ? words.slice(0, -1) : words), keyword, ''].join(' ') };
}

/**
 * −1 where a reader counts against an axis of the file: lengths along it and turns about it are the other way round. In the plane what turns does
 * so as it is seen.
 */
export const senseOf = (model: Model, axis: AxisName): 1 | -1 =>
  model.space === 'plane' && axis === 'z' ? 1 : structureAxis(displayOf(model), axis).sign;
