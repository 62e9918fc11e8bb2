/** Between which values something certainly lies. */
export class Reach {
  high = -Infinity;
  low = Infinity;

  reset(): void {
    this.high = -Infinity;
    this.low = Infinity;
  }

  raise(value: number): void {
    if (value > this.high) this.high = value;
  }

  include(value: number): void {
    if (value > this.high) this.high = value;
    if (value < this.low) this.low = value;
  }
}

/** Parts of a piece at whose ends values are read. */
const SAMPLES = 8;

/**
 * Widens a reach by a polynomial on [0, length]: exactly up to degree three, beyond that by values at some places and by what can lie
 * between two of them at most. Written out, since this runs for every member, quantity and sum.
 */
export function widen(reach: Reach, c: Float64Array, at: number, degree: number, length: number): void {
  if (degree > 3 && (c[at + 4] !== 0 || c[at + 5] !== 0)) {
    widenByPlaces(reach, c, at, length);
    return;
  }
  const a = c[at]!;
  let [high, low] = [a, a];
  if (degree > 0) {
    const b = c[at + 1]!;
    const d = c[at + 2]!;
    const e = degree > 2 ? c[at + 3]! : 0;
    const end = a + length * (b + length * (d + length * e));
    if (end > high) high = end;
    else low = end;
    // Between ends and middle of its Bernstein polygon the slope lies; all of one sign, nothing turns inside.
    const middle = b + d * length;
    const last = b + length * (2 * d + 3 * e * length);
    if (!((b >= 0 && middle >= 0 && last >= 0) || (b <= 0 && middle <= 0 && last <= 0))) {
      const root = Math.sqrt(Math.max(0, d * d - 3 * b * e));
      const q = -(d + (d < 0 ? -root : root));
      for (let i = 0; i < 2; i++) {
        const s = i === 0 ? b / q : q / (3 * e);
        if (!(s > 0 && s < length)) continue;
        const value = a + s * (b + s * (d + s * e));
        if (value > high) high = value;
        if (value < low) low = value;
      }
    }
  }
  reach.include(high);
  reach.include(low);
}

/** The same of a polynomial of degree four or five; δ²/8 times the second derivative bounds what lies between two places δ apart. */
function widenByPlaces(reach: Reach, c: Float64Array, at: number, length: number): void {
  const [a, b, d, e, f, g] = [c[at]!, c[at + 1]!, c[at + 2]!, c[at + 3]!, c[at + 4]!, c[at + 5]!];
  let [high, low] = [a, a];
  for (let i = 1; i <= SAMPLES; i++) {
    const s = (length * i) / SAMPLES;
    const value = a + s * (b + s * (d + s * (e + s * (f + s * g))));
    if (value > high) high = value;
    if (value < low) low = value;
  }
  // Bernstein coefficients of the second derivative, between which it lies; where it curves upwards, nothing rises above its neighbours.
  const p0 = 2 * d;
  const p1 = p0 + 2 * e * length;
  const p2 = p0 + length * (4 * e + 4 * f * length);
  const p3 = p0 + length * (6 * e + length * (12 * f + 20 * g * length));
  const eighth = (length / SAMPLES) ** 2 / 8;
  high -= eighth * Math.min(0, p0, p1, p2, p3);
  low -= eighth * Math.max(0, p0, p1, p2, p3);
  reach.include(high);
  reach.include(low);
}
