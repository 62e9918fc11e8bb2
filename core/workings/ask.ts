import { AnalysisSession } from '../analysis/session';
import { oneSidedIn } from '../model/loads/one-sided';
import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import { words as WORDS } from './words';
import { worked, type Worked } from './worked';

/** Members whose workings are written. */
export const MOST_WORKED = 60;

/** The workings of a case of a sound model; or why there are none: notices of the analysis, or words. */
export function workingsOf(model: Model, caseId: string): Worked | { readonly notices: readonly Notice[] } | string {
  const c = model.cases.findIndex(({ id }) => id === caseId);
  if (c < 0) return WORDS.noCase(caseId, model.cases.map(({ id }) => id).join(', '));
  if (model.members.length > MOST_WORKED) return WORDS.large(model.members.length, MOST_WORKED);
  if (oneSidedIn(model).length > 0) return WORDS.oneWay;
  // Of the first order alone, whatever else the model asks for.
  const { secondOrder: _, buckling: __, naturalModes: ___, ...analysis } = model.analysis ?? {};
  const session = new AnalysisSession();
  try {
    const { solution, notices } = session.update({ ...model, analysis }).now;
    if (!solution) return { notices };
    return worked(session.system!, c, solution.responses[c]!) ?? WORDS.unheld;
  } finally {
    session.close();
  }
}
