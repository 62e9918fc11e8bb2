import { namedBy } from '../model/parameters/evaluate';
import { kindAt } from '../model/parameters/place';
import { turnedRound } from '../model/parameters/turned-round';
import type { Model } from '../model/model';
import { displayOf } from '../quantities/display';
import type { Scope } from '../quantities/expression';
import type { LoadPhrase, PhraseKind, Varied } from './phrase';
import { loadsOfPhrase, type MadeLoads, type PhrasedLoad, type PhraseTarget } from './phrase-loads';
import type { Mentioned } from './phrase-size';
import { readLoadPhrase, type ReadPhrase } from './read-phrase';

/** By which part a parameter is made smaller to see which numbers of a load hang on it: each by another, and none by a simple part of another’s, so that no sum of them is taken for one of them. */
const less = (i: number): number => 1e-3 * (1 + ((((i + 1) * (Math.sqrt(5) - 1)) / 2) % 1));

/**
 * Reads a phrase whose sizes may mention parameters of the model (`1.35 g down`, `snow down between 0 and span/3`): it is read a second time
 * with other values of them, which tells the numbers of a load that follow.
 */
export function readNamedPhrase(text: string, model: Model, bare: PhraseKind): ReadPhrase {
  const setting = { display: displayOf(model), space: model.space, bare };
  const { scope } = namedBy(model.parameters ?? [], model.formulas ?? []);
  if (scope.size === 0) return readLoadPhrase(text, setting);
  const read = (names: Scope): { phrase: ReadPhrase; sizes: readonly Mentioned[] } => {
    const sizes: Mentioned[] = [];
    return { phrase: readLoadPhrase(text, { ...setting, naming: { scope: names, hear: (one) => sizes.push(one) } }), sizes };
  };
  const { phrase: own, sizes } = read(scope);
  if (!own.ok || sizes.length === 0) return own;
  const moved = new Map([...scope].map(([name, one], i) => [name, { ...one, value: one.value * (1 - less(i)) }]));
  const { phrase: other, sizes: others } = read(moved);
  if (!other.ok || others.length !== sizes.length) return { ok: false, reason: NOT_KEPT };
  const varied: Varied = {
    phrase: other.phrase,
    sizes: sizes.map((one, i) => ({ ...one, other: others[i]!.value })),
  };
  return { ok: true, phrase: { ...own.phrase, varied } };
}

const NOT_KEPT = 'what it says of parameters cannot be kept as an expression: write numbers';

/** The loads that a phrase means, as an edit puts them: expressions stand in place of the numbers that they give. */
export function entriesOfPhrase(phrase: LoadPhrase, target: PhraseTarget, model: Model, caseId: string): MadeLoads {
  const made = loadsOfPhrase(phrase, target, model, caseId);
  const { varied } = phrase;
  if (!made.ok || !varied) return made;
  const other = loadsOfPhrase(varied.phrase, target, model, caseId);
  if (!other.ok || other.loads.length !== made.loads.length) return { ok: false, reason: NOT_KEPT };
  const loads = made.loads.map((load, i) => withExpressions(load, other.loads[i], { load, varied, place: [] }));
  return loads.includes(undefined) ? { ok: false, reason: NOT_KEPT } : { ok: true, loads: loads as PhrasedLoad[] };
}

/** A load, where in it one is, and the sizes that were told. */
interface Within {
  readonly load: PhrasedLoad;
  readonly varied: Varied;
  readonly place: readonly string[];
}

/** A value in which numbers that differ from those of the other are expressions; undefined where one follows no size in proportion. */
function withExpressions(value: unknown, other: unknown, within: Within): unknown {
  if (typeof value === 'number' && typeof other === 'number') return value === other ? value : expressionOf(value, other, within);
  if (typeof value !== 'object' || value === null || typeof other !== 'object' || other === null)
    return value === other ? value : undefined;
  const entries = Object.entries(value).map(
    ([key, one]) =>
      [key, withExpressions(one, (other as Record<string, unknown>)[key], { ...within, place: [...within.place, key] })] as const,
  );
  if (Object.keys(other).length !== entries.length || entries.some(([, one]) => one === undefined)) return undefined;
  return Array.isArray(value) ? entries.map(([, one]) => one) : Object.fromEntries(entries);
}

/** The size, times what, that a number of a load is: one of the same dimension. */
function expressionOf(value: number, other: number, { load, varied, place }: Within): string | undefined {
  const kind = kindAt({ holder: load, rest: place, list: 'loads' });
  for (const size of varied.sizes) {
    if (size.dimension !== kind?.dimension) continue;
    const times = size.value === 0 ? other / size.other : value / size.value;
    const meets = (one: number, beside: number): boolean => Math.abs(times * one - beside) <= 1e-9 * Math.abs(beside);
    if (!Number.isFinite(times) || !meets(size.other, other) || !meets(size.value, value)) continue;
    if (Math.abs(times - 1) < 1e-12) return size.kept;
    return Math.abs(times + 1) < 1e-12 ? turnedRound(size.kept) : `${Number(times.toPrecision(15))}*(${size.kept})`;
  }
  return undefined;
}
