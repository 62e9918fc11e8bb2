/** A place in a plane, metres. */
export type Place = readonly [number, number];
/** Corners in their order around an area; the last is joined to the first. */
export type Ring = readonly Place[];

/** Why a ring encloses no plain area; sides and corners by their index, side i from corner i to the next. */
export type RingTrouble =
  | { readonly kind: 'together'; readonly corners: readonly [number, number] }
  | { readonly kind: 'spike'; readonly corner: number }
  | { readonly kind: 'meeting'; readonly sides: readonly [number, number] };

const sideOf = (ring: Ring, i: number): readonly [Place, Place] => [ring[i]!, ring[(i + 1) % ring.length]!];

/** Twice the area of the triangle a, b, p; positive where p lies to the left. */
const turn = (a: Place, b: Place, p: Place): number => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);

/** How far a place is from the stretch between a and b. */
export function distanceTo(p: Place, a: Place, b: Place): number {
  const [u, v] = [b[0] - a[0], b[1] - a[1]];
  const square = u * u + v * v;
  const t = square > 0 ? Math.min(1, Math.max(0, ((p[0] - a[0]) * u + (p[1] - a[1]) * v) / square)) : 0;
  return Math.hypot(p[0] - a[0] - t * u, p[1] - a[1] - t * v);
}

/** Whether two stretches cross, or come nearer to each other than `slack`. */
function meet([a, b]: readonly [Place, Place], [c, d]: readonly [Place, Place], slack: number): boolean {
  if (Math.min(a[0], b[0]) > Math.max(c[0], d[0]) + slack || Math.min(c[0], d[0]) > Math.max(a[0], b[0]) + slack) return false;
  if (Math.min(a[1], b[1]) > Math.max(c[1], d[1]) + slack || Math.min(c[1], d[1]) > Math.max(a[1], b[1]) + slack) return false;
  if (turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0) return true;
  return (
    distanceTo(a, c, d) <= slack || distanceTo(b, c, d) <= slack || distanceTo(c, a, b) <= slack || distanceTo(d, a, b) <= slack
  );
}

/**
 * The first reason why a ring does not go once around one area: two corners in one place, a side that folds back on the one before, sides
 * that cross or touch. `slack`: what counts as touching, metres. Of n corners n² / 2 pairs are compared.
 */
export function ringTrouble(ring: Ring, slack: number): RingTrouble | undefined {
  const count = ring.length;
  for (let i = 0; i < count; i++) {
    const [p, q] = [ring[(i + count - 1) % count]!, ring[i]!];
    const r = ring[(i + 1) % count]!;
    if (Math.hypot(r[0] - q[0], r[1] - q[1]) <= slack) return { kind: 'together', corners: [i, (i + 1) % count] };
    const isBack = (p[0] - q[0]) * (r[0] - q[0]) + (p[1] - q[1]) * (r[1] - q[1]) > 0;
    if (isBack && (distanceTo(r, p, q) <= slack || distanceTo(p, q, r) <= slack)) return { kind: 'spike', corner: i };
  }
  for (let i = 0; i < count; i++)
    for (let j = i + 2; j < count; j++) {
      if (i === 0 && j === count - 1) continue;
      if (!meet(sideOf(ring, i), sideOf(ring, j), slack)) continue;
      const [a, b] = sideOf(ring, i);
      const [c, d] = sideOf(ring, j);
      for (const [k, p] of [[i, a], [(i + 1) % count, b]] as const)
        for (const [l, q] of [[j, c], [(j + 1) % count, d]] as const)
          if (k !== l && Math.hypot(p[0] - q[0], p[1] - q[1]) <= slack) return { kind: 'together', corners: [k, l] }; // oxfmt-ignore
      return { kind: 'meeting', sides: [i, j] };
    }
  return undefined;
}

/** The first sides of two rings that cross or touch. */
export function sidesThatMeet(one: Ring, other: Ring, slack: number): readonly [number, number] | undefined {
  for (let i = 0; i < one.length; i++)
    for (let j = 0; j < other.length; j++) if (meet(sideOf(one, i), sideOf(other, j), slack)) return [i, j];
  return undefined;
}

/** Whether a place lies inside a ring (1), on its line (0) or outside (−1). */
export function placeIn(ring: Ring, p: Place, slack: number): -1 | 0 | 1 {
  let isInside = false;
  for (let i = 0; i < ring.length; i++) {
    const [a, b] = sideOf(ring, i);
    if (distanceTo(p, a, b) <= slack) return 0;
    if (a[1] <= p[1] !== b[1] <= p[1] && turn(a, b, p) > 0 === b[1] > a[1]) isInside = !isInside;
  }
  return isInside ? 1 : -1;
}

/** Places on the sides of a ring, one between each two places at which they meet the sides of another. */
function betweenMeetings(one: Ring, other: Ring, slack: number): Place[] {
  return one.flatMap((a, i): Place[] => {
    const [, b] = sideOf(one, i);
    const way: Place = [b[0] - a[0], b[1] - a[1]];
    const length = Math.hypot(...way);
    const cuts = [0, 1];
    const addPlace = (p: Place): void => {
      if (distanceTo(p, a, b) <= slack) cuts.push(((p[0] - a[0]) * way[0] + (p[1] - a[1]) * way[1]) / length ** 2);
    };
    for (let j = 0; j < other.length; j++) {
      const [c, d] = sideOf(other, j);
      addPlace(c);
      const [one, two] = [turn(a, b, c), turn(a, b, d)];
      if (one * two < 0) addPlace([c[0] + (one / (one - two)) * (d[0] - c[0]), c[1] + (one / (one - two)) * (d[1] - c[1])]);
    }
    const sorted = cuts.filter((t) => t >= 0 && t <= 1).sort((p, q) => p - q);
    return sorted.slice(1).flatMap((to, k): Place[] => {
      const t = (sorted[k]! + to) / 2;
      return (to - sorted[k]!) * length <= 2 * slack ? [] : [[a[0] + t * way[0], a[1] + t * way[1]]];
    });
  });
}

/** Whether a sound ring lies within another; they may touch. */
export const liesWithin = (inner: Ring, outer: Ring, slack: number): boolean =>
  [...inner, ...betweenMeetings(inner, outer, slack)].every((place) => placeIn(outer, place, slack) >= 0);

/** Whether two sound rings share a part of their area; they may touch. */
export function overlap(one: Ring, other: Ring, slack: number): boolean {
  const [ours, theirs] = [betweenMeetings(one, other, slack), betweenMeetings(other, one, slack)];
  if (ours.some((place) => placeIn(other, place, slack) > 0) || theirs.some((place) => placeIn(one, place, slack) > 0))
    return true;
  // No line of the one runs through the other: they lie apart, or on the same line all around.
  return ours.every((place) => placeIn(other, place, slack) === 0);
}
