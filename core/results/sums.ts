import { readOutcome, type Envelope, type Spectral, type Travelling } from '../combinations/outcome';
import type { Structure } from '../stiffness/structure';
import { combine } from '../linear-algebra/combine';
import { countingCases } from '../combinations/counting-cases';
import { commonPieces, type Pieces } from './breakpoints';
import { imbalance } from './equilibrium';
import { addShifted } from './polynomial';
import { degreeOf, lineQuantities, offsetOf } from './quantities';
import type { Equilibrium, StructuralResponse, Resultant, Solution } from './results';

/** Numbers of sums that are kept for one solution: what is looked at again and again is not added again. */
const KEPT = 8e6;

const kept = new WeakMap<Solution, Map<number, StructuralResponse>>();

/** What was solved, or a sum of it with all that belongs to it; undefined for a range, and for what is not there. Sums are added when somebody looks. */
export function responseOf(solution: Solution, outcome: number): StructuralResponse | undefined {
  const one = solution.outcomes[outcome];
  return (
    one &&
    readOutcome(one, {
      solved: ({ at }) => solution.responses[at],
      superposed: ({ factors }) => sumAt(solution, outcome, factors),
      travelling: () => undefined,
      spectral: () => undefined,
      envelope: () => undefined,
      shape: ({ at }) => solution.responses[at],
    })
  );
}

/** Nothing is solved again. */
function sumAt(solution: Solution, outcome: number, factors: Float64Array): StructuralResponse {
  let sums = kept.get(solution);
  if (!sums) kept.set(solution, (sums = new Map()));
  const known = sums.get(outcome);
  // The one looked at last stands last, and goes last.
  if (known) sums.delete(outcome);
  const sum = known ?? sumOf(solution.structure, partsOfSum(solution, factors));
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

/** Adds what is a sum of these outcomes for all members at once, where all of it can be kept: member by member that takes three times as long. */
export function addSums(solution: Solution, outcomes: readonly number[]): void {
  const [one] = solution.responses;
  if (one && outcomes.length * numbersIn(one) <= KEPT) for (const outcome of outcomes) responseOf(solution, outcome);
}

/** The sum at hand if it is kept already. */
export const keptSum = (solution: Solution, outcome: number): StructuralResponse | undefined => kept.get(solution)?.get(outcome);

const numbersIn = ({ displacements, reactions, ends, coefficients }: StructuralResponse): number =>
  displacements.length + reactions.length + ends.length + coefficients.length;

/** What a weighted sum is made of, with its factors. */
export function partsOfSum({ responses }: Solution, factors: Float64Array): Weighted[] {
  const parts = countingCases(factors).map((c) => ({ part: responses[c]!, factor: factors[c]! }));
  // A sum of nothing is as long as a case, and zero.
  return parts.length > 0 ? parts : [{ part: responses[0]!, factor: 0 }];
}

/** What is a range has no one value: whoever wants one asks for its greatest or its least. */
export const readFromParts = ({ id }: Envelope | Travelling | Spectral): never => {
  throw new Error(`${id} is no single value, and is read as a range`);
};

/** The weighted sum of some responses of a structure, pieces and equilibrium included. */
export function sumOf(structure: Structure, parts: readonly Weighted[]): StructuralResponse {
  const weights = parts.map(({ factor }) => factor);
  const sum = (pick: (one: StructuralResponse) => Float64Array): Float64Array =>
    combine(
      parts.map(({ part }) => pick(part)),
      weights,
    );
  const pieces = commonPieces(
    structure,
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

export interface Weighted {
  readonly part: StructuralResponse;
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

/** Where each quantity stands in a piece. */
const STORED = lineQuantities.map((quantity) => ({ offset: offsetOf(quantity), degree: degreeOf(quantity) }));

/** Adds the diagrams of member m, times a factor, to coefficients over pieces that are as short as its own or shorter. */
export function addOver(part: StructuralResponse, factor: number, m: number, over: Over, out: Float64Array): void {
  const { pieces, coefficients, pieceWidth } = part;
  const last = pieces.first[m + 1]! - 1;
  const slack = 1e-9 * pieces.to[last]!;
  const window = { coefficients, at: 0, degree: 0 };
  let own = pieces.first[m]!;
  for (let k = over.first; k < over.end; k++) {
    const start = over.from[k]!;
    while (own < last && pieces.to[own]! <= start + slack) own++;
    const shift = start - pieces.from[own]!;
    const to = pieceWidth * k;
    const source = pieceWidth * own;
    if (Math.abs(shift) <= slack) for (let i = 0; i < pieceWidth; i++) out[to + i]! += factor * coefficients[source + i]!;
    else
      for (let i = 0; i < STORED.length; i++) {
        const { offset, degree } = STORED[i]!;
        if (offset >= pieceWidth) continue;
        window.at = source + offset;
        window.degree = degree;
        addShifted(window, shift, factor, out, to + offset);
      }
  }
}

/** The balance of a weighted sum. */
export function sumOfEquilibria(parts: readonly Weighted[]): Equilibrium {
  const resultant = (pick: (outcome: StructuralResponse) => Resultant): Resultant =>
    parts.reduce<readonly number[]>(
      (total, { part, factor }) => total.map((sum, k) => sum + factor * pick(part)[k]!),
      [0, 0, 0, 0, 0, 0],
    ) as unknown as Resultant;
  const worst = (pick: (outcome: StructuralResponse) => number): number =>
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
