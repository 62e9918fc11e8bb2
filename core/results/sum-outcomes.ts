import { balance } from './equilibrium';
import type { LinearOutcome, Resultant } from './results';

/** The weighted sum of solved cases; nothing is solved again. */
export function sumOutcomes(solved: readonly LinearOutcome[], factors: Float64Array): LinearOutcome {
  const sum = (pick: (outcome: LinearOutcome) => Float64Array): Float64Array => {
    const total = new Float64Array(pick(solved[0]!).length);
    const used = [...factors.keys()].filter((c) => factors[c] !== 0);
    const parts = used.map((c) => pick(solved[c]!));
    const weights = used.map((c) => factors[c]!);
    // Piece by piece through all cases, so that the piece stays in the processor's cache.
    for (let from = 0; from < total.length; from += CHUNK)
      addScaled(total, parts, weights, from, Math.min(from + CHUNK, total.length));
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

/** Adds the weighted parts on from…to, four at a time where there are so many: the total is read and written less often. */
function addScaled(
  total: Float64Array,
  parts: readonly Float64Array[],
  weights: readonly number[],
  from: number,
  to: number,
): void {
  let c = 0;
  for (; c + 4 <= parts.length; c += 4) {
    const p0 = parts[c]!;
    const p1 = parts[c + 1]!;
    const p2 = parts[c + 2]!;
    const p3 = parts[c + 3]!;
    const w0 = weights[c]!;
    const w1 = weights[c + 1]!;
    const w2 = weights[c + 2]!;
    const w3 = weights[c + 3]!;
    for (let i = from; i < to; i++) total[i]! += w0 * p0[i]! + w1 * p1[i]! + w2 * p2[i]! + w3 * p3[i]!;
  }
  for (; c < parts.length; c++) {
    const part = parts[c]!;
    const weight = weights[c]!;
    for (let i = from; i < to; i++) total[i]! += weight * part[i]!;
  }
}
