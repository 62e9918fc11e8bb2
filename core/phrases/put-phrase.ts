import type { Intent } from '../model/edits/intent';
import type { Model } from '../model/model';
import type { LoadPhrase } from './phrase';
import { entriesOfPhrase } from './named-phrase';
import type { PhraseTarget } from './phrase-loads';

/** The edits that put a load on several targets, whole or not at all: a reason where it cannot act on one of them. */
export function putPhrase(
  phrase: LoadPhrase,
  targets: readonly PhraseTarget[],
  model: Model,
  caseId: string,
): readonly Intent[] | string {
  const intents: Intent[] = [];
  for (const target of targets) {
    const made = entriesOfPhrase(phrase, target, model, caseId);
    if (!made.ok) return made.reason;
    for (const entry of made.loads) intents.push({ type: 'put', list: 'loads', entry });
  }
  return intents;
}
