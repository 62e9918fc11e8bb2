import { readOutcome } from '@rigid-beam/core/combinations/outcome';
import { membersAlong } from '@rigid-beam/core/model/selecting';
import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';
import { quantityExtremes } from '@rigid-beam/core/results/read-quantity';
import { governingValues, largestOf } from './diagram-scale';
import type { SheetQuantity } from './view';

/** A member whose bending is less than this part of what its axial force would make over its length is pulled or pushed, and hardly bent. */
const SECONDARY = 0.1;
/** The part of a structure's members that has to be so. */
const MOST = 0.75;
/** The part of leaning members from which a structure is braced throughout: a tower, whose rings carry next to nothing. */
const BRACED = 0.2;
/** Of the largest axial force: a member of a braced structure that bends less than this would over its length only keeps others in place. */
const IDLE = 0.01;

/** Whether a structure carries by tension and compression: no member bends, or nearly all bend only beside that. */
export function carriesAxially(model: Model, solution: Solution | undefined): boolean {
  if (model.members.length === 0) return false;
  if (model.members.every(({ behaviour }) => behaviour !== undefined && behaviour !== 'frame')) return true;
  if (!solution || solution.outcomes.length === 0) return false;
  // In the case with the largest axial forces: one that acts on nothing tells nothing.
  let [acting, axial] = [-1, 0];
  const nothing = (): number => 0;
  for (const [outcome, one] of solution.outcomes.entries()) {
    const force = readOutcome(one, {
      solved: () => largestOf(governingValues(solution, outcome, 'N')),
      superposed: nothing,
      travelling: nothing,
      spectral: nothing,
      envelope: nothing,
      shape: nothing,
    });
    if (force > axial) [acting, axial] = [outcome, force];
  }
  if (acting < 0) return false;
  const moments = momentsOf(model);
  const idle = (membersAlong(model, 'inclined').length >= BRACED * model.members.length ? IDLE : 0) * axial;
  const size = (member: number, quantity: SheetQuantity): number => {
    const found = quantityExtremes(solution, acting, member, quantity);
    return found ? Math.max(Math.abs(found.max.value), Math.abs(found.min.value)) : 0;
  };
  let straight = 0;
  for (let m = 0; m < model.members.length; m++) {
    const force = size(m, 'N');
    const bending = Math.max(...moments.map((quantity) => size(m, quantity)));
    // What carries nothing says nothing against it.
    if (
      bending <= SECONDARY * force * solution.structure.lengths[m]! ||
      bending < Math.max(1e-9 * axial, idle * solution.structure.lengths[m]!)
    )
      straight++;
  }
  return straight >= MOST * model.members.length;
}

const momentsOf = ({ space }: Model): readonly SheetQuantity[] => (space === 'space' ? ['Mz', 'My'] : ['Mz']);

/** The quantity that a model opens on: axial forces where it carries by them, else the larger of its bending moments. */
export function opensOn(model: Model, solution: Solution | undefined): SheetQuantity {
  if (carriesAxially(model, solution)) return 'N';
  if (model.space === 'plane' || !solution) return 'Mz';
  return largestMoment(solution, 0, 'My') > largestMoment(solution, 0, 'Mz') * (1 + 1e-9) ? 'My' : 'Mz';
}

export const largestMoment = (solution: Solution, outcome: number, quantity: SheetQuantity): number =>
  largestOf(governingValues(solution, outcome, quantity));
