import type { Draft } from 'immer';
import type { Entity } from '../findings';
import type { Formula, Model } from '../model';
import type { Notice } from '../notice';
import { given, isSameNumber, namedBy, type Named } from '../parameters/evaluate';
import { mentions } from '../parameters/mentions';
import { countsAlong, Entries, kindAt, placeOf, putAt, valueAt } from '../parameters/place';
import { placeSaid } from '../parameters/words';
import { unfit } from './unfit';

/** What an edit has made of a model with expressions: the model before it, as it stands now, and where to tell what was lost. */
interface Followed {
  readonly draft: Draft<Model>;
  readonly before: Model;
  readonly now: Model;
  /** Something was removed: what hung on that goes with it without a word. */
  readonly isRemoval: boolean;
  readonly tell: (words: string) => void;
}

/**
 * After an edit: numbers that are given by expressions follow them. A number that the edit itself has changed follows no longer, and that is
 * said; an expression that gives nothing any more is refused with its place.
 */
export function followFormulas(followed: Followed): Notice | undefined {
  const { draft, now } = followed;
  if (!now.formulas?.length) return undefined;
  const kept = keptOf(followed);
  if (kept.length === 0) delete draft.formulas;
  else if (kept.length < now.formulas.length) draft.formulas = kept as Draft<Formula>[];
  const named = namedBy(now.parameters ?? [], kept);
  const refusal = followingParameters(draft, named);
  if (refusal) return refusal;
  const entries = new Entries(now as unknown as Entity);
  for (const { of, is } of kept) {
    const place = placeOf(of);
    if (place[0] === 'parameters') continue;
    const held = entries.holding(place);
    const kind = held && kindAt(held);
    if (!kind) return unfit('formulas', `There is no number at “${of}” that “${is}” could give`, 'Name a number of the model');
    const value = given(is, kind, named);
    if ('reason' in value)
      return unfit(
        'formulas',
        `“${is}” gives nothing (${placeSaid(now, of)}): ${value.reason}`,
        'Mend the expression, or write a number in its place',
      );
    const stands = valueAt(held);
    if (typeof stands === 'number' && isSameNumber(stands, value.value)) continue;
    if (isText(stands)) continue;
    if (!putAt(entries.holding(place, draft as unknown as Entity)!, value.value))
      return unfit('formulas', `There is nothing at “${of}” that “${is}” could be put into`, 'Name a number of the model');
  }
  return undefined;
}

/** Parameters that others give. */
function followingParameters(draft: Draft<Model>, { scope, reasons }: Named): Notice | undefined {
  for (const [id, reason] of reasons)
    return unfit('parameters', `The parameter “${id}” has no value: ${reason}`, 'Mend its expression, or give it a number');
  for (const one of draft.parameters ?? []) {
    const { value } = scope.get(one.id)!;
    if (!isSameNumber(one.value, value)) one.value = value;
  }
  return undefined;
}

/** The expressions whose numbers were left to them. */
function keptOf({ before, now, isRemoval, tell }: Followed): readonly Formula[] {
  const said = new Map((before.formulas ?? []).map(({ of, is }) => [of, is]));
  const [were, are] = [new Entries(before as unknown as Entity), new Entries(now as unknown as Entity)];
  const names = new Set(now.parameters?.map(({ id }) => id));
  const lost = new Set((before.parameters ?? []).map(({ id }) => id).filter((id) => !names.has(id)));
  return now.formulas!.filter(({ of, is }) => {
    const place = placeOf(of);
    const held = are.holding(place);
    const isOld = said.get(of) === is;
    const gone = isOld && [...lost].find((name) => mentions(is, name));
    if (gone) tell(`${placeSaid(now, of)} no longer follows “${is}”: there is no ${gone} any more`);
    if (gone || !isOld) return !gone;
    const had = were.holding(place);
    const stands = held && valueAt(held);
    const isLeft = had && held && valueAt(had) === stands && countsAlong(had) === countsAlong(held);
    // A text in the place of a number is read with the whole model, and tells what it follows.
    if (isLeft || isText(stands)) return true;
    if (held || !isRemoval) tell(`${placeSaid(now, of)} no longer follows “${is}”`);
    return false;
  });
}

const isText = (stands: unknown): boolean => typeof stands === 'string' && stands !== 'fixed' && stands !== 'free';
