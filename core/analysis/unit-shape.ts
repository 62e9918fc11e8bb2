import { lineQuantities, offsetOf } from '../results/quantities';
import type { Resultant, StructuralResponse } from '../results/results';
import { FREEDOMS } from '../stiffness/structure';

/** What moves in a shape: by node its translations, by piece its deflections. */
function movements({ displacements, coefficients, pieceWidth }: StructuralResponse): number[] {
  const moved: number[] = [];
  displacements.forEach((value, f) => f % FREEDOMS < 3 && moved.push(value));
  for (const quantity of lineQuantities.filter((one) => one === 'v' || one === 'w'))
    if (offsetOf(quantity) < pieceWidth)
      for (let k = offsetOf(quantity); k < coefficients.length; k += pieceWidth) moved.push(coefficients[k]!);
  return moved;
}

/** The largest movement in a shape, with its sign. */
export const largestMovement = (shape: StructuralResponse): number =>
  movements(shape).reduce((max, value) => (Math.abs(value) > Math.abs(max) ? value : max), 0);

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
