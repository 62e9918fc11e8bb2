import type { Shape } from '../shapes/shape';
import { linesOf } from './lines-of';
import { edgesOf, partBelow, turned, type Edge } from './path';
import { diametersOf } from '../shapes/dimensions';

/** The plastic moduli about z and y (m³): the moment that yields everything on both sides of the axis of equal areas, over the yield stress. */
export function plasticModuli(shape: Shape): { readonly Wplz?: number; readonly Wply?: number } {
  const circles = diametersOf(shape);
  if (circles) {
    const [outer, inner = 0] = circles;
    const W = (outer ** 3 - inner ** 3) / 6;
    return { Wplz: W, Wply: W };
  }
  const corners = linesOf(shape);
  if (corners.length === 0) return {};
  return { Wplz: plasticModulus(corners.map(edgesOf)), Wply: plasticModulus(turned(corners).map(edgesOf)) };
}

/** What closed lines enclose, about a level axis: ∫ |y − y₀| dA, where y₀ halves the area. */
export function plasticModulus(loops: readonly (readonly Edge[])[]): number {
  const whole = partBelow(loops, Infinity);
  let [low, high] = whole.range;
  for (let i = 0; i < 60; i++) {
    // Of a symmetric shape the first try is right.
    const middle = (low + high) / 2;
    const below = partBelow(loops, middle);
    const excess = below.A - whole.A / 2;
    if (Math.abs(excess) <= 1e-14 * whole.A) return whole.Sy - 2 * below.Sy + 2 * excess * middle;
    if (excess < 0) low = middle;
    else high = middle;
  }
  return whole.Sy - 2 * partBelow(loops, (low + high) / 2).Sy;
}
