import { balance } from './equilibrium';
import type { LinearOutcome, Resultant } from './results';

/** The weighted sum of solved cases; nothing is solved again. */
export function sumOutcomes(solved: readonly LinearOutcome[], factors: Float64Array): LinearOutcome {
  const add = (pick: (outcome: LinearOutcome) => Float64Array | Resultant, length: number): Float64Array => {
    const sum = new Float64Array(length);
    solved.forEach((outcome, c) => {
      const factor = factors[c]!;
      if (factor === 0) return;
      const part = pick(outcome);
      for (let i = 0; i < length; i++) sum[i]! += factor * part[i]!;
    });
    return sum;
  };
  const first = solved[0]!;
  const displacements = add((outcome) => outcome.displacements, first.displacements.length);
  const reactions = add((outcome) => outcome.reactions, first.reactions.length);
  const ends = add((outcome) => outcome.ends, first.ends.length);
  const coefficients = add((outcome) => outcome.coefficients, first.coefficients.length);
  const resultant = (pick: (outcome: LinearOutcome) => Resultant): Resultant => Array.from(add(pick, 6)) as unknown as Resultant;
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
