import type { Entity } from '../model/findings';
import { given, namedBy } from '../model/parameters/evaluate';
import { kindAt, placeOf, putAt } from '../model/parameters/place';
import type { Load, Model } from '../model/model';
import { displayOf } from '../quantities/display';
import type { Scope } from '../quantities/expression';
import type { LoadPhrase, PhraseKind, Varied } from './phrase';
import { phraseOfLoad } from './phrase-of-load';
import { loadsOfPhrase, type MadeLoads, type PhrasedLoad, type PhraseTarget } from './phrase-loads';
import type { Mentioned } from './phrase-size';
import { readLoadPhrase, type ReadPhrase } from './read-phrase';
import { sizedBy } from './sized-by';

/** By which part a parameter is made smaller to see which numbers of a load hang on it: each by another, and none by a simple part of another’s, so that no sum of them is taken for one of them. */
const less = (i: number): number => 1e-3 * (1 + ((((i + 1) * (Math.sqrt(5) - 1)) / 2) % 1));

const otherThan = (scope: Scope): Scope =>
  new Map([...scope].map(([name, one], i) => [name, { ...one, value: one.value * (1 - less(i)) }]));

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
  const { phrase: other, sizes: others } = read(otherThan(scope));
  if (!other.ok || others.length !== sizes.length) return { ok: false, reason: NOT_KEPT };
  const varied: Varied = {
    phrase: other.phrase,
    sizes: sizes.map((one, i) => ({ ...one, other: others[i]!.value })),
  };
  return { ok: true, phrase: { ...own.phrase, varied } };
}

const NOT_KEPT = 'what it says of parameters cannot be kept as an expression: write numbers';

/** The phrase that says a load of the model, with the expressions that give its numbers. */
export function namedPhraseOf(load: Load, model: Model): LoadPhrase | undefined {
  const phrase = phraseOfLoad(load, model);
  const formulas = (model.formulas ?? []).filter(({ of }) => {
    const [list, id] = placeOf(of);
    return list === 'loads' && id === load.id;
  });
  if (!phrase || formulas.length === 0) return phrase;
  const named = namedBy(model.parameters ?? [], model.formulas ?? []);
  const other = structuredClone(load);
  const sizes = formulas.flatMap(({ of, is }): Varied['sizes'] => {
    const held = { holder: other as unknown as Entity, rest: placeOf(of).slice(2), list: 'loads' as const };
    const kind = kindAt(held);
    const [own, beside] = kind ? [named, { ...named, scope: otherThan(named.scope) }].map((one) => given(is, kind, one)) : [];
    if (!kind || !own || !beside || 'reason' in own || 'reason' in beside || !putAt(held, beside.value)) return [];
    return [{ dimension: kind.dimension, value: own.value, other: beside.value, kept: is }];
  });
  const varied = phraseOfLoad(other, model);
  return varied ? { ...phrase, varied: { phrase: varied, sizes } } : phrase;
}

/** The loads that a phrase means, as an edit puts them: expressions stand in place of the numbers that they give. */
export function entriesOfPhrase(phrase: LoadPhrase, target: PhraseTarget, model: Model, caseId: string): MadeLoads {
  const made = loadsOfPhrase(phrase, target, model, caseId);
  const { varied } = phrase;
  if (!made.ok || !varied) return made;
  const other = loadsOfPhrase(varied.phrase, target, model, caseId);
  if (!other.ok || other.loads.length !== made.loads.length) return { ok: false, reason: NOT_KEPT };
  const loads = made.loads.map((load, i) => sizedBy(load, other.loads[i], varied.sizes));
  return loads.includes(undefined) ? { ok: false, reason: NOT_KEPT } : { ok: true, loads: loads as PhrasedLoad[] };
}
