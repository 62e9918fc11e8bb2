import { applyIntent } from '../model/edits/apply-intent';
import type { Model } from '../model/model';
import type { Found, Mechanism } from '../kinematics/mechanism';
import { analysisFaults } from '../stiffness/analysis-checks';
import { countHarmful } from './classify-mechanisms';
import { diagnose } from './diagnosis';
import { inSystem } from './in-system';
import { candidates, type Remedy } from './remedy-candidates';

/** Trials are whole factorizations, and look at every member in every motion: enough of them to help, not so many that the answer waits. */
const MOST_MECHANISMS = 6;
const MOST_MEMBERS = 3000;
const MOST_WORK = 1e5;
const ENOUGH = 2;

/** A mechanism, and the edits that take it away. */
export interface RemediedMechanism extends Mechanism {
  readonly remedies: readonly Remedy[];
}

/**
 * The mechanisms of a sound model with remedies: edits for the pattern behind each, every one tried on the model and kept only if fewer
 * harmful mechanisms are left after it. Nothing for a model that is not unstable. Trials take their time: to be asked for, not part of
 * solving.
 */
export function mechanismsWithRemedies(model: Model): RemediedMechanism[] {
  if (analysisFaults(model).length > 0) return [];
  return inSystem(model, (system, onNodes, onMembers) => {
    const { found, isStable } = diagnose(system, onNodes, onMembers);
    return isStable ? [] : remedied(model, found, countHarmful(system, onNodes, onMembers));
  });
}

function remedied(model: Model, found: readonly Found[], before: number): RemediedMechanism[] {
  let tried = 0;
  let work = 0;
  return found.map(({ mechanism, motion }) => {
    const remedies: Remedy[] = [];
    if (mechanism.harmless || model.members.length > MOST_MEMBERS || tried >= MOST_MECHANISMS) return { ...mechanism, remedies };
    tried++;
    for (const remedy of candidates(model, motion)) {
      if (remedies.length >= ENOUGH || work > MOST_WORK) break;
      if (remedies.some(({ description }) => description === remedy.description)) continue;
      work += model.members.length * (1 + before);
      const applied = applyIntent(model, remedy.edit);
      if (applied.ok && harmfulMechanisms(applied.model) < before) remedies.push(remedy);
    }
    return { ...mechanism, remedies };
  });
}

/** How many harmful mechanisms a model has: what a remedy must make fewer. Infinity for a model that cannot be solved at all. */
function harmfulMechanisms(model: Model): number {
  return analysisFaults(model).length > 0 ? Infinity : inSystem(model, countHarmful);
}
