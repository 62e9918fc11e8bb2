import { once } from '../../once';
import { Area } from '../mesh/area';
import type { Loop } from '../path';

/** What makes closed lines no section, in words; undefined where they are sound. `parts`: the lines of each part, the outer one first. */
export function trouble(parts: readonly (readonly Loop[])[]): string | undefined {
  for (const [p, loops] of parts.entries()) {
    const name = parts.length > 1 ? `part ${p + 1}` : 'the outline';
    for (const [l, loop] of loops.entries()) {
      const which = l === 0 ? name : `hole ${l} of ${name}`;
      const crossing = crossingOf(loop, loop);
      if (crossing) return `${which} crosses itself between its corners ${crossing[0] + 1} and ${crossing[1] + 1}`;
    }
    for (const [l, hole] of loops.slice(1).entries()) {
      if (crossingOf(loops[0]!, hole) || !isWithin(hole, [loops[0]!])) return `hole ${l + 1} of ${name} reaches out of it`;
      for (const other of loops.slice(1, l + 1))
        if (crossingOf(other, hole) || isWithin(hole, [turnedRound(other)]))
          return `hole ${l + 1} of ${name} overlaps another hole`;
    }
    for (const [q, others] of parts.slice(0, p).entries())
      if (overlap(loops, others) || overlap(others, loops)) return `parts ${q + 1} and ${p + 1} overlap`;
  }
  return undefined;
}

const turnedRound = (loop: Loop): Loop => {
  const points: number[] = [];
  for (let i = 0; i < loop.length; i += 2) points.unshift(loop[i]!, loop[i + 1]!);
  return points;
};

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
