import type { CaseColour, Load, LoadCase, Model } from '@rigid-beam/core/model/model';
import { STANDARD_GRAVITY } from '@rigid-beam/core/model/model';
import { phraseOfLoad } from '@rigid-beam/core/phrases/phrase-of-load';
import { phraseWords } from '@rigid-beam/core/phrases/phrase-words';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { billOf, together } from '@rigid-beam/core/sections/bill';
import { loadWords, placeWords } from '../sheet/describe-items';
import type { Governing } from '../editor/slices/solution';

/** A load in a line, as it would be said. */
export function loadLine(load: Load, model: Model, display: DisplayUnits): string {
  const phrase = phraseOfLoad(load, model);
  return phrase ? `${phraseWords(phrase, display)} · ${placeWords(load)}` : loadWords(load, display);
}

/** What all members weigh with the factor of a case, N; undefined where it does not count, or where a mass is not known. */
export function weightIn(model: Model, { selfWeight = 0 }: LoadCase): number | undefined {
  const { mass } = selfWeight === 0 ? {} : together(billOf(model));
  return mass === undefined ? undefined : mass * (model.gravity ?? STANDARD_GRAVITY) * selfWeight;
}

/** The case in a colour of its own, or without one. */
export function coloured({ colour: _, ...rest }: LoadCase, to: CaseColour): LoadCase {
  return to === 'brown' ? rest : { ...rest, colour: to };
}

/** Combinations that govern nowhere, as far as that was found of this model: what was found of another one is not told of it. */
export const idleIn = (governing: Governing | undefined, model: Model): ReadonlySet<string> =>
  new Set(governing?.model === model ? [...governing.counts].flatMap(([id, count]) => (count === 0 ? [id] : [])) : []);
