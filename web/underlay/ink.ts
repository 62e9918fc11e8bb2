import type { InkMap } from './ink-map';

/** A place on the lines of a picture: pixels from the upper left corner, in the middle of the stroke. */
export interface InkPlace {
  readonly kind: 'corner' | 'line';
  readonly x: number;
  readonly y: number;
}

/** Directions in which a pixel looks for strokes, and how far it must see ink in one for it to be a stroke, pixels. */
const DIRECTIONS = 32;
const ARM = 16;
/** Two strokes within this of a straight line are one that runs on, directions. */
const BEND = 3;
/** Largest reach in pixels that is searched in one picture; where more is asked for, a smaller picture of it is searched. */
const FARTHEST = 24;
/** Pixels about a place found in a smaller picture in which the larger one is searched. */
const AGAIN = 8;

const WAYS = Array.from({ length: DIRECTIONS }, (_, k) => {
  const angle = (2 * Math.PI * k) / DIRECTIONS;
  return [Math.cos(angle), Math.sin(angle)] as const;
});

/**
 * The corner, end of a bend, or crossing of lines within `reach` of a place, else the middle of the nearest line; pixels of the first
 * level. Found in as small a picture as the reach and the width of the strokes allow, and then more exactly in the larger ones, as long
 * as strokes are still lines there and not areas.
 */
export function inkNear(levels: readonly InkMap[], px: number, py: number, reach: number): InkPlace | undefined {
  const at = (level: number): Pixels => pixelsNear(levels[level]!, px / 2 ** level, py / 2 ** level, reach / 2 ** level);
  let level = levels.findIndex((_, l) => reach / 2 ** l <= FARTHEST);
  if (level < 0) return undefined;
  let found = at(level);
  while (level + 1 < levels.length && isArea(found)) found = at(++level);
  let place = placeAmong(found, px / 2 ** level, py / 2 ** level);
  for (; place && level > 0; level--) {
    const [x, y] = [place.x * 2, place.y * 2];
    const nearer = pixelsNear(levels[level - 1]!, x, y, AGAIN);
    const again = isArea(nearer) ? undefined : placeAmong(nearer, x, y);
    const isNear = again && Math.hypot(again.x - x, again.y - y) <= ALIKE;
    if (!isNear || again.kind !== place.kind) return { kind: place.kind, x: place.x * 2 ** level, y: place.y * 2 ** level };
    place = again;
  }
  return place;
}

/** Pixels by which the place in a larger picture may differ from that in the smaller one: more is another place, or a blur. */
const ALIKE = 2.5;

interface Pixel {
  readonly x: number;
  readonly y: number;
  readonly far: number;
}

/** The inked pixels about a place, the nearest first. */
interface Pixels {
  readonly isInk: IsInk;
  readonly inked: readonly Pixel[];
}

function pixelsNear(map: InkMap, px: number, py: number, reach: number): Pixels {
  const isInk = (x: number, y: number): boolean =>
    x >= 0 && y >= 0 && x < map.width && y < map.height && map.dark[y * map.width + x] === 1;
  const inked: Pixel[] = [];
  for (let y = Math.floor(py - reach); y <= py + reach; y++)
    for (let x = Math.floor(px - reach); x <= px + reach; x++) {
      const far = Math.hypot(x + 0.5 - px, y + 0.5 - py);
      if (far <= reach && isInk(x, y)) inked.push({ x, y, far });
    }
  return { isInk, inked: inked.sort((a, b) => a.far - b.far) };
}

/** Pixels across from which a stroke hides how others meet it. */
const THICK = 6;

/** Whether the nearest ink is wider than a line should be. */
function isArea({ isInk, inked: [first] }: Pixels): boolean {
  if (!first) return false;
  const half = DIRECTIONS / 2;
  const across = WAYS.slice(0, half).map(
    (_, k) => 1 + seen(isInk, first.x, first.y, k) + seen(isInk, first.x, first.y, k + half),
  );
  return Math.min(...across) > THICK;
}

const placeAmong = ({ isInk, inked }: Pixels, px: number, py: number): InkPlace | undefined =>
  inked.length === 0
    ? undefined
    : (refined(cornerAmong(inked, isInk), isInk) ?? bendAt(inked[0]!, isInk) ?? middleOfLine(inked[0]!, isInk, px, py));

