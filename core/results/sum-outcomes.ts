import { combine } from '../linear-algebra/combine';
import { imbalance } from './equilibrium';
import type { Equilibrium, LinearOutcome, Resultant } from './results';

/** The weighted sums of solved cases, one for each row of factors; nothing is solved again. */
export function sumOutcomes(solved: readonly LinearOutcome[], factors: readonly Float64Array[]): LinearOutcome[] {
  const sums = (pick: (outcome: LinearOutcome) => Float64Array): Float64Array[] => combine(solved.map(pick), factors);
  const displacements = sums((outcome) => outcome.displacements);
  const reactions = sums((outcome) => outcome.reactions);
  const ends = sums((outcome) => outcome.ends);
  const coefficients = sums((outcome) => outcome.coefficients);
  return factors.map((row, k) => ({
    displacements: displacements[k]!,
    reactions: reactions[k]!,
    ends: ends[k]!,
    coefficients: coefficients[k]!,
    pieceWidth: solved[0]?.pieceWidth ?? 0,
    equilibrium: sumOfEquilibria(solved, row),
  }));
}

function sumOfEquilibria(solved: readonly LinearOutcome[], factors: Float64Array): Equilibrium {
  const resultant = (pick: (outcome: LinearOutcome) => Resultant): Resultant =>
    solved.reduce<readonly number[]>(
      (total, outcome, c) => total.map((part, k) => part + factors[c]! * pick(outcome)[k]!),
      [0, 0, 0, 0, 0, 0],
    ) as unknown as Resultant;
  const worst = (pick: (outcome: LinearOutcome) => number): number =>
    solved.reduce((max, outcome, c) => (factors[c] === 0 ? max : Math.max(max, pick(outcome))), 0);
  const size = solved.reduce((sum, { equilibrium }, c) => sum + Math.abs(factors[c]!) * equilibrium.size, 0);
  const applied = resultant((outcome) => outcome.equilibrium.applied);
  const reactions = resultant((outcome) => outcome.equilibrium.reactions);
  return {
    applied,
    reactions,
    residual: imbalance(applied, reactions, size),
    solutionResidual: worst((outcome) => outcome.equilibrium.solutionResidual),
    jointResidual: worst((outcome) => outcome.equilibrium.jointResidual),
    size,
  };
}
