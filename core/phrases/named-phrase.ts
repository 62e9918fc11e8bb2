import { namedBy } from '../model/parameters/evaluate';
import { turnedRound } from '../model/parameters/turned-round';
import type { Model } from '../model/model';
import { displayOf } from '../quantities/display';
import type { Scope } from '../quantities/expression';
import type { LoadPhrase, PhraseKind, Varied } from './phrase';
import { loadsOfPhrase, type MadeLoads, type PhrasedLoad, type PhraseTarget } from './phrase-loads';
import type { Mentioned } from './phrase-size';
import { readLoadPhrase, type ReadPhrase } from './read-phrase';

/** Parts by which parameters are made smaller to see which numbers of a load hang on them; each by another, so that no two can be taken for one. */
const LESS = 1e-3;

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
  const less = new Map([...scope].map(([name, one], i) => [name, { ...one, value: one.value * (1 - LESS * (i + 1)) }]));
  const { phrase: other, sizes: others } = read(less);
  if (!other.ok || others.length !== sizes.length) return { ok: false, reason: NOT_KEPT };
  const varied: Varied = {
    phrase: other.phrase,
    sizes: sizes.map(({ value, kept }, i) => ({ value, other: others[i]!.value, kept })),
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
  const loads = made.loads.map((load, i) => withExpressions(load, other.loads[i], varied));
  return loads.includes(undefined) ? { ok: false, reason: NOT_KEPT } : { ok: true, loads: loads as PhrasedLoad[] };
}

/** A value in which numbers that differ from those of the other are expressions; undefined where one follows no size in proportion. */
function withExpressions(value: unknown, other: unknown, varied: Varied): unknown {
  if (typeof value === 'number' && typeof other === 'number') return value === other ? value : expressionOf(value, other, varied);
  if (Array.isArray(value) && Array.isArray(other)) {
    const all = value.map((one, i) => withExpressions(one, other[i], varied));
    return value.length === other.length && !all.includes(undefined) ? all : undefined;
  }
  if (typeof value === 'object' && value !== null && typeof other === 'object' && other !== null) {
    const entries = Object.entries(value).map(
      ([key, one]) => [key, withExpressions(one, (other as Record<string, unknown>)[key], varied)] as const,
    );
    const isWhole = Object.keys(other).length === entries.length && entries.every(([, one]) => one !== undefined);
    return isWhole ? Object.fromEntries(entries) : undefined;
  }
  return value === other ? value : undefined;
}

function expressionOf(value: number, other: number, { sizes }: Varied): string | undefined {
  for (const size of sizes) {
    const times = size.value === 0 ? other / size.other : value / size.value;
    const isIt =
      Math.abs(times * size.other - other) <= 1e-9 * Math.abs(other) &&
      Math.abs(times * size.value - value) <= 1e-9 * Math.abs(value);
    if (!Number.isFinite(times) || !isIt) continue;
    if (Math.abs(times - 1) < 1e-12) return size.kept;
    return Math.abs(times + 1) < 1e-12 ? turnedRound(size.kept) : `${Number(times.toPrecision(15))}*(${size.kept})`;
  }
  return undefined;
}
