import type { Shape } from '../model/model';
import { linesOf } from './lines-of';
import { edgesOf, partBelow, turned, type Edge } from './path';
import { dimensionsOf } from './shape-table';

/** The plastic moduli about z and y (m³): the moment that yields everything on both sides of the axis of equal areas, over the yield stress. */
export function plasticModuli(shape: Shape): { readonly Wplz?: number; readonly Wply?: number } {
  const { d, t } = dimensionsOf(shape);
  switch (shape.type) {
    case 'general':
      return {};
    case 'round':
      return { Wplz: d ** 3 / 6, Wply: d ** 3 / 6 };
    case 'chs': {
      const W = (d ** 3 - (d - 2 * t) ** 3) / 6;
      return { Wplz: W, Wply: W };
    }
    default: {
      const corners = linesOf(shape);
      return { Wplz: plasticModulus(corners.map(edgesOf)), Wply: plasticModulus(turned(corners).map(edgesOf)) };
    }
  }
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
