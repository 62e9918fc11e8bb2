import { counted } from '../counted';
import type { Load, Model } from '../model/model';
import type { PhraseKind } from './phrase';
import { entriesOfPhrase, readNamedPhrase } from './named-phrase';
import { loadsOfPhrase, type MadeLoads, type PhraseTarget } from './phrase-loads';

/** What is said, where it acts, and of which load: `bare` is what a number without a unit is. */
interface Saying {
  readonly text: string;
  readonly target: PhraseTarget;
  readonly id: string;
  readonly case: string;
  readonly bare?: PhraseKind;
}

/** A load as it is now, and as an edit puts it: with expressions in place of the numbers that they give. */
export interface SaidLoad {
  readonly load: Load;
  readonly entry: Readonly<Record<string, unknown>>;
}

/** The one load that a phrase means; a reason where it means none, or more than one. */
export function saidLoad({ text, target, id, case: caseId, bare = 'line' }: Saying, model: Model): SaidLoad | string {
  const read = readNamedPhrase(text, model, bare);
  if (!read.ok) return read.reason;
  const [made, put] = [loadsOfPhrase, entriesOfPhrase].map((of) => of(read.phrase, target, model, caseId)) as [
    MadeLoads,
    MadeLoads,
  ];
  if (!made.ok) return made.reason;
  if (!put.ok) return put.reason;
  if (made.loads.length !== 1) return `it would be ${counted(made.loads.length, 'load')}`;
  return { load: { ...made.loads[0], id } as unknown as Load, entry: { ...put.loads[0], id } };
}
