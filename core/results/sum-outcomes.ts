import { balance } from './equilibrium';
import type { LinearOutcome, Resultant } from './results';

/** The weighted sum of solved cases; nothing is solved again. */
export function sumOutcomes(solved: readonly LinearOutcome[], factors: Float64Array): LinearOutcome {
  const sum = (pick: (outcome: LinearOutcome) => Float64Array): Float64Array => {
    const total = new Float64Array(pick(solved[0]!).length);
    const parts = solved.map(pick);
    // Piece by piece through all cases, so that the piece stays in the processor's cache.
    for (let from = 0; from < total.length; from += CHUNK)
      parts.forEach((part, c) => addScaled(total, part, factors[c]!, from, Math.min(from + CHUNK, total.length)));
    return total;
  };
  const displacements = sum((outcome) => outcome.displacements);
  const reactions = sum((outcome) => outcome.reactions);
  const ends = sum((outcome) => outcome.ends);
  const coefficients = sum((outcome) => outcome.coefficients);
  const resultant = (pick: (outcome: LinearOutcome) => Resultant): Resultant =>
    solved.reduce<readonly number[]>(
      (total, outcome, c) => total.map((part, k) => part + factors[c]! * pick(outcome)[k]!),
      [0, 0, 0, 0, 0, 0],
    ) as unknown as Resultant;
  const worst = (pick: (outcome: LinearOutcome) => number): number =>
    solved.reduce((max, outcome, c) => (factors[c] === 0 ? max : Math.max(max, pick(outcome))), 0);
  const size = solved.reduce((sum, { equilibrium }, c) => sum + Math.abs(factors[c]!) * equilibrium.size, 0);
  const equilibrium = {
    ...balance(
      resultant((outcome) => outcome.equilibrium.applied),
      resultant((outcome) => outcome.equilibrium.reactions),
      size,
    ),
    solutionResidual: worst((outcome) => outcome.equilibrium.solutionResidual),
    jointResidual: worst((outcome) => outcome.equilibrium.jointResidual),
    size,
  };
  return { displacements, reactions, ends, coefficients, equilibrium };
}

const CHUNK = 2048;

function addScaled(total: Float64Array, part: Float64Array, factor: number, from: number, to: number): void {
  if (factor === 0) return;
  for (let i = from; i < to; i++) total[i]! += factor * part[i]!;
}
