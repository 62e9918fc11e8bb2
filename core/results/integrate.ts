/** Gauss–Legendre on 0…1, exact up to the ninth degree: the product of a moment with itself, of an axial force with a slope, of a load with a deflection. */
const POINTS = [0.04691007703066802, 0.23076534494715845, 0.5, 0.7692346550528415, 0.953089922969332];
const WEIGHTS = [0.11846344252809454, 0.23931433524968324, 0.28444444444444444, 0.23931433524968324, 0.11846344252809454];

/** ∫ f dx from one place to another. */
export function integrate(from: number, to: number, f: (x: number) => number): number {
  const length = to - from;
  return POINTS.reduce((sum, t, i) => sum + WEIGHTS[i]! * length * f(from + t * length), 0);
}
