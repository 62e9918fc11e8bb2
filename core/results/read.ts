import { MEMBER_FREEDOMS } from '../stiffness/structure';
import type { Force } from './derived/derived';
import { diagramOf, type Diagram } from './diagram';
import { evaluate } from './polynomial';
import { degreeOf, isStored, lineQuantities, offsetOf, type LineQuantity } from './quantities';
import { isByPlace, readOutcome, type Superposed } from '../combinations/outcome';
import { countingCases } from '../combinations/counting-cases';
import { readFromParts } from './sums';
import type { Solution } from './results';

/**
 * Which end force shows a quantity before the first load or beyond the last: index among 12 and sign, at start and end. Nothing for
 * u, v and w, which do not jump.
 */
export const AT_ENDS: Partial<Record<LineQuantity, readonly [number, number, number, number]>> = {
  N: [0, -1, 6, 1],
  Vy: [1, 1, 7, -1],
  Vz: [2, 1, 8, -1],
  T: [3, -1, 9, 1],
  My: [4, 1, 10, -1],
  Mz: [5, -1, 11, 1],
};

/** What is not stored is zero. */
const ZEROS = new Float64Array(Math.max(...lineQuantities.map(degreeOf)) + 1);

/** The polynomial of a quantity on piece k, in s = x − from; not to be written to. */
export function pieceOf({ coefficients, width }: Diagram, k: number, quantity: LineQuantity): Float64Array {
  const length = degreeOf(quantity) + 1;
  if (!isStored(width, quantity)) return ZEROS.subarray(0, length);
  const at = k * width + offsetOf(quantity);
  return coefficients.subarray(at, at + length);
}

/** How near a cut a place counts as the cut, and how far beside a jump its other side is read, as parts of a member. */
const AT_CUT = 1e-9;
export const BESIDE = 4 * AT_CUT;

/** The piece on which x lies; at a cut the one behind it, at the member's end the last. */
export function pieceAt({ first, end, to, length }: Diagram, x: number): number {
  const last = end - 1;
  const slack = AT_CUT * length;
  let k = first;
  while (k < last && to[k]! <= x + slack) k++;
  return k;
}

/** A quantity at x metres from the member's start: just behind a jump, except at the member's end, where it is the value just before it. */
export function valueIn(diagram: Diagram, quantity: LineQuantity, x: number): number {
  const { coefficients, width, from } = diagram;
  if (!isStored(width, quantity)) return 0;
  const k = pieceAt(diagram, x);
  return evaluate(coefficients, k * width + offsetOf(quantity), degreeOf(quantity), x - from[k]!);
}

/** A quantity of member m in a case or sum, as `valueIn`. */
export const valueAt = (solution: Solution, outcome: number, m: number, quantity: LineQuantity, x: number): number =>
  valueIn(diagramOf(solution, outcome, m), quantity, x);

/** All quantities of a member at x. */
export const valuesIn = (diagram: Diagram, x: number): Record<LineQuantity, number> =>
  Object.fromEntries(lineQuantities.map((quantity) => [quantity, valueIn(diagram, quantity, x)])) as Record<LineQuantity, number>;

/** A number of the nodes (6n, global) in a case or sum: one displacement, or one reaction. Of a sum only this number is added. */
export const nodalAt = (solution: Solution, outcome: number, key: 'displacements' | 'reactions', f: number): number =>
  numberAt(solution, outcome, key, f);

/** What an end of member m feels in a case or sum, as the diagram has it there; of a sum only this number is added. */
export function endAt(solution: Solution, outcome: number, m: number, quantity: Force, side: 'start' | 'end'): number {
  const [start, atStart, end, atEnd] = AT_ENDS[quantity]!;
  const [k, sign] = side === 'start' ? [start, atStart] : [end, atEnd];
  return sign * numberAt(solution, outcome, 'ends', MEMBER_FREEDOMS * m + k);
}

function numberAt(solution: Solution, outcome: number, key: 'displacements' | 'reactions' | 'ends', i: number): number {
  const one = solution.outcomes[outcome]!;
  // Asked of every node in every sum: in this order, and not by a switch, it is a fifth quicker.
  if (one.kind === 'solved' || one.kind === 'shape') return solution.responses[one.at]![key][i]!;
  if (one.kind === 'envelope' || isByPlace(one)) return readFromParts(one);
  const { factors }: Superposed = one;
  let sum = 0;
  for (const c of countingCases(factors)) sum += factors[c]! * solution.responses[c]![key][i]!;
  return sum;
}

/** The outcomes of which one is made, none of which is an envelope: itself, or the parts of an envelope. */
export function partsOf(solution: Solution, outcome: number): readonly number[] {
  const itself = (): readonly number[] => [outcome];
  return readOutcome(solution.outcomes[outcome]!, {
    solved: itself,
    superposed: itself,
    travelling: itself,
    spectral: itself,
    envelope: ({ parts }) => parts,
    shape: itself,
  });
}

/** Whether an outcome is read place by place: trains travel in it, or in a part of it, or the ground moves. */
export const isReadByPlace = (solution: Solution, outcome: number): boolean =>
  partsOf(solution, outcome).some((part) => isByPlace(solution.outcomes[part]!));