/** A corner where a stroke bends a little, more exactly: from as much of its two arms as can be seen. */
function refined(corner: InkPlace | undefined, isInk: IsInk): InkPlace | undefined {
  const exact = corner && bendAt({ x: Math.floor(corner.x), y: Math.floor(corner.y), far: 0 }, isInk);
  return exact && Math.hypot(exact.x - corner.x, exact.y - corner.y) <= ARM / 2 ? exact : corner;
}

type IsInk = (x: number, y: number) => boolean;

/** How far ink reaches from a pixel in one direction, up to ARM. */
function seen(isInk: IsInk, x: number, y: number, k: number): number {
  const [dx, dy] = WAYS[k]!;
  for (let s = 1; s <= ARM; s++) if (!isInk(Math.round(x + s * dx), Math.round(y + s * dy))) return s - 1;
  return ARM;
}

/** Of all pixels in reach those where strokes of different directions meet; the middle of the nearest cluster that sees most of them. */
function cornerAmong(inked: readonly Pixel[], isInk: IsInk): InkPlace | undefined {
  const meeting = inked.flatMap(({ x, y, far }) => {
    const arms = armsOf(isInk, x, y);
    if (!bends(arms.map(({ way }) => way))) return [];
    // In the middle of a meeting most arms are seen, and each in the fewest directions.
    return [{ x, y, far, blur: arms.reduce((sum, { spread }) => sum + spread, 0) - DIRECTIONS * arms.length }];
  });
  if (meeting.length === 0) return undefined;
  const nearest = meeting.reduce((a, b) => (b.far < a.far ? b : a));
  const cluster = meeting.filter(({ x, y }) => Math.hypot(x - nearest.x, y - nearest.y) <= ARM / 2);
  const least = Math.min(...cluster.map(({ blur }) => blur));
  const best = cluster.filter(({ blur }) => blur === least);
  const [mx, my] = [0, 0].map((_, k) => best.reduce((sum, one) => sum + (k === 0 ? one.x : one.y), 0) / best.length) as [
    number,
    number,
  ];
  const { x, y } = best.reduce((a, b) => (Math.hypot(b.x - mx, b.y - my) < Math.hypot(a.x - mx, a.y - my) ? b : a));
  const far = strokesThroughRings(isInk, x, y);
  const near = armsOf(isInk, x, y).flatMap(
    ({ way }) => strokeAlong(isInk, x, y, (2 * Math.PI * way) / DIRECTIONS, ARM / 2) ?? [],
  );
  const strokes = far.length > 1 ? far : near;
  const meet = meetingOf(strokes);
  return meet && Math.hypot(meet.x - x, meet.y - y) <= ARM / 2
    ? { kind: 'corner', ...meet }
    : { kind: 'corner', x: x + 0.5, y: y + 0.5 };
}

/** Sine of the angle from which a stroke bends, and does not only run on. */
const SHALLOW = 0.06;
/** Cosine of the angle by which the arms of a bend may differ from one straight line at most. */
const STRAIGHT_ON = 0.77;
/** Pixels from the stroke under the pointer to its bend at most. */
const NEAR_BEND = 14;

/** Where a stroke that runs on through a place bends a little there, as at the ridge of a roof. */
function bendAt({ x, y }: Pixel, isInk: IsInk): InkPlace | undefined {
  const [a, b, more] = armsThroughCircles(isInk, x, y);
  if (!a || !b || more || Math.abs(a.dx * b.dy - a.dy * b.dx) < SHALLOW) return undefined;
  const meet = crossingOf(a, b);
  const [p, q] = [a, b].map((arm) => Math.atan2(arm.y - meet.y, arm.x - meet.x)) as [number, number];
  // Only what nearly runs on: of strokes that meet squarely more may be hidden.
  if (Math.cos(p - q) > -STRAIGHT_ON) return undefined;
  const isNear = Math.hypot(meet.x - x - 0.5, meet.y - y - 0.5) <= NEAR_BEND;
  // The two sides of a curve would meet outside it.
  const isInked = [-1, 0, 1].some((dx) => [-1, 0, 1].some((dy) => isInk(Math.floor(meet.x) + dx, Math.floor(meet.y) + dy)));
  return isNear && isInked ? { kind: 'corner', ...meet } : undefined;
}

/** Radii of the circles on which the arms of a bend are met, pixels, and the angle by which an arm may turn from one to the next. */
const CIRCLES = Array.from({ length: 15 }, (_, i) => 18 + 3 * i);
const DRIFT = 0.12;

