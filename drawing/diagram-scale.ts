import { once } from '@rigid-beam/core/once';
import { overMembersInSteps, type OverMembers } from '@rigid-beam/core/results/extremes-over-members';
import type { Quantity } from '@rigid-beam/core/results/quantities';
import { isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { finished, type Steps } from '@rigid-beam/core/steps';

/** The part of the structure's size that the largest ordinate of a diagram takes. */
const DIAGRAM_PART = 0.1;
const DEFLECTION_PART = 0.06;

/** Where the largest and the smallest value of a quantity stand in the whole structure; of a magnitude only the largest counts, and is both. */
export type Governing = OverMembers;

/** What was found, or is being found, for a solution; several views ask for the same figures. */
const soughtFor = once(
  (_solution: Solution) => new Map<string, Steps<Governing | undefined> | { readonly found: Governing | undefined }>(),
);

/** Exact extremes of a quantity over all members; undefined where there is no member, and of an envelope that is still to be read. */
export const governingValues = (...asked: Parameters<typeof governingInSteps>): Governing | undefined =>
  finished(governingInSteps(...asked));

/** The same in steps: whoever asks meanwhile goes on with what is done. */
export function* governingInSteps(solution: Solution, outcome: number, quantity: Quantity): Steps<Governing | undefined> {
  if (!solution.outcomes[outcome] || !isReady(solution, outcome)) return undefined;
  const sought = soughtFor(solution);
  const key = `${outcome} ${quantity}`;
  for (;;) {
    const one = sought.get(key) ?? overMembersInSteps(solution, outcome, quantity, 'those that count');
    if ('found' in one) return one.found;
    // What fails is not gone on with.
    sought.delete(key);
    const step = one.next();
    sought.set(key, step.done ? { found: step.value } : one);
    if (!step.done) yield;
  }
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

/** The largest of 1, 2, 5 × 10ⁿ that is not above x. */
export function niceBelow(x: number): number {
  const power = 10 ** Math.floor(Math.log10(x));
  const lead = x / power;
  return (lead >= 5 - 1e-9 ? 5 : lead >= 2 - 1e-9 ? 2 : 1) * power;
}

/** The smallest round number that is not below x, in steps that come near to it: what a length of a drawing stands for. */
export function scaleAbove(x: number): number {
  const power = 10 ** Math.floor(Math.log10(x));
  const lead = x / power;
  return (STEPS.find((step) => step >= lead - 1e-9) ?? 10) * power;
}
const STEPS = [1, 1.25, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10];
