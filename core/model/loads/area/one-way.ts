import type { Bars } from '../compound-kind';
import { linksBetween, PanelTrouble, SLACK, type Flat, type Link, type Panel } from './panel';
import type { Strip } from './two-way';

/** Nodes and weights of Gauss and Legendre's rule with 5 points on −1 … 1 (Abramowitz and Stegun, table 25.4). */
const GAUSS = [
  [0, 0.5688888888888889],
  [0.5384693101056831, 0.4786286704993665],
  [-0.5384693101056831, 0.4786286704993665],
  [0.906179845938664, 0.2369268850561891],
  [-0.906179845938664, 0.2369268850561891],
] as const;

/** Pieces into which a stretch is cut where what is carried does not grow in a straight line. */
const FINER = 8;

/** Sides whose direction is tried for the strips. */
const TRIES = 3;

interface Carrier {
  readonly member: string;
  readonly from: Flat;
  readonly to: Flat;
}

/**
 * Strips of a panel lie on the members that carry it, as simple beams. Between two opposite sides of four corners they lead from one to the
 * other like the rungs of a ladder, and loads on both grow in straight lines; across other members they are parallel.
 */
export function oneWay(panel: Panel, openings: readonly Panel[], chosen: readonly string[] | undefined, bars: Bars): Strip[] {
  const sides =
    panel.ids.length === 4 ? panel.ids.map((id, i) => linksBetweenOrNone(id, panel.ids[(i + 1) % 4]!, bars)) : undefined;
  const namesOf = (i: number): string[] => [...(sides?.[i] ?? []), ...(sides?.[i + 2] ?? [])].map(({ member }) => member).sort();
  const given = chosen && chosen.length > 0 ? [...chosen].sort() : undefined;
  if (!given && !sides) throw new PanelTrouble('only of a panel with four corners is it clear which members carry: choose them');
  const pair = given
    ? [0, 1].find((i) => sides?.[i] && sides[i + 2] && namesOf(i).join('\n') === given.join('\n'))
    : longerPair(panel);
  if (pair !== undefined && openings.length === 0) return rungs(panel, pair, bars);
  return parallel(panel, openings, given ?? namesOf(pair!), bars);
}

function linksBetweenOrNone(start: string, end: string, bars: Bars): readonly Link[] | undefined {
  try {
    return linksBetween(start, end, bars);
  } catch (trouble) {
    if (trouble instanceof PanelTrouble) return undefined;
    throw trouble;
  }
}

/** Which pair of opposite sides is the longer one. */
function longerPair({ corners }: Panel): 0 | 1 {
  const length = (i: number): number =>
    Math.hypot(corners[(i + 1) % 4]![0] - corners[i]![0], corners[(i + 1) % 4]![1] - corners[i]![1]);
  return length(0) + length(2) >= length(1) + length(3) ? 0 : 1;
}

/** Strips between side i and the one opposite, each beginning and ending at the same part of its side. */
function rungs({ corners, ids }: Panel, i: number, bars: Bars): Strip[] {
  const corner = (k: number): Flat => corners[(i + k) % 4]!;
  const id = (k: number): string => ids[(i + k) % 4]!;
  const vector = (from: Flat, to: Flat): Flat => [to[0] - from[0], to[1] - from[1]];
  const product = (p: Flat, q: Flat): number => p[0] * q[1] - p[1] * q[0];
  const [near, far] = [vector(corner(0), corner(1)), vector(corner(3), corner(2))];
  // Per part of the sides, the area between two rungs is (1 − t)·a + t·b at a part t of their length; the lever rule divides it.
  const shares = ([[0, 3], [1, 2]] as const).map(([from, to]) => {
    const rung = vector(corner(from), corner(to));
    const [a, b] = [product(near, rung), product(far, rung)];
    return [a / 3 + b / 6, a / 6 + b / 3] as const;
  }); // oxfmt-ignore
  if (shares.some(([a, b]) => a < 0 || b < 0)) throw new PanelTrouble('its sides cross between the members that carry it');
  return [near, far].map((side, k): Strip => {
    const length = Math.hypot(...side);
    const links = k === 0 ? linksBetween(id(0), id(1), bars) : linksBetween(id(3), id(2), bars);
    return { links, from: 0, to: length, widths: [shares[0]![k]! / length, shares[1]![k]! / length] };
  });
}

