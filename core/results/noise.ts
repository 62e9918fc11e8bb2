import { once } from '../once';
import { quantityTable, type Quantity } from './quantities';
import { nodalRange } from './nodal-range';
import type { Solution } from './results';

/** Share of the largest value of its kind under which a value says nothing: digits that were lost, not a force. */
const NOISE = 1e-6;
/** Metres at which the largest force stands for a couple, and the other way round: where one kind is all noise, the other tells. */
const ARM = 0.1;

/** What counts beside others: the largest force (N) and couple (N·m) that the supports give. */
export interface Sizes {
  readonly force: number;
  readonly couple: number;
}

const found = once((_: Solution) => new Map<number, Sizes>());

/** The sizes beside which values of an outcome are read. Cost: linear in the supports, once. */
export function sizesOf(solution: Solution, outcome: number): Sizes {
  const known = found(solution);
  const before = known.get(outcome);
  if (before) return before;
  let [force, couple] = [0, 0];
  solution.supported.forEach((isSupported, i) => {
    if (!isSupported) return;
    for (let k = 0; k < 6; k++) {
      const { max, min } = nodalRange(solution, outcome, 'reactions', 6 * i + k);
      if (k < 3) force = Math.max(force, max, -min);
      else couple = Math.max(couple, max, -min);
    }
  });
  const sizes = { force: Math.max(force, couple), couple: Math.max(couple, force * ARM) };
  known.set(outcome, sizes);
  return sizes;
}

/** The value, or 0 where it is noise beside what there is (`size`). */
export const quiet = (value: number, size: number): number => (Math.abs(value) < NOISE * size ? 0 : value);

/** A value along a member without its noise: nothing beside the forces of the outcome is 0. */
export function quietValue(solution: Solution, outcome: number, quantity: Quantity, value: number): number {
  const { dimension } = quantityTable[quantity];
  if (dimension !== 'force' && dimension !== 'moment') return value;
  const sizes = sizesOf(solution, outcome);
  return quiet(value, dimension === 'force' ? sizes.force : sizes.couple);
}
