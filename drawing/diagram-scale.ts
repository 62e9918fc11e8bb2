import { once } from '@rigid-beam/core/once';
import { extremesOverMembers, type OverMembers } from '@rigid-beam/core/results/extremes-over-members';
import type { Quantity } from '@rigid-beam/core/results/quantities';
import { isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { niceBelow, scaleAbove } from './nice';

/** The part of the structure's size that the largest ordinate of a diagram takes. */
const DIAGRAM_PART = 0.1;
const DEFLECTION_PART = 0.06;

/** Where the largest and the smallest value of a quantity stand in the whole structure. */
export type Governing = OverMembers;

/** What was found for a solution; several views ask for the same figures. */
const foundFor = once((_solution: Solution) => new Map<string, Governing | undefined>());

/** Exact extremes of a quantity over all members; undefined where there is no member, and of an envelope that is still to be read. */
export function governingValues(solution: Solution, outcome: number, quantity: Quantity): Governing | undefined {
  if (!solution.outcomes[outcome] || !isReady(solution, outcome)) return undefined;
  const known = foundFor(solution);
  const key = `${outcome} ${quantity}`;
  if (!known.has(key)) known.set(key, extremesOverMembers(solution, outcome, quantity));
  return known.get(key);
}

export const largestOf = (governing: Governing | undefined): number =>
  governing ? Math.max(Math.abs(governing.max.value), Math.abs(governing.min.value)) : 0;

/** Metres of drawing for one N or N·m, such that one metre, or foot (`drawn`, metres), stands for a round value in the unit shown. */
export function diagramScale(
  largest: number,
  size: number,
  unitFactor: number,
  factor: number,
  drawn = 1,
): { readonly metresPerUnit: number; readonly perMetre: number } {
  if (!(largest > 0) || !(size > 0)) return { metresPerUnit: 0, perMetre: 0 };
  const perMetre = (unitFactor / drawn) * scaleAbove((largest * drawn) / (DIAGRAM_PART * size * factor) / unitFactor);
  return { metresPerUnit: 1 / perMetre, perMetre };
}

/** The round factor by which deflections are drawn larger than life. */
export function deflectionScale(largest: number, size: number, factor: number): number {
  return largest > 0 && size > 0 ? niceBelow((DEFLECTION_PART * size * factor) / largest) : 0;
}