/**
 * Parallel strips across the panel, from each member to the next, and beyond the last as its overhang; what lies over an opening is left out.
 * Each stretch gets the linear load with the very force and moment of the strips on it.
 */
function parallel(panel: Panel, openings: readonly Panel[], members: readonly string[], bars: Bars): Strip[] {
  const carriers = members.map((member): Carrier => {
    const { start, end } = bars(member);
    const ends = [start, end].map((node) => {
      const point = bars.places.get(node)!;
      if (panel.off(point) > 1e-6 * panel.extent) throw new PanelTrouble(`member ${member} does not lie in its plane`);
      return panel.flat(point);
    });
    return { member, from: ends[0]!, to: ends[1]! };
  });
  if (carriers.length < 2) throw new PanelTrouble('one way it spans between two members at least: choose those that carry it');
  // Strips run as a side of the panel does, square to the members at the last.
  let trouble: PanelTrouble | undefined;
  for (const along of acrossSides(panel, directionOf(carriers))) {
    try {
      return stripsAlong(panel, openings, carriers, along);
    } catch (thrown) {
      if (!(thrown instanceof PanelTrouble)) throw thrown;
      trouble = thrown;
    }
  }
  throw trouble!;
}

/** The directions square to those sides that run across the members, the most square first; at the end that of the members themselves. */
function acrossSides({ corners }: Panel, members: Flat): readonly Flat[] {
  const across = corners.flatMap((p, i): Flat[] => {
    const q = corners[(i + 1) % corners.length]!;
    const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
    const square: Flat = [(q[1] - p[1]) / length, (p[0] - q[0]) / length];
    const sense = square[0] * members[0] + square[1] * members[1] < 0 ? -1 : 1;
    return [[sense * square[0], sense * square[1]]];
  });
  const along = ([a, b]: Flat): number => a * members[0] + b * members[1];
  return [
    ...across
      .filter((way) => along(way) > 0.8)
      .sort((p, q) => along(q) - along(p))
      .slice(0, TRIES),
    members,
  ];
}

function stripsAlong(panel: Panel, openings: readonly Panel[], carriers: readonly Carrier[], along: Flat): Strip[] {
  const turned = ([a, b]: Flat): Flat => [a * along[0] + b * along[1], b * along[0] - a * along[1]];
  const loops = [panel, ...openings].map(({ corners }) => corners.map(turned));
  const beams = carriers.map(({ member, from, to }) => ({ member, from: turned(from), to: turned(to) }));
  const upright = beams.find(({ from, to }) => Math.abs(to[0] - from[0]) < 0.3 * Math.hypot(to[0] - from[0], to[1] - from[1]));
  if (upright) throw new PanelTrouble(`member ${upright.member} runs across the others`);
  const cuts = [...new Set([...loops.flat(), ...beams.flatMap(({ from, to }) => [from, to])].map(([s]) => s))].sort(
    (a, b) => a - b,
  );
  const reach = loops[0]!.map(([s]) => s);
  const [first, last] = [Math.min(...reach), Math.max(...reach)];
  const slack = SLACK * panel.extent;
  const strips: Strip[] = [];
  for (let k = 1; k < cuts.length; k++) {
    const [from, to] = [Math.max(cuts[k - 1]!, first), Math.min(cuts[k]!, last)];
    if (to - from > slack) strips.push(...stretch({ loops, beams, slack }, from, to, FINER));
  }
  return strips;
}

type Beam = Carrier;

/** The mean direction of the members. */
function directionOf(carriers: readonly Carrier[]): Flat {
  const [first] = carriers;
  const base: Flat = [first!.to[0] - first!.from[0], first!.to[1] - first!.from[1]];
  let [a, b] = [0, 0];
  for (const { from, to } of carriers) {
    const way = [to[0] - from[0], to[1] - from[1]] as const;
    const sense = Math.sign(way[0] * base[0] + way[1] * base[1]) || 1;
    a += sense * way[0];
    b += sense * way[1];
  }
  const length = Math.hypot(a, b);
  return [a / length, b / length];
}

const heightOf = ({ from, to }: Beam, s: number): number => from[1] + ((s - from[0]) / (to[0] - from[0])) * (to[1] - from[1]);

/** Panel and openings as lines of places along and across the strips, and the beams that carry them; metres that count as nothing. */
interface Bay {
  readonly loops: readonly (readonly Flat[])[];
  readonly beams: readonly Beam[];
  readonly slack: number;
}

