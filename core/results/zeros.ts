import type { Diagram } from './diagram';
import { derivative, evaluate, signChanges, signedMean } from './polynomial';
import { degreeOf, type LineQuantity } from './quantities';
import { pieceOf } from './read';

/** Values under this part of the largest one on the member count as zero. */
const NOTHING = 1e-11;

/**
 * Where a quantity changes its sign along a member, metres from its start, ascending: within pieces from their polynomials, and at
 * the jumps between them. Where it only touches zero, or is zero over a stretch, nothing is reported.
 */
export function zeroPoints(diagram: Diagram, quantity: LineQuantity): number[] {
  return changes(diagram, (k) => pieceOf(diagram, k, quantity), degreeOf(quantity));
}

/** Where the bent line changes the side to which it curves: the sign changes of v″ or w″. */
export function inflectionPoints(diagram: Diagram, quantity: 'v' | 'w'): number[] {
  return changes(diagram, (k) => derivative(derivative(pieceOf(diagram, k, quantity))), degreeOf(quantity) - 2);
}

function changes({ first, end, from, to }: Diagram, polynomial: (piece: number) => Float64Array, degree: number): number[] {
  let size = 0;
  for (let k = first; k < end; k++)
    for (const s of [0, (to[k]! - from[k]!) / 2, to[k]! - from[k]!])
      size = Math.max(size, Math.abs(evaluate(polynomial(k), 0, degree, s)));
  const signOf = (value: number): number => (Math.abs(value) <= NOTHING * size ? 0 : Math.sign(value));
  const found: number[] = [];
  /** The last sign that was not zero, and where zero began after it. */
  let sign = 0;
  let zeroFrom = 0;
  const meet = (x: number, next: number): void => {
    if (next === 0) return;
    // A jump, a crossing right at a cut, or a stretch of zero: the change is told where the old sign ended.
    if (sign !== 0 && next !== sign && found.at(-1) !== zeroFrom) found.push(zeroFrom);
    sign = next;
    zeroFrom = x;
  };
  for (let k = first; k < end; k++) {
    const c = polynomial(k);
    const length = to[k]! - from[k]!;
    const inside = signChanges(c, length).filter((s) => s > 1e-9 * length && s < (1 - 1e-9) * length);
    const stops = [0, ...inside, length];
    for (let i = 0; i + 1 < stops.length; i++) {
      const here = signOf(signedMean(c, stops[i]!, stops[i + 1]!));
      meet(from[k]! + stops[i]!, here);
      if (here !== 0) zeroFrom = from[k]! + stops[i + 1]!;
    }
  }
  return found;
}
