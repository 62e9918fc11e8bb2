import { counted } from '../counted';
import { displayOf } from '../quantities/display';
import type { Load, Model } from '../model/model';
import type { PhraseKind } from './phrase';
import { loadsOfPhrase, type PhraseTarget } from './phrase-loads';
import { readLoadPhrase } from './read-phrase';

/** What is said, where it acts, and of which load: `bare` is what a number without a unit is. */
interface Saying {
  readonly text: string;
  readonly target: PhraseTarget;
  readonly id: string;
  readonly case: string;
  readonly bare?: PhraseKind;
}

/** The one load that a phrase means; a reason where it means none, or more than one. */
export function saidLoad({ text, target, id, case: caseId, bare = 'line' }: Saying, model: Model): Load | string {
  const read = readLoadPhrase(text, { display: displayOf(model), space: model.space, bare });
  if (!read.ok) return read.reason;
  const made = loadsOfPhrase(read.phrase, target, model, caseId);
  if (!made.ok) return made.reason;
  if (made.loads.length !== 1) return `it would be ${counted(made.loads.length, 'load')}`;
  return { ...made.loads[0], id } as unknown as Load;
}
