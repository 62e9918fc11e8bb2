/** Value, first and second derivative at a place. */
export type Derivatives = ArrayLike<number>;

/** Where the coefficients of a polynomial stand. */
interface Target {
  readonly out: Float64Array;
  readonly at: number;
}

/** Adds the cubic, l metres long, that has these values and slopes at its start and end (Hermite). */
export function addCubic(start: Derivatives, end: Derivatives, l: number, { out, at }: Target): void {
  const f0 = start[0]!;
  const d0 = start[1]!;
  const f1 = end[0]!;
  const d1 = end[1]!;
  const rise = (f1 - f0) / l;
  out[at]! += f0;
  out[at + 1]! += d0;
  out[at + 2]! += (3 * rise - 2 * d0 - d1) / l;
  out[at + 3]! += (d0 + d1 - 2 * rise) / (l * l);
}

/** The same with a quintic, which has the curvatures too. */
export function addQuintic(start: Derivatives, end: Derivatives, l: number, { out, at }: Target): void {
  const f0 = start[0]!;
  const d0 = start[1]!;
  const c0 = start[2]!;
  const f1 = end[0]!;
  const d1 = end[1]!;
  const c1 = end[2]!;
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
export function addParabola(start: Derivatives, end: Derivatives, l: number, { out, at }: Target): void {
  const f0 = start[0]!;
  const d0 = start[1]!;
  const f1 = end[0]!;
  out[at]! += f0;
  out[at + 1]! += d0;
  out[at + 2]! += (f1 - f0 - d0 * l) / (l * l);
}
