/** Value, first and second derivative at a place. */
export type Derivatives = readonly [value: number, first: number, second: number];

/** Where the coefficients of a polynomial stand. */
interface Target {
  readonly out: Float64Array;
  readonly at: number;
}

/** Adds the cubic, l metres long, that has these values and slopes at its start and end (Hermite). */
export function addCubic([f0, d0]: Derivatives, [f1, d1]: Derivatives, l: number, { out, at }: Target): void {
  const rise = (f1 - f0) / l;
  out[at]! += f0;
  out[at + 1]! += d0;
  out[at + 2]! += (3 * rise - 2 * d0 - d1) / l;
  out[at + 3]! += (d0 + d1 - 2 * rise) / (l * l);
}

/** The same with a quintic, which has the curvatures too. */
export function addQuintic([f0, d0, c0]: Derivatives, [f1, d1, c1]: Derivatives, l: number, { out, at }: Target): void {
  // What value, slope and curvature are off at the end behind the parabola of the start.
  const f = (f1 - f0 - l * (d0 + (l * c0) / 2)) / (l * l * l);
  const d = (d1 - d0 - l * c0) / (l * l);
  const c = (c1 - c0) / l;
  out[at]! += f0;
  out[at + 1]! += d0;
  out[at + 2]! += c0 / 2;
  out[at + 3]! += 10 * f - 4 * d + c / 2;
  out[at + 4]! += (-15 * f + 7 * d - c) / l;
  out[at + 5]! += (6 * f - 3 * d + c / 2) / (l * l);
}

/** Adds the parabola that has the value and slope of the start and the value of the end. */
export function addParabola([f0, d0]: Derivatives, [f1]: Derivatives, l: number, { out, at }: Target): void {
  out[at]! += f0;
  out[at + 1]! += d0;
  out[at + 2]! += (f1 - f0 - d0 * l) / (l * l);
}
