import { combine } from '../linear-algebra/combine';
import { countingCases } from './counting-cases';
import { commonPieces, type Pieces } from './breakpoints';
import { imbalance } from './equilibrium';
import { addShifted } from './polynomial';
import { degreeOf, isStored, lineQuantities, offsetOf } from './quantities';
import type { Equilibrium, LinearOutcome, Resultant, Solution } from './results';

/** Numbers of sums that are kept for one solution: what is looked at again and again is not added again. */
const KEPT = 8e6;

const kept = new WeakMap<Solution, Map<number, LinearOutcome>>();

/** A case, or a sum of cases with all that belongs to it; undefined for an envelope, and for what is not there. Sums are added when somebody looks. */
export function linearOf(solution: Solution, outcome: number): LinearOutcome | undefined {
  const kind = solution.outcomes[outcome]?.kind;
  if (kind === 'case') return solution.cases[outcome];
  if (kind !== 'sum') return undefined;
  let sums = kept.get(solution);
  if (!sums) kept.set(solution, (sums = new Map()));
  const known = sums.get(outcome);
  // The one looked at last stands last, and goes last.
  if (known) sums.delete(outcome);
  const sum = known ?? added(solution, outcome);
  sums.set(outcome, sum);
  if (known) return sum;
  let size = 0;
  for (const one of sums.values()) size += numbersIn(one);
  for (const [i, one] of sums) {
    if (size <= KEPT || i === outcome) break;
    sums.delete(i);
    size -= numbersIn(one);
  }
  return sum;
}

/** The sum at hand if it is kept already. */
export const keptSum = (solution: Solution, outcome: number): LinearOutcome | undefined => kept.get(solution)?.get(outcome);

const numbersIn = ({ displacements, reactions, ends, coefficients }: LinearOutcome): number =>
  displacements.length + reactions.length + ends.length + coefficients.length;

/** The cases of a sum that count, with their factors. */
export function partsOfSum(solution: Solution, outcome: number): { readonly part: LinearOutcome; readonly factor: number }[] {
  const sum = solution.outcomes[outcome]!;
  if (sum.kind === 'case') return [{ part: solution.cases[outcome]!, factor: 1 }];
  if (sum.kind === 'envelope') throw new Error(`${sum.id} is an envelope, and is read from its parts`);
  const counting = countingCases(sum.factors).map((c) => ({ part: solution.cases[c]!, factor: sum.factors[c]! }));
  // A sum of nothing is as long as a case, and zero.
  return counting.length > 0 ? counting : [{ part: solution.cases[0]!, factor: 0 }];
}

/** The weighted sum of cases; nothing is solved again. */
function added(solution: Solution, outcome: number): LinearOutcome {
  const parts = partsOfSum(solution, outcome);
  const weights = parts.map(({ factor }) => factor);
  const sum = (pick: (one: LinearOutcome) => Float64Array): Float64Array =>
    combine(
      parts.map(({ part }) => pick(part)),
      weights,
    );
  const pieces = commonPieces(
    solution.structure,
    parts.map(({ part }) => part.pieces),
  );
  // The common pieces are those of a part where all have as many.
  const isCommon = parts.every(({ part }) => part.pieces.from.length === pieces.from.length);
  return {
    displacements: sum((one) => one.displacements),
    reactions: sum((one) => one.reactions),
    ends: sum((one) => one.ends),
    coefficients: isCommon ? sum((one) => one.coefficients) : coefficientsOver(pieces, parts),
    pieces,
    pieceWidth: parts[0]!.part.pieceWidth,
    equilibrium: sumOfEquilibria(parts),
  };
}

interface Weighted {
  readonly part: LinearOutcome;
  readonly factor: number;
}

/** The diagrams of all members, over pieces that cut wherever those of the parts do. */
function coefficientsOver(pieces: Pieces, parts: readonly Weighted[]): Float64Array {
  const width = parts[0]!.part.pieceWidth;
  const out = new Float64Array(width * pieces.from.length);
  for (const { part, factor } of parts)
    for (let m = 0; m + 1 < pieces.first.length; m++)
      addOver(part, factor, m, { from: pieces.from, first: pieces.first[m]!, end: pieces.first[m + 1]! }, out);
  return out;
}

/** Pieces first…end of some pieces of one member. */
interface Over {
  readonly from: Float64Array;
  readonly first: number;
  readonly end: number;
}

/** Adds the diagrams of member m, times a factor, to coefficients over pieces that are as short as its own or shorter. */
export function addOver(part: LinearOutcome, factor: number, m: number, over: Over, out: Float64Array): void {
  const { pieces, coefficients, pieceWidth } = part;
  const last = pieces.first[m + 1]! - 1;
  let own = pieces.first[m]!;
  for (let k = over.first; k < over.end; k++) {
    const start = over.from[k]!;
    const slack = 1e-9 * pieces.to[last]!;
    while (own < last && pieces.to[own]! <= start + slack) own++;
    const shift = start - pieces.from[own]!;
    const to = pieceWidth * k;
    const source = pieceWidth * own;
    if (Math.abs(shift) <= slack) for (let i = 0; i < pieceWidth; i++) out[to + i]! += factor * coefficients[source + i]!;
    else
      for (const quantity of lineQuantities) {
        if (!isStored(pieceWidth, quantity)) continue;
        const offset = offsetOf(quantity);
        addShifted({ coefficients, at: source + offset, degree: degreeOf(quantity) }, shift, factor, out, to + offset);
      }
  }
}

function sumOfEquilibria(parts: readonly Weighted[]): Equilibrium {
  const resultant = (pick: (outcome: LinearOutcome) => Resultant): Resultant =>
    parts.reduce<readonly number[]>(
      (total, { part, factor }) => total.map((sum, k) => sum + factor * pick(part)[k]!),
      [0, 0, 0, 0, 0, 0],
    ) as unknown as Resultant;
  const worst = (pick: (outcome: LinearOutcome) => number): number =>
    parts.reduce((max, { part, factor }) => (factor === 0 ? max : Math.max(max, pick(part))), 0);
  const size = parts.reduce((sum, { part, factor }) => sum + Math.abs(factor) * part.equilibrium.size, 0);
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
