import { lineQuantities, offsetOf } from '../results/quantities';
import type { Resultant, StructuralResponse } from '../results/results';
import { FREEDOMS } from '../stiffness/structure';

const ACROSS = lineQuantities.filter((one) => one === 'v' || one === 'w').map(offsetOf);

/** The largest movement in a shape, with its sign: of the nodes' translations, and of the deflections where pieces begin. */
export function largestMovement({ displacements, coefficients, pieceWidth }: StructuralResponse): number {
  let most = 0;
  const look = (value: number): void => {
    if (Math.abs(value) > Math.abs(most)) most = value;
  };
  for (let f = 0; f < displacements.length; f++) if (f % FREEDOMS < 3) look(displacements[f]!);
  for (const offset of ACROSS)
    if (offset < pieceWidth) for (let k = offset; k < coefficients.length; k += pieceWidth) look(coefficients[k]!);
  return most;
}

/** A shape with its largest movement 1, forwards; its numbers are written over, since nobody else has it. */
export function unitShape(shape: StructuralResponse): StructuralResponse {
  const most = largestMovement(shape);
  if (most === 0) return shape;
  for (const numbers of [shape.displacements, shape.reactions, shape.ends, shape.coefficients])
    for (let i = 0; i < numbers.length; i++) numbers[i]! /= most;
  const less = (resultant: Resultant): Resultant => resultant.map((part) => part / most) as unknown as Resultant;
  const { applied, reactions, size, ...rest } = shape.equilibrium;
  const equilibrium = { ...rest, applied: less(applied), reactions: less(reactions), size: size / Math.abs(most) };
  return { ...shape, equilibrium };
}
