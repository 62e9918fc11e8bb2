import type { ShapeType } from '../model/model';
import type { Dimensions } from './shape-table';

/** Root radii beside the thickness up to which the formulas of the junctions hold within 1 %: beyond, their circle no longer fits. */
const ROUND_ENOUGH = 1.35;

/**
 * J (m⁴), the St Venant torsion constant; undefined where no formula holds and only a mesh tells it: flanges with a slope, junctions with
 * large radii, angles. Round bars and tubes: exact. Rectangle: series (Timoshenko and Goodier, Theory of
 * Elasticity, §109). Hollow rectangle: Bredt with the wall's own t³/3 (EN 10210-2, annex A). Open shapes: Σ b·t³/3 with the
 * junctions and the square toes (El Darwish and Johnston, Torsion of structural shapes, ASCE J. Struct. Div. 91, 1965).
 */
export function torsionConstant(type: ShapeType, s: Dimensions): number | undefined {
  switch (type) {
    case 'general':
    case 'built':
    case 'angle':
      return undefined;
    case 'round':
      return (Math.PI * s.d ** 4) / 32;
    case 'chs':
      return (Math.PI * (s.d ** 4 - (s.d - 2 * s.t) ** 4)) / 32;
    case 'rectangle':
      return rectangle(Math.max(s.h, s.b), Math.min(s.h, s.b));
    case 'rhs':
      return hollow(s);
    case 'i':
      if (s.slope > 0 || s.r > ROUND_ENOUGH * Math.min(s.tf, s.tfTop)) return undefined;
      return (
        strip(s.h - s.tf - s.tfTop, s.tw) +
        strip(s.b, s.tf) - toes(2, s.tf) + doubleJunction(s.tw, s.tf, s.r) +
        strip(s.bTop, s.tfTop) - toes(2, s.tfTop) + doubleJunction(s.tw, s.tfTop, s.r)
      ); // oxfmt-ignore
    case 'tee':
      if (s.r > ROUND_ENOUGH * s.tf) return undefined;
      return strip(s.h - s.tf, s.tw) - toes(1, s.tw) + strip(s.b, s.tf) - toes(2, s.tf) + doubleJunction(s.tw, s.tf, s.r);
    case 'channel':
      if (s.slope > 0 || s.r > ROUND_ENOUGH * s.tf) return undefined;
      return strip(s.h - 2 * s.tf, s.tw) + 2 * strip(s.b, s.tf) - toes(4, s.tf) + 2 * cornerJunction(s.tw, s.tf, s.r);
  }
}

const strip = (length: number, thickness: number): number => (length * thickness ** 3) / 3;
/** A free end with square corners carries less than the strip formula says. */
const toes = (count: number, thickness: number): number => count * 0.105 * thickness ** 4;

/** Where a web meets the middle of a flange: α·D⁴, D the circle that fits into the junction. */
function doubleJunction(tw: number, tf: number, r: number): number {
  const alpha = -0.042 + 0.2204 * (tw / tf) + 0.1355 * (r / tf) - 0.0865 * ((r * tw) / tf ** 2) - 0.0725 * (tw / tf) ** 2;
  const D = ((tf + r) ** 2 + (r + tw / 4) * tw) / (2 * r + tf);
  return alpha * D ** 4;
}

/** Where a web meets the edge of a flange. */
function cornerJunction(tw: number, tf: number, r: number): number {
  const alpha = -0.0908 + 0.2621 * (tw / tf) + 0.1231 * (r / tf) - 0.0752 * ((r * tw) / tf ** 2) - 0.0945 * (tw / tf) ** 2;
  const D = 2 * (3 * r + tw + tf - Math.sqrt(2 * (2 * r + tw) * (2 * r + tf)));
  return alpha * D ** 4;
}

function rectangle(long: number, short: number): number {
  let sum = 0;
  for (let n = 1; n < 400; n += 2) sum += Math.tanh((n * Math.PI * long) / (2 * short)) / n ** 5;
  return long * short ** 3 * (1 / 3 - (64 / Math.PI ** 5) * (short / long) * sum);
}

function hollow({ h, b, t, ro, ri }: Dimensions): number {
  // The middle of both radii, as EN 10210-2 takes it; of a wall of one thickness it is t/2 inside the outer one.
  const rm = ri === Math.max(0, ro - t) ? Math.max(0, ro - t / 2) : (ro + ri) / 2;
  const area = (h - t) * (b - t) - (4 - Math.PI) * rm * rm;
  const perimeter = 2 * (h - t + b - t) - (8 - 2 * Math.PI) * rm;
  return (4 * area * area * t) / perimeter + (perimeter * t ** 3) / 3;
}
