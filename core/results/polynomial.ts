/** A polynomial Σ c[first+k]·s^k, k = 0…degree, as a window into an array of coefficients. */
export function evaluate(c: Float64Array, first: number, degree: number, s: number): number {
  let value = c[first + degree]!;
  for (let k = degree - 1; k >= 0; k--) value = value * s + c[first + k]!;
  return value;
}

/**
 * Writes the two places where a + b·s + c·s² changes its sign into `roots`, ascending; NaN or Infinity for those that do not exist.
 * Without the subtraction of nearly equal numbers: Press et al., Numerical Recipes, ch. 5.6.
 */
export function quadraticRoots(a: number, b: number, c: number, roots: Float64Array): void {
  const discriminant = b * b - 4 * a * c;
  // A zero that is only touched is no change.
  const q = discriminant > 0 ? -(b + (b < 0 ? -1 : 1) * Math.sqrt(discriminant)) / 2 : NaN;
  const one = a / q;
  const two = q / c;
  roots[0] = one < two ? one : two;
  roots[1] = one < two ? two : one;
}

const vertex = new Float64Array(1);
const pair = new Float64Array(2);

/**
 * Where in (0, length) the derivative of a polynomial (degree + 1 coefficients at `at`) changes its sign, ascending. The list may hold
 * places outside, and is valid until the next call: a million pieces are asked, and most of them are of degree two or three.
 */
export function stationary(c: Float64Array, at: number, degree: number, length: number): Float64Array {
  if (degree === 2) {
    vertex[0] = -c[at + 1]! / (2 * c[at + 2]!);
    return vertex;
  }
  if (degree === 3) {
    quadraticRoots(c[at + 1]!, 2 * c[at + 2]!, 3 * c[at + 3]!, pair);
    return pair;
  }
  return Float64Array.from(signChanges(derivative(c.subarray(at, at + degree + 1)), length));
}

const shifting = new Float64Array(8);

/** A polynomial as a window into an array of coefficients. */
export interface Window {
  readonly coefficients: Float64Array;
  readonly at: number;
  readonly degree: number;
}

/**
 * Adds `factor` times a polynomial, seen from a place `shift` further on, to the coefficients at `to`: Taylor's expansion by
 * repeated synthetic division (Horner).
 */
export function addShifted(
  { coefficients: c, at, degree }: Window,
  shift: number,
  factor: number,
  out: Float64Array,
  to: number,
): void {
  // Most quantities of most members are straight or nothing.
  let last = degree;
  while (last >= 0 && c[at + last] === 0) last--;
  if (last < 2) {
    if (last >= 0) out[to]! += factor * (last === 0 ? c[at]! : c[at]! + shift * c[at + 1]!);
    if (last === 1) out[to + 1]! += factor * c[at + 1]!;
    return;
  }
  for (let k = 0; k <= last; k++) shifting[k] = c[at + k]!;
  for (let k = 0; k < last; k++) for (let i = last - 1; i >= k; i--) shifting[i]! += shift * shifting[i + 1]!;
  for (let k = 0; k <= last; k++) out[to + k]! += factor * shifting[k]!;
}

/** Binomial shares C(i, k) / C(n, k) of the coefficients in those of Bernstein, by degree n, i and k. */
const SHARES = Array.from({ length: 8 }, (_, n) =>
  Array.from({ length: n + 1 }, (__, i) => {
    let share = 1;
    return Float64Array.from({ length: i + 1 }, (___, k) => {
      const now = share;
      share *= (i - k) / (n - k);
      return now;
    });
  }),
);
const powers = new Float64Array(8);

/**
 * Whether a polynomial (up to degree 7) certainly is nowhere positive on [0, length]: it lies under the greatest of its Bernstein
 * coefficients (Farouki, Computer Aided Geometric Design 29, 2012).
 */
export function isNowherePositive(c: Float64Array, length: number): boolean {
  let highest = c.length - 1;
  while (highest > 0 && c[highest] === 0) highest--;
  let power = 1;
  for (let k = 0; k <= highest; k++) {
    powers[k] = c[k]! * power;
    power *= length;
  }
  const shares = SHARES[highest]!;
  for (let i = 0; i <= highest; i++) {
    const share = shares[i]!;
    let sum = 0;
    for (let k = 0; k <= i; k++) sum += share[k]! * powers[k]!;
    if (sum > 0) return false;
  }
  return true;
}

/**
 * Writes the Bernstein coefficients on [0, length] of a polynomial (up to degree 7) to `out`, from `to` on: it lies between the least and the
 * greatest of them, and their mean is its own.
 */
export function writeBernstein({ coefficients: c, at, degree }: Window, length: number, out: Float64Array, to: number): void {
  let power = 1;
  for (let k = 0; k <= degree; k++) {
    powers[k] = c[at + k]! * power;
    power *= length;
  }
  const shares = SHARES[degree]!;
  for (let i = 0; i <= degree; i++) {
    const share = shares[i]!;
    let sum = 0;
    for (let k = 0; k <= i; k++) sum += share[k]! * powers[k]!;
    out[to + i] = sum;
  }
}

