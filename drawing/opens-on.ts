import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';
import { governingValues, largestOf } from './diagram-scale';
import type { ForceQuantity } from './view';

/** Bending that is less than this part of what the axial forces would make over a member's length is secondary. */
const SECONDARY = 0.05;

/** Whether a structure carries by tension and compression: no member bends, or all bend only beside that. */
export function carriesAxially(model: Model, solution: Solution | undefined): boolean {
  if (model.members.length === 0) return false;
  if (model.members.every(({ behaviour }) => behaviour !== undefined && behaviour !== 'frame')) return true;
  if (!solution || solution.outcomes.length === 0) return false;
  const lengths = [...solution.structure.lengths].sort((a, b) => a - b);
  const usual = lengths[Math.floor(lengths.length / 2)] ?? 0;
  // In the case with the largest axial forces: one that acts on nothing tells nothing.
  let [axial, bending] = [0, 0];
  for (const [outcome, { kind }] of solution.outcomes.entries()) {
    if (kind !== 'case') continue;
    const force = largestOf(governingValues(solution, outcome, 'N'));
    if (force <= axial) continue;
    axial = force;
    bending = Math.max(...momentsOf(model).map((quantity) => largestOf(governingValues(solution, outcome, quantity))));
  }
  return axial > 0 && bending < SECONDARY * axial * usual;
}

const momentsOf = ({ space }: Model): readonly ForceQuantity[] => (space === 'space' ? ['Mz', 'My'] : ['Mz']);

/** The quantity that a model opens on: axial forces where it carries by them, else the larger of its bending moments. */
export function opensOn(model: Model, solution: Solution | undefined): ForceQuantity {
  if (carriesAxially(model, solution)) return 'N';
  if (model.space === 'plane' || !solution) return 'Mz';
  return largestMoment(solution, 0, 'My') > largestMoment(solution, 0, 'Mz') * (1 + 1e-9) ? 'My' : 'Mz';
}

export const largestMoment = (solution: Solution, outcome: number, quantity: ForceQuantity): number =>
  largestOf(governingValues(solution, outcome, quantity));