/** What leads from a place through all circles about it, each as the straight line that lies nearest to where it meets them. */
function armsThroughCircles(isInk: IsInk, x: number, y: number): Stroke[] {
  let arms: { angle: number; middles: { x: number; y: number }[] }[] = [];
  for (const radius of CIRCLES) {
    const angles = crossings(isInk, x, y, radius);
    const middle = (angle: number): { x: number; y: number } => ({
      x: x + 0.5 + radius * Math.cos(angle),
      y: y + 0.5 + radius * Math.sin(angle),
    });
    if (radius === CIRCLES[0]) arms = angles.map((angle) => ({ angle, middles: [middle(angle)] }));
    else
      arms = arms.flatMap((arm) => {
        const next = angles.find((one) => Math.abs(Math.atan2(Math.sin(one - arm.angle), Math.cos(one - arm.angle))) < DRIFT);
        return next === undefined ? [] : [{ angle: next, middles: [...arm.middles, middle(next)] }];
      });
  }
  return arms.flatMap(({ middles }) => lineThrough(middles) ?? []);
}

/** Where the lines of two strokes cross. */
function crossingOf(a: Stroke, b: Stroke): { x: number; y: number } {
  const t = ((b.x - a.x) * b.dy - (b.y - a.y) * b.dx) / (a.dx * b.dy - a.dy * b.dx);
  return { x: a.x + t * a.dx, y: a.y + t * a.dy };
}

/** A straight line through the middle of a stroke. */
interface Stroke {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
}

/** Radii of two circles on which strokes that meet have parted, pixels, and the angle between the places of one stroke on them. */
const RINGS = [26, 40] as const;
const SAME_WAY = 0.12;

/** The strokes that cross both of two circles about a pixel: strokes that part slowly are one blur nearer to where they meet. */
function strokesThroughRings(isInk: IsInk, x: number, y: number): Stroke[] {
  const [inner, outer] = RINGS.map((radius) => crossings(isInk, x, y, radius)) as [number[], number[]];
  return inner.flatMap((angle) => {
    const turn = (other: number): number => Math.abs(Math.atan2(Math.sin(other - angle), Math.cos(other - angle)));
    const other = outer.find((one) => turn(one) < SAME_WAY);
    if (other === undefined) return [];
    const at = (radius: number, way: number): [number, number] => [
      x + 0.5 + radius * Math.cos(way),
      y + 0.5 + radius * Math.sin(way),
    ];
    const [ax, ay] = at(RINGS[0], angle);
    const [bx, by] = at(RINGS[1], other);
    const [dx, dy] = [bx - ax, by - ay];
    for (let t = 0.1; t < 1; t += 0.1) if (!isInk(Math.floor(ax + t * dx), Math.floor(ay + t * dy))) return [];
    const length = Math.hypot(dx, dy);
    return [{ x: ax, y: ay, dx: dx / length, dy: dy / length }];
  });
}

/** The middle angles of the ink on a circle about a pixel. */
function crossings(isInk: IsInk, x: number, y: number, radius: number): number[] {
  const steps = Math.ceil(4 * Math.PI * radius);
  const on = Array.from({ length: steps }, (_, k) => {
    const angle = (2 * Math.PI * k) / steps;
    return isInk(Math.floor(x + 0.5 + radius * Math.cos(angle)), Math.floor(y + 0.5 + radius * Math.sin(angle)));
  });
  const start = on.findIndex((one, k) => one && !on[(k + steps - 1) % steps]);
  const middles: number[] = [];
  for (let i = 0; start >= 0 && i < steps; i++) {
    let run = 0;
    while (run < steps && on[(start + i + run) % steps]) run++;
    if (run > 0) middles.push((2 * Math.PI * (start + i + (run - 1) / 2)) / steps);
    i += run;
  }
  return middles;
}

/** Pixels for which a stroke is followed. */
const LONG = 48;
/** Mean square of pixels by which the middles of one stroke lie beside their line at most. */
const STRAY = 0.3;
/** Pixels across a stroke at most. */
const WIDEST = 14;

/**
 * The stroke that leads from a pixel in a direction: the middles of the ink across it, from `begin` pixels away on, and the straight
 * line that lies nearest to them all.
 */