/** The product of two polynomials, the sum of several, and one times a number. */
export function productOf(a: Float64Array, b: Float64Array): Float64Array {
  const c = new Float64Array(a.length + b.length - 1);
  for (let i = 0; i < a.length; i++) for (let j = 0; j < b.length; j++) c[i + j]! += a[i]! * b[j]!;
  return c;
}
export const sumOf = (all: readonly Float64Array[]): Float64Array =>
  Float64Array.from({ length: Math.max(...all.map((one) => one.length)) }, (_, i) =>
    all.reduce((sum, one) => sum + (one[i] ?? 0), 0),
  );
export const timesOf = (c: Float64Array, factor: number): Float64Array => c.map((value) => value * factor);

/** Coefficients of the derivative. */
export function derivative(c: Float64Array): Float64Array {
  const slope = new Float64Array(Math.max(1, c.length - 1));
  for (let k = 1; k < c.length; k++) slope[k - 1] = k * c[k]!;
  return slope;
}

/**
 * The points in (0, length) where the polynomial changes its sign, ascending. Between neighbouring zeros of the derivative the
 * polynomial is monotonic (Rolle), so each sign change is bracketed and found to the last digits by bisection and Newton steps.
 * Zeros where the sign does not change are not reported: neither an extreme of an integral nor a crossing lies there.
 */
export function signChanges(c: Float64Array, length: number): number[] {
  const scaled = new Float64Array(c.length);
  let power = 1;
  let size = 0;
  for (let k = 0; k < c.length; k++) {
    scaled[k] = c[k]! * power;
    size = Math.max(size, Math.abs(scaled[k]!));
    power *= length;
  }
  if (size === 0) return [];
  // Coefficients that are rounding beside the largest one would otherwise make up sign changes.
  for (let k = 0; k < c.length; k++) if (Math.abs(scaled[k]!) < 1e-14 * size) scaled[k] = 0;
  const changes = changesOnUnit(scaled);
  for (let i = 0; i < changes.length; i++) changes[i]! *= length;
  return changes;
}

/**
 * A number of the sign that a polynomial (up to degree 7) has on a part where it does not change it: the mean of its values at four places, since it
 * may touch zero at three of them.
 */
export function signedMean(c: Float64Array, from: number, to: number): number {
  let sum = 0;
  for (let i = 1; i < 8; i += 2) sum += evaluate(c, 0, c.length - 1, from + (i / 8) * (to - from));
  return sum / 4;
}

function changesOnUnit(c: Float64Array): number[] {
  let degree = c.length - 1;
  while (degree > 0 && c[degree] === 0) degree--;
  if (degree === 0) return [];
  const p = c.subarray(0, degree + 1);
  // Descartes' rule in Bernstein's form: no more zeros than its coefficients change their sign, and exactly one where they do once.
  const changes = bernsteinChanges(p, degree);
  if (changes === 0) return [];
  if (changes === 1 && degree > 2) {
    const [start, end] = [p[0]!, evaluate(p, 0, degree, 1)];
    if (start * end < 0) return [bracketed(p, degree, 0, 1, start)];
  }
  if (degree === 1) {
    const t = -p[0]! / p[1]!;
    return t > 0 && t < 1 ? [t] : [];
  }
  if (degree === 2) {
    const roots = new Float64Array(2);
    quadraticRoots(p[0]!, p[1]!, p[2]!, roots);
    return [...roots].filter((t) => t > 0 && t < 1);
  }
  const stops = [0, ...changesOnUnit(derivative(p)), 1];
  const roots: number[] = [];
  for (let i = 0; i + 1 < stops.length; i++) {
    const [a, b] = [stops[i]!, stops[i + 1]!];
    const [fa, fb] = [evaluate(p, 0, degree, a), evaluate(p, 0, degree, b)];
    if (fa * fb < 0) roots.push(bracketed(p, degree, a, b, fa));
    else if (fb === 0 && b < 1) {
      const beyond = evaluate(p, 0, degree, (b + (stops[i + 2] ?? 1)) / 2);
      if (fa * beyond < 0) roots.push(b);
    }
  }
  return roots;
}

function bernsteinChanges(p: Float64Array, degree: number): number {
  if (degree >= SHARES.length) return Infinity;
  const shares = SHARES[degree]!;
  let [changes, before] = [0, 0];
  for (let i = 0; i <= degree; i++) {
    const share = shares[i]!;
    let sum = 0;
    for (let k = 0; k <= i; k++) sum += share[k]! * p[k]!;
    if (sum * before < 0) changes++;
    if (sum !== 0) before = sum;
  }
  return changes;
}

function bracketed(p: Float64Array, degree: number, from: number, to: number, valueFrom: number): number {
  let [a, b] = [from, to];
  const slope = derivative(p);
  let x = (a + b) / 2;
  for (let step = 0; step < 100 && b - a > 1e-16; step++) {
    const value = evaluate(p, 0, degree, x);
    if (value === 0) return x;
    if (value * valueFrom > 0) a = x;
    else b = x;
    const newton = x - value / evaluate(slope, 0, degree - 1, x);
    const next = newton > a && newton < b ? newton : (a + b) / 2;
    if (next === x) return x;
    x = next;
  }
  return x;
}
