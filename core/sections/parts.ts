/** A rectangle, or the area left between a square corner and a fillet, as a part of a section. Metres; y up, z to the right. */
export interface Part {
  readonly area: number;
  readonly y: number;
  readonly z: number;
  /** Second moments about the part's own centroid: about its z axis, about its y axis, and the product. */
  readonly ownZ: number;
  readonly ownY: number;
  readonly ownYZ: number;
}

/** A rectangle with sides parallel to the axes, from (y0, z0) to (y1, z1). */
export function rectanglePart(y0: number, y1: number, z0: number, z1: number): Part {
  const [h, b] = [y1 - y0, z1 - z0];
  return { area: h * b, y: (y0 + y1) / 2, z: (z0 + z1) / 2, ownZ: (b * h ** 3) / 12, ownY: (h * b ** 3) / 12, ownYZ: 0 };
}

/**
 * The spandrel between a square corner at (y, z) and a quarter circle of radius r, lying towards (towardsY, towardsZ) = ±1.
 * Area (1 − π/4) r², centroid at r·(10 − 3π)/(12 − 3π) from the corner; own moments by subtracting the quarter disc from the square.
 */
export function filletPart(y: number, z: number, r: number, towardsY: number, towardsZ: number): Part {
  const area = (1 - Math.PI / 4) * r * r;
  const arm = area === 0 ? 0 : (r * (10 - 3 * Math.PI)) / (12 - 3 * Math.PI);
  // About axes through the corner: square r⁴/3 less the quarter disc whose centre is at (r, r).
  const disc = (Math.PI * r * r) / 4;
  const discArm = r * (1 - 4 / (3 * Math.PI));
  const discOwn = r ** 4 * (Math.PI / 16 - 4 / (9 * Math.PI));
  const own = r ** 4 / 3 - (discOwn + disc * discArm ** 2) - area * arm ** 2;
  // Product of the quarter disc about axes through its centre is r⁴/8.
  const discProduct = r ** 4 / 8 - disc * ((4 * r) / (3 * Math.PI)) ** 2;
  const product = r ** 4 / 4 - (discProduct + disc * discArm ** 2) - area * arm ** 2;
  return { area, y: y + towardsY * arm, z: z + towardsZ * arm, ownZ: own, ownY: own, ownYZ: towardsY * towardsZ * product };
}

export interface Composite {
  readonly A: number;
  readonly y: number;
  readonly z: number;
  readonly Iz: number;
  readonly Iy: number;
  readonly Iyz: number;
}

/** Adds parts about their common centroid (parallel-axis theorem). */
export function compose(parts: readonly Part[]): Composite {
  let [A, sy, sz] = [0, 0, 0];
  for (const part of parts) {
    A += part.area;
    sy += part.area * part.y;
    sz += part.area * part.z;
  }
  const [y, z] = [sy / A, sz / A];
  let [Iz, Iy, Iyz] = [0, 0, 0];
  for (const part of parts) {
    Iz += part.ownZ + part.area * (part.y - y) ** 2;
    Iy += part.ownY + part.area * (part.z - z) ** 2;
    Iyz += part.ownYZ + part.area * (part.y - y) * (part.z - z);
  }
  return { A, y, z, Iz, Iy, Iyz };
}