function strokeAlong(isInk: IsInk, x: number, y: number, angle: number, begin: number): Stroke | undefined {
  const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
  const middles: { x: number; y: number }[] = [];
  for (let s = begin; s <= LONG; s++) {
    const [sx, sy] = [x + s * dx, y + s * dy];
    if (!isInk(Math.round(sx), Math.round(sy))) {
      // A stroke is followed as far as it is seen without a gap: the longer, the more exactly its direction is known.
      if (s > 0 && middles.length > 0) break;
      continue;
    }
    const reach = (side: 1 | -1): number => {
      for (let t = 0.5; t <= WIDEST; t += 0.5)
        if (!isInk(Math.round(sx - side * t * dy), Math.round(sy + side * t * dx))) return t;
      return WIDEST;
    };
    const shift = (reach(1) - reach(-1)) / 2;
    middles.push({ x: sx + 0.5 - shift * dy, y: sy + 0.5 + shift * dx });
  }
  return middles.length < 3 ? undefined : lineThrough(middles);
}

/** The straight line that lies nearest to some places; undefined where they do not lie in one. */
function lineThrough(middles: readonly { readonly x: number; readonly y: number }[]): Stroke | undefined {
  const mean = (pick: (one: { x: number; y: number }) => number): number =>
    middles.reduce((sum, one) => sum + pick(one), 0) / middles.length;
  const [mx, my] = [mean((one) => one.x), mean((one) => one.y)];
  const [xx, yy, xy] = [
    mean((one) => (one.x - mx) ** 2),
    mean((one) => (one.y - my) ** 2),
    mean((one) => (one.x - mx) * (one.y - my)),
  ];
  // Middles that do not lie in one line belong to two strokes that part: neither is told by them.
  const beside = (xx + yy) / 2 - Math.hypot((xx - yy) / 2, xy);
  if (beside > STRAY) return undefined;
  const along = Math.atan2(2 * xy, xx - yy) / 2;
  return { x: mx, y: my, dx: Math.cos(along), dy: Math.sin(along) };
}

/** Where the two strokes cross that lead apart most squarely. */
function meetingOf(strokes: readonly Stroke[]): { x: number; y: number } | undefined {
  let best: { x: number; y: number } | undefined;
  let widest = 0.2;
  strokes.forEach((a, i) =>
    strokes.slice(i + 1).forEach((b) => {
      const sine = a.dx * b.dy - a.dy * b.dx;
      if (Math.abs(sine) <= widest) return;
      widest = Math.abs(sine);
      best = crossingOf(a, b);
    }),
  );
  return best;
}

/** The strokes that lead away from a pixel: neighbouring directions that see far are one. */
function armsOf(isInk: IsInk, x: number, y: number): { readonly way: number; readonly spread: number }[] {
  const far = WAYS.map((_, k) => seen(isInk, x, y, k) === ARM);
  const start = far.findIndex((one, k) => one && !far[(k + DIRECTIONS - 1) % DIRECTIONS]);
  if (start < 0) return [];
  const arms: { way: number; spread: number }[] = [];
  for (let i = 0; i < DIRECTIONS; i++) {
    if (!far[(start + i) % DIRECTIONS]) continue;
    let spread = 1;
    while (i + spread < DIRECTIONS && far[(start + i + spread) % DIRECTIONS]) spread++;
    arms.push({ way: start + i + (spread - 1) / 2, spread });
    i += spread;
  }
  return arms;
}

/** Whether strokes meet: some two of them lead apart, and not only straight on. A slit between two that part slowly is no meeting. */
function bends(ways: readonly number[]): boolean {
  return ways.some((one, i) =>
    ways.slice(i + 1).some((other) => {
      const apart = Math.abs(one - other) % DIRECTIONS;
      const turn = Math.min(apart, DIRECTIONS - apart);
      return turn > BEND && turn < DIRECTIONS / 2 - BEND;
    }),
  );
}

/** The place nearest to the pointer in the middle of the stroke that it is nearest to. */
function middleOfLine({ x, y }: Pixel, isInk: IsInk, px: number, py: number): InkPlace {
  const half = DIRECTIONS / 2;
  const along = WAYS.slice(0, half)
    .map((_, k) => ({ k, length: seen(isInk, x, y, k) + seen(isInk, x, y, k + half) }))
    .reduce((a, b) => (b.length > a.length ? b : a));
  const stroke = strokeAlong(isInk, x, y, (2 * Math.PI * along.k) / DIRECTIONS, -ARM);
  if (!stroke) return { kind: 'line', x: x + 0.5, y: y + 0.5 };
  const t = (px - stroke.x) * stroke.dx + (py - stroke.y) * stroke.dy;
  return { kind: 'line', x: stroke.x + t * stroke.dx, y: stroke.y + t * stroke.dy };
}
