/**
 * Torsion of open shapes: Σ b·t³/3 with the junctions and the square toes (El Darwish and Johnston, Torsion of structural shapes, ASCE J. Struct.
 * Div. 91, 1965).
 */

/** Root radii beside the thickness up to which the formulas of the junctions hold within 1 %: beyond, their circle no longer fits. */
export const ROUND_ENOUGH = 1.35;

export const strip = (length: number, thickness: number): number => (length * thickness ** 3) / 3;
/** A free end with square corners carries less than the strip formula says. */
export const toes = (count: number, thickness: number): number => count * 0.105 * thickness ** 4;

/** Where a web meets the middle of a flange: α·D⁴, D the circle that fits into the junction. */
export function doubleJunction(tw: number, tf: number, r: number): number {
  const alpha = -0.042 + 0.2204 * (tw / tf) + 0.1355 * (r / tf) - 0.0865 * ((r * tw) / tf ** 2) - 0.0725 * (tw / tf) ** 2;
  const D = ((tf + r) ** 2 + (r + tw / 4) * tw) / (2 * r + tf);
  return alpha * D ** 4;
}

/** Where a web meets the edge of a flange. */
export function cornerJunction(tw: number, tf: number, r: number): number {
  const alpha = -0.0908 + 0.2621 * (tw / tf) + 0.1231 * (r / tf) - 0.0752 * ((r * tw) / tf ** 2) - 0.0945 * (tw / tf) ** 2;
  const D = 2 * (3 * r + tw + tf - Math.sqrt(2 * (2 * r + tw) * (2 * r + tf)));
  return alpha * D ** 4;
}
