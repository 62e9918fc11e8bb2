import { quantityExtremes } from '@rigid-beam/core/results/read-quantity';
import type { Quantity } from '@rigid-beam/core/results/quantities';
import { linearOf } from '@rigid-beam/core/results/sums';
import { isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { niceBelow, scaleAbove } from './nice';

/** The part of the structure's size that the largest ordinate of a diagram takes. */
const DIAGRAM_PART = 0.1;
const DEFLECTION_PART = 0.06;

/** Where the largest and the smallest value of a quantity stand in the whole structure. */
export interface Governing {
  readonly max: { readonly value: number; readonly member: number; readonly x: number; readonly from: number };
  readonly min: { readonly value: number; readonly member: number; readonly x: number; readonly from: number };
}

/** What was found for a solution; several views ask for the same figures. */
const found = new WeakMap<Solution, Map<string, Governing | undefined>>();

/** Exact extremes of a quantity over all members; undefined where there is no member, and of an envelope that is still to be read. */
export function governingValues(solution: Solution, outcome: number, quantity: Quantity): Governing | undefined {
  if (!solution.outcomes[outcome] || !isReady(solution, outcome)) return undefined;
  let known = found.get(solution);
  if (!known) found.set(solution, (known = new Map()));
  const key = `${outcome} ${quantity}`;
  if (!known.has(key)) known.set(key, findGoverning(solution, outcome, quantity));
  return known.get(key);
}

function findGoverning(solution: Solution, outcome: number, quantity: Quantity): Governing | undefined {
  // A sum is added once for all members.
  linearOf(solution, outcome);
  let result: Governing | undefined;
  solution.structure.names.members.forEach((_, member) => {
    const own = quantityExtremes(solution, outcome, member, quantity);
    if (!own) return;
    const { max, min } = own;
    const slack = result ? 1e-9 * Math.max(Math.abs(result.max.value), Math.abs(result.min.value)) : 0;
    result = {
      max: !result || max.value > result.max.value + slack ? { ...max, member } : result.max,
      min: !result || min.value < result.min.value - slack ? { ...min, member } : result.min,
    };
  });
  return result;
}

export const largestOf = (governing: Governing | undefined): number =>
  governing ? Math.max(Math.abs(governing.max.value), Math.abs(governing.min.value)) : 0;

/** Metres of drawing for one N or N·m, such that one metre stands for a round value in the unit shown. */
export function diagramScale(
  largest: number,
  size: number,
  unitFactor: number,
  factor: number,
): { readonly metresPerUnit: number; readonly perMetre: number } {
  if (!(largest > 0) || !(size > 0)) return { metresPerUnit: 0, perMetre: 0 };
  const perMetre = unitFactor * scaleAbove(largest / (DIAGRAM_PART * size * factor) / unitFactor);
  return { metresPerUnit: 1 / perMetre, perMetre };
}

/** The round factor by which deflections are drawn larger than life. */
export function deflectionScale(largest: number, size: number, factor: number): number {
  return largest > 0 && size > 0 ? niceBelow((DEFLECTION_PART * size * factor) / largest) : 0;
}
