import { lineQuantities, offsetOf } from '../results/quantities';
import type { StructuralResponse } from '../results/results';
import { sumOf } from '../results/sums';
import { FREEDOMS, type Structure } from '../stiffness/structure';

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

/** The shape with its largest movement 1, forwards. */
export function unitShape(s: Structure, shape: StructuralResponse): StructuralResponse {
  const most = largestMovement(shape);
  return most === 0 ? shape : sumOf(s, [{ part: shape, factor: 1 / most }]); // oxfmt-ignore
}
