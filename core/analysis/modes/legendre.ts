/** Polynomials on −1 ≤ ξ ≤ 1 as series of Legendre's, by degree: they stay exact where powers of ξ would cancel. */
export type Series = Float64Array;

/** ∫ f·g dξ. */
export function product(f: Series, g: Series): number {
  let sum = 0;
  for (let n = Math.min(f.length, g.length) - 1; n >= 0; n--) sum += (f[n]! * g[n]! * 2) / (2 * n + 1);
  return sum;
}

/** ξ·f. */
export function timesPlace(f: Series): Series {
  const out = new Float64Array(f.length + 1);
  for (let n = 0; n < f.length; n++) {
    const part = f[n]! / (2 * n + 1);
    out[n + 1]! += (n + 1) * part;
    if (n > 0) out[n - 1]! += n * part;
  }
  return out;
}

/** ∫ f dξ from −1 on. */
export function integralOf(f: Series): Series {
  const out = new Float64Array(f.length + 1);
  for (let n = 0; n < f.length; n++) {
    const part = f[n]! / (2 * n + 1);
    out[n + 1]! += part;
    if (n > 0) out[n - 1]! -= part;
    else out[0]! += part;
  }
  return out;
}

/** The single polynomial of degree n, times a factor. */
export function legendre(n: number, factor = 1): Series {
  const out = new Float64Array(n + 1);
  out[n] = factor;
  return out;
}

/** A polynomial in x, by powers (up to the third), on a ≤ x ≤ a + h. */
export function fromPowers(c: readonly number[], a: number, h: number): Series {
  const [c0 = 0, c1 = 0, c2 = 0, c3 = 0] = c;
  // About the middle, in ξ.
  const [x, r] = [a + h / 2, h / 2];
  const p0 = c0 + x * (c1 + x * (c2 + x * c3));
  const p1 = r * (c1 + x * (2 * c2 + 3 * x * c3));
  const p2 = r * r * (c2 + 3 * x * c3);
  const p3 = r * r * r * c3;
  return Float64Array.of(p0 + p2 / 3, p1 + (3 * p3) / 5, (2 * p2) / 3, (2 * p3) / 5);
}

/** Adds a series times a factor to another that is at least as long. */
export function addSeries(to: Series, f: Series, factor: number): void {
  for (let n = 0; n < f.length; n++) to[n]! += factor * f[n]!;
}

/** A series times a number. */
export function scaled(f: Series, factor: number): Series {
  const out = new Float64Array(f.length);
  for (let n = 0; n < f.length; n++) out[n] = factor * f[n]!;
  return out;
}

/** By degree Pₙ, P′ₙ and P″ₙ at a place, three numbers each. */
export function derivativesAt(ξ: number, degree: number): Float64Array {
  const out = new Float64Array(3 * (degree + 1));
  out[0] = 1;
  for (let n = 1; n <= degree; n++) {
    const [o, b] = [3 * n, 3 * n - 3];
    const last = (k: number): number => (n > 1 ? out[3 * n - 6 + k]! : 0);
    out[o] = ((2 * n - 1) * ξ * out[b]! - (n - 1) * last(0)) / n;
    // P′ₙ = P′ₙ₋₂ + (2n − 1)·Pₙ₋₁, and so for the second.
    out[o + 1] = last(1) + (2 * n - 1) * out[b]!;
    out[o + 2] = last(2) + (2 * n - 1) * out[b + 1]!;
  }
  return out;
}

/** How many terms, up to `most`, bring a wave of half as many radians as the stretch has within `part` of it: its terms fall as zⁿ/(2n + 1)!! (Abramowitz and Stegun, 10.1.2). */
export function degreeFor(z: number, part: number, most: number): number {
  let [n, term] = [0, 1];
  while (n < most && term * (2 * n + 1) > part) {
    n++;
    term *= z / (2 * n + 1);
  }
  return n;
}
