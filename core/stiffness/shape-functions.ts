/**
 * Displacement v and rotation θ at ratio ξ of a Timoshenko member with shear parameter Φ, for a unit movement of
 * [v start, θ start, v end, θ end]; with Φ = 0 the Hermite cubics. They solve the member's own equation without load, so work
 * against them gives exact equivalent end loads. Friedman and Kosmatka, Computers & Structures 47 (1993).
 */
export function bendingShapes(xi: number, L: number, phi: number): { v: readonly number[]; rotation: readonly number[] } {
  const d = 1 / (1 + phi);
  const xi2 = xi * xi;
  const xi3 = xi2 * xi;
  return {
    v: [
      d * (1 - 3 * xi2 + 2 * xi3 + phi * (1 - xi)),
      d * L * (xi - 2 * xi2 + xi3 + (phi / 2) * (xi - xi2)),
      d * (3 * xi2 - 2 * xi3 + phi * xi),
      d * L * (xi3 - xi2 - (phi / 2) * (xi - xi2)),
    ],
    rotation: [
      (6 * d * (xi2 - xi)) / L,
      d * (1 - 4 * xi + 3 * xi2 + phi * (1 - xi)),
      (6 * d * (xi - xi2)) / L,
      d * (3 * xi2 - 2 * xi + phi * xi),
    ],
  };
}