/** What each beam carries per metre along s of a pressure of 1. */
function carriedAt({ loops, beams, slack }: Bay, s: number): readonly number[] {
  const there = beams
    .map((beam, i) => ({ i, t: heightOf(beam, s), beam }))
    .filter(({ beam: { from, to } }) => s >= Math.min(from[0], to[0]) && s <= Math.max(from[0], to[0]))
    .sort((a, b) => a.t - b.t);
  const crossings = loops
    .flatMap((loop) =>
      loop.flatMap((p, k) => {
        const q = loop[(k + 1) % loop.length]!;
        return p[0] <= s === q[0] <= s ? [] : [p[1] + ((s - p[0]) / (q[0] - p[0])) * (q[1] - p[1])];
      }),
    )
    .sort((a, b) => a - b);
  const carried = beams.map(() => 0);
  if (crossings.length > 0)
    for (let k = 1; k < there.length; k++) {
      const [a, b] = [there[k - 1]!, there[k]!];
      if (!(b.t - a.t > slack)) throw new PanelTrouble(`members ${a.beam.member} and ${b.beam.member} lie on one line`);
    }
  if (crossings.length > 0 && there.length < 2)
    throw new PanelTrouble('a strip of it meets fewer than two of the members that carry it: choose others');
  for (let k = 0; k + 1 < crossings.length; k += 2) {
    const ends = [
      crossings[k]!,
      ...there.map(({ t }) => t).filter((t) => t > crossings[k]! && t < crossings[k + 1]!),
      crossings[k + 1]!,
    ];
    for (let j = 1; j < ends.length; j++) {
      const [from, to] = [ends[j - 1]!, ends[j]!];
      if (to === from) continue;
      const middle = (from + to) / 2;
      const upper = Math.min(Math.max(1, there.findIndex(({ t }) => t >= middle) < 0 ? there.length - 1 : there.findIndex(({ t }) => t >= middle)), there.length - 1); // oxfmt-ignore
      const [a, b] = [there[upper - 1]!, there[upper]!];
      const share = (middle - a.t) / (b.t - a.t);
      carried[a.i]! += (to - from) * (1 - share);
      carried[b.i]! += (to - from) * share;
    }
  }
  return carried;
}

/** The loads of all beams between two cuts, in pieces where they do not grow in a straight line. */
function stretch(bay: Bay, from: number, to: number, pieces: number): Strip[] {
  const { beams } = bay;
  const [middle, half] = [(from + to) / 2, (to - from) / 2];
  const samples = GAUSS.map(([x, weight]) => ({ x, weight, carried: carriedAt(bay, middle + half * x) }));
  const found = beams.map((beam, i) => {
    const mean = samples.reduce((sum, { weight, carried }) => sum + (weight / 2) * carried[i]!, 0);
    const slope = samples.reduce((sum, { x, weight, carried }) => sum + 1.5 * weight * x * carried[i]!, 0);
    const size = Math.max(...samples.map(({ carried }) => Math.abs(carried[i]!)));
    const isStraight = samples.every(({ x, carried }) => Math.abs(carried[i]! - mean - slope * x) <= 1e-9 * size);
    return { beam, mean, slope, size, isStraight };
  });
  if (pieces > 1 && found.some(({ isStraight }) => !isStraight)) {
    const cut = (k: number): number => from + ((to - from) * k) / pieces;
    return Array.from({ length: pieces }, (_, k) => stretch(bay, cut(k), cut(k + 1), 1)).flat();
  }
  return found.flatMap(({ beam, mean, slope, size }): Strip[] => {
    if (size === 0) return [];
    // Along the beam itself: it may lean against s.
    const length = Math.hypot(beam.to[0] - beam.from[0], beam.to[1] - beam.from[1]);
    const lean = Math.abs(beam.to[0] - beam.from[0]) / length;
    const isAlong = beam.to[0] > beam.from[0];
    const at = (s: number): number => Math.abs(s - (isAlong ? beam.from[0] : beam.to[0])) / lean;
    const widths = [(mean - slope) * lean, (mean + slope) * lean] as const;
    return [
      {
        links: [{ member: beam.member, from: 0, to: length, way: isAlong ? 'along' : 'against' }],
        from: at(from),
        to: at(to),
        widths,
      },
    ];
  });
}
