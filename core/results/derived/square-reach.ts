import type { Reach } from '../reach';

/** How often a piece is halved at most, where what is known of it does not do. */
const DEPTH = 6;

/** A polynomial y0 + y1·s + y2·s² + y3·s³ at one place, with its first and second derivative. */
class Cubic {
  private y0 = 0;
  private y1 = 0;
  private y2 = 0;
  y3 = 0;
  value = 0;
  slope = 0;
  bend = 0;

  take(c: Float64Array, at: number): void {
    this.y0 = at < 0 ? 0 : c[at]!;
    this.y1 = at < 0 ? 0 : c[at + 1]!;
    this.y2 = at < 0 ? 0 : c[at + 2]!;
    this.y3 = at < 0 ? 0 : c[at + 3]!;
  }

  go(s: number): void {
    const { y0, y1, y2, y3 } = this;
    this.value = y0 + s * (y1 + s * (y2 + s * y3));
    this.slope = y1 + s * (2 * y2 + 3 * s * y3);
    this.bend = 2 * y2 + 6 * s * y3;
  }
}

const [a, b] = [new Cubic(), new Cubic()];
const square = (): number => a.value * a.value + b.value * b.value;
/**
 * Raises a reach to where My² + Mz² of a piece comes at most; what lies below it already is not looked at closely. Between two places δ apart
 * the square rises above both by no more than δ²/8 times what its second derivative 2(y′² + y·y″ + z′² + z·z″) is below zero; that has a bound
 * which follows from the two cubics at the ends of the part. Where it does not do, the part is halved.
 */
export function raiseBySquare(
  reach: Reach,
  coefficients: Float64Array,
  [My, Mz]: readonly [number, number],
  length: number,
): void {
  a.take(coefficients, My);
  b.take(coefficients, Mz);
  raiseBetween(reach, 0, length, DEPTH);
}

function raiseBetween(reach: Reach, from: number, to: number, depth: number): void {
  const step = to - from;
  a.go(from);
  b.go(from);
  const before = square();
  // One by one: a list of them would be made and thrown away a million times.
  const va = a.value;
  const sa = a.slope;
  const ba = a.bend;
  const vb = b.value;
  const sb = b.slope;
  const bb = b.bend;
  a.go(to);
  b.go(to);
  const now = square();
  const most = Math.max(before, now);
  reach.raise(most);
  // By how much a slope may go beyond both ends of the part: its own second derivative is constant.
  const overA = (3 / 4) * step * step * Math.abs(a.y3);
  const overB = (3 / 4) * step * step * Math.abs(b.y3);
  const bent = furthest(va, a.value, ba, a.bend, step) + furthest(vb, b.value, bb, b.bend, step);
  const convex = least(sa, a.slope, overA) + least(sb, b.slope, overB) - bent;
  const high = most - (step * step * Math.min(0, convex)) / 4;
  if (high <= reach.high) return;
  if (depth === 0) reach.raise(high);
  else {
    raiseBetween(reach, from, from + step / 2, depth - 1);
    raiseBetween(reach, from + step / 2, to, depth - 1);
  }
}

/** The least square of what lies between two values, or beyond them by no more than `over`. */
const least = (from: number, to: number, over: number): number =>
  from * to <= 0 ? 0 : Math.max(0, Math.min(Math.abs(from), Math.abs(to)) - over) ** 2;

/** The largest |y·y″| of a part. */
function furthest(from: number, to: number, bendFrom: number, bendTo: number, step: number): number {
  const bend = Math.max(Math.abs(bendFrom), Math.abs(bendTo));
  return (Math.max(Math.abs(from), Math.abs(to)) + (step * step * bend) / 8) * bend;
}
