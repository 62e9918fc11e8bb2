import { once } from '../../once';
import { Area } from '../mesh/area';
import { placeIn, ringTrouble, sidesThatMeet, type Ring, type RingTrouble } from '../../polygons/rings';
import type { Loop } from '../path';

/** What makes closed lines no section, in words; undefined where they are sound. `parts`: the lines of each part, the outer one first. */
export function trouble(parts: readonly (readonly Loop[])[]): string | undefined {
  for (const [p, loops] of parts.entries()) {
    const name = parts.length > 1 ? `part ${p + 1}` : 'the outline';
    const rings = loops.map(ringOf);
    const slack = SLACK * extentOf(rings[0]!);
    for (const [l, ring] of rings.entries()) {
      const wrong = ringTrouble(ring, slack);
      if (wrong) return wordsOf(wrong, l === 0 ? name : `hole ${l} of ${name}`);
    }
    for (const [l, hole] of rings.slice(1).entries()) {
      const which = `hole ${l + 1} of ${name}`;
      if (placeIn(rings[0]!, hole[0]!, slack) < 0) return `${which} reaches out of it`;
      if (sidesThatMeet(rings[0]!, hole, slack)) return `${which} reaches its edge or out of it`;
      for (const [k, other] of rings.slice(1, l + 1).entries()) {
        if (sidesThatMeet(other, hole, slack)) return `holes ${k + 1} and ${l + 1} of ${name} touch or overlap`;
        if (placeIn(other, hole[0]!, slack) > 0 || placeIn(hole, other[0]!, slack) > 0)
          return `holes ${k + 1} and ${l + 1} of ${name} lie in each other`;
      }
    }
    for (const [q, others] of parts.slice(0, p).entries())
      if (overlap(loops, others) || overlap(others, loops)) return `parts ${q + 1} and ${p + 1} overlap`;
  }
  return undefined;
}

/** Lines nearer than this part of a section's extent touch. */
const SLACK = 1e-7;

const ringOf = (loop: Loop): Ring => Array.from({ length: loop.length / 2 }, (_, i) => corner(loop, i));

const extentOf = (ring: Ring): number =>
  Math.max(...[0, 1].map((k) => Math.max(...ring.map((place) => place[k]!)) - Math.min(...ring.map((place) => place[k]!))));

function wordsOf(wrong: RingTrouble, which: string): string {
  if (wrong.kind === 'together')
    return `${which} has its corners ${wrong.corners[0] + 1} and ${wrong.corners[1] + 1} in one place`;
  if (wrong.kind === 'spike') return `${which} turns back on itself at its corner ${wrong.corner + 1}`;
  return `${which} crosses or touches itself between its corners ${wrong.sides[0] + 1} and ${wrong.sides[1] + 1}`;
}

/** Twice the area that a line goes round anticlockwise. */
export const sense = (loop: Loop): number => {
  let sum = 0;
  for (let i = 0; i < loop.length; i += 2) {
    const next = (i + 2) % loop.length;
    sum += loop[i]! * loop[next + 1]! - loop[next]! * loop[i + 1]!;
  }
  return sum;
};

type Point = readonly [z: number, y: number];
const corner = (loop: Loop, i: number): Point => [loop[(2 * i) % loop.length]!, loop[(2 * i + 1) % loop.length]!];
const middle = (loop: Loop, i: number): Point => {
  const [[z0, y0], [z1, y1]] = [corner(loop, i), corner(loop, i + 1)];
  return [(z0 + z1) / 2, (y0 + y1) / 2];
};

/** On which side of a line from a to b a point lies: an area that counts only beyond what rounding leaves. */
function side([az, ay]: Point, [bz, by]: Point, [z, y]: Point): number {
  const area = (bz - az) * (y - ay) - (by - ay) * (z - az);
  const rounding = 1e-12 * (Math.hypot(bz - az, by - ay) * Math.hypot(z - az, y - ay));
  return Math.abs(area) <= rounding ? 0 : Math.sign(area);
}

/** The sides of two lines, or of one, that cross each other in a point within both. */
function crossingOf(a: Loop, b: Loop): readonly [number, number] | undefined {
  for (let i = 0; 2 * i < a.length; i++) {
    const [p, q] = [corner(a, i), corner(a, i + 1)];
    for (let j = a === b ? i + 2 : 0; 2 * j < b.length; j++) {
      const [r, s] = [corner(b, j), corner(b, j + 1)];
      if (side(p, q, r) * side(p, q, s) < 0 && side(r, s, p) * side(r, s, q) < 0) return [i, j];
    }
  }
  return undefined;
}

/** Whether a place lies in an area and not just on its edge. */
function isDeepInside(loops: readonly Loop[], [z, y]: Point): boolean {
  const isOn = loops.some((loop) =>
    Array.from({ length: loop.length / 2 }, (_, i) => i).some((i) => {
      const [a, b] = [corner(loop, i), corner(loop, i + 1)];
      const along = (z - a[0]) * (b[0] - a[0]) + (y - a[1]) * (b[1] - a[1]);
      const length = (b[0] - a[0]) ** 2 + (b[1] - a[1]) ** 2;
      return side(a, b, [z, y]) === 0 && along >= -1e-9 * length && along <= (1 + 1e-9) * length;
    }),
  );
  return !isOn && areaOf(loops).holds(z, y);
}

const areaOf = once((loops: readonly Loop[]) => new Area(loops));

const isWithin = (inner: Loop, loops: readonly Loop[]): boolean => {
  const sides = Array.from({ length: inner.length / 2 }, (_, i) => i);
  return sides.some((i) => isDeepInside(loops, corner(inner, i)) || isDeepInside(loops, middle(inner, i)));
};

/** Whether one part lies over another: lines that cross, a corner or the middle of a side inside, or all of it in the same place. */
const overlap = (one: readonly Loop[], other: readonly Loop[]): boolean =>
  one.some((loop) => other.some((line) => crossingOf(loop, line) !== undefined)) ||
  isWithin(one[0]!, other) ||
  isDeepInside(other, inner(one));

/** A place inside a part: beside the middle of a side. */
function inner(loops: readonly Loop[]): Point {
  const [z, y] = middle(loops[0]!, 0);
  const [[z0, y0], [z1, y1]] = [corner(loops[0]!, 0), corner(loops[0]!, 1)];
  for (let part = 0.25; part > 1e-9; part /= 2) {
    const place: Point = [z - part * (y1 - y0), y + part * (z1 - z0)];
    if (isDeepInside(loops, place)) return place;
  }
  return [z, y];
}
