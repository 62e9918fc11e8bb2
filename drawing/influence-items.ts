import type { Model } from '@rigid-beam/core/model/model';
import { showNumber } from '@rigid-beam/core/quantities/show';
import type { Effect } from '@rigid-beam/core/influence/effect';
import {
  extremesOfLine,
  lobesOf,
  turnsOf,
  valueOfPiece,
  zerosOf,
  type Lobe,
  type Ordinate,
} from '@rigid-beam/core/results/travelling/line';
import type { Path, Span } from '@rigid-beam/core/results/travelling/path';
import { quantityTable } from '@rigid-beam/core/results/quantities';
import { symbolPath, worldPath, type Ink, type Item } from './display-list';
import type { DrawnInfluence } from './drawn-influence';
import { inkOf as inkOfQuantity } from './diagram-items';
import { drawnMembers, drawnNodes, extentOf, pointOn, type DrawnMember } from './geometry';
import { seenPoint } from './projection';
import { circle } from './structure-items';
import type { SheetQuantity, View } from './view';

/** The part of the structure's size that the largest ordinate takes. */
const PART = 0.12;
/** Straight steps of a piece. */
const STEPS = 24;
/** Pixels between ordinates, of an axle's arrow and its head, and from the line to it. */
const SPACING = 14;
const ARROW = 40;
const HEAD = 8;
const CLEAR = 3;
/** Sine of the angle under which a load leads along what it stands on: ordinates then stand across that. */
const ALONG = 0.25;

type Vector = readonly [number, number];

/** A place of the path on the drawing, and where a value of 1 stands beside it, against the load. */
interface Base {
  readonly at: Vector;
  readonly against: Vector;
}

/** An influence line over the path of its load: positive values stand where the load comes from. With its extremes, zeros and the place that it is of. */
export function influenceItems(model: Model, drawn: DrawnInfluence, view: View): Item[] {
  const { line, path, effect, told } = drawn;
  const { max, min } = extremesOfLine(line);
  const largest = Math.max(max.value, -min.value);
  const places = placesOn(model, path, view);
  if (!(largest > 0)) return markOf(model, effect, view);
  const reach = (PART * extentOf(model) * view.diagramFactor) / largest;
  const tip = (s: number, value: number, among: number): Vector | undefined => {
    const base = places(s, among);
    return base && [base.at[0] + reach * value * base.against[0], base.at[1] + reach * value * base.against[1]];
  };
  const lobes = lobesOf(line);
  const items = lobes.flatMap((lobe) => lobeItems(drawn, lobe, { places, tip }, view));
  const labels = lobes.flatMap((lobe): Item[] => {
    const peak = peakOf(drawn, lobe);
    const at = tip(peak.s, peak.value, middleOf(lobe));
    const base = places(peak.s, middleOf(lobe));
    if (!at || !base || Math.abs(peak.value) < 0.02 * largest) return [];
    const isGreatest = Math.abs(peak.value) >= largest * (1 - 1e-9);
    const side = Math.sign(peak.value);
    const away: Vector = [side * base.against[0], side * base.against[1]];
    const text = showNumber(told.factor * peak.value);
    return [
      {
        kind: 'label',
        text: isGreatest ? `${text} ${told.unit}` : text,
        ...{ x: at[0], y: at[1], dx: 3 * away[0], dy: 3 * away[1], away },
        ...{ ink: inkOf(effect, peak.value), role: isGreatest ? 'extreme' : 'value', rank: isGreatest ? 1000 : 500 },
      },
    ];
  });
  const zeros = zerosOf(line).flatMap((s): Item[] => {
    const base = places(s, s);
    return base
      ? [symbolPath(...base.at, circle(3 * view.weight), { closed: true, fill: 'paper', stroke: 'text', width: 1.2 })]
      : [];
  });
  return [...items, ...zeros, ...markOf(model, effect, view), ...axleItems(drawn, places, view), ...labels];
}

/** The places of a path on the drawing; undefined where they cannot be seen. */
function placesOn(model: Model, path: Path, view: View): (s: number, among: number) => Base | undefined {
  const members = new Map(drawnMembers(model, view).map((member) => [member.index, member]));
  const nodes = new Map([...drawnNodes(model, view).values()].map((node) => [node.index, node]));
  const [dx, dy] = seenPoint(view.projection, path.direction);
  const against = (along: Vector, across: Vector): Vector => {
    const [seen, length] = [Math.hypot(dx, dy), Math.hypot(...along)];
    if (seen < ALONG || Math.abs(dx * along[1] - dy * along[0]) < ALONG * seen * length) return across;
    return [-dx / seen, -dy / seen];
  };
  const ends = (span: Span): readonly [Vector, Vector] | undefined => {
    if (span.kind === 'nodes') {
      const [from, to] = span.nodes.map((node) => nodes.get(node));
      return from && to && [[from.x, from.y], [to.x, to.y]]; // oxfmt-ignore
    }
    if (span.kind === 'member') {
      const member = members.get(span.member);
      if (!member) return undefined;
      const all: [Vector, Vector] = [pointOn(member, 0), pointOn(member, member.length)];
      return span.way === 'along' ? all : [all[1], all[0]];
    }
    const i = path.spans.indexOf(span);
    const [before, behind] = [ends(path.spans[i - 1]!), ends(path.spans[i + 1]!)];
    return before && behind && [before[1], behind[0]];
  };
  const found = path.spans.map((span) => ({ span, ends: ends(span) }));
  return (s, among) => {
    const one = found.find(({ span }) => among <= span.to) ?? found.at(-1)!;
    if (!one.ends) return undefined;
    const [[x1, y1], [x2, y2]] = one.ends;
    const t = (s - one.span.from) / (one.span.to - one.span.from);
    const along: Vector = [x2 - x1, y2 - y1];
    const length = Math.hypot(...along) || 1;
    // Whichever side leads up on the drawing, of what stands upright the left one.
    const sense = x2 > x1 + 1e-9 * length || (Math.abs(x2 - x1) <= 1e-9 * length && y2 > y1) ? 1 : -1;
    const across: Vector = [(-sense * (y2 - y1)) / length, (sense * (x2 - x1)) / length];
    return { at: [x1 + t * along[0], y1 + t * along[1]], against: against(along, across) };
  };
}

interface Drawing {
  readonly places: (s: number, among: number) => Base | undefined;
  readonly tip: (s: number, value: number, among: number) => Vector | undefined;
}

const middleOf = ({ from, to }: Lobe): number => (from + to) / 2;

/** What of each piece lies in a lobe. */
const partsOf = ({ line }: DrawnInfluence, { from, to }: Lobe) =>
  line.pieces.flatMap((piece) => {
    const [a, b] = [Math.max(from, piece.from), Math.min(to, piece.to)];
    return b > a ? [{ piece, a, b }] : [];
  });

function lobeItems(drawn: DrawnInfluence, lobe: Lobe, { places, tip }: Drawing, view: View): Item[] {
  const ink = inkOf(drawn.effect, lobe.area);
  return partsOf(drawn, lobe).flatMap(({ piece, a, b }): Item[] => {
    const middle = (a + b) / 2;
    const isStraight = piece.coefficients.subarray(2).every((c) => c === 0);
    const count = isStraight ? 1 : STEPS;
    const points: number[] = [];
    const ordinates: number[] = [];
    const add = (list: number[], point: Vector | undefined): void => {
      if (point) list.push(...point);
    };
    add(points, places(a, middle)?.at);
    for (let i = 0; i <= count; i++) {
      const s = i === count ? b : a + ((b - a) * i) / count;
      add(points, tip(s, valueOfPiece(piece, s), middle));
    }
    add(points, places(b, middle)?.at);
    if (points.length < 2 * (count + 3)) return [];
    const [start, end] = [places(a, middle)!.at, places(b, middle)!.at];
    const pixels = Math.hypot(end[0] - start[0], end[1] - start[1]) * view.scale;
    const lines = Math.floor(pixels / SPACING);
    for (let i = 1; i < lines; i++) {
      const s = a + ((b - a) * i) / lines;
      add(ordinates, places(s, middle)?.at);
      add(ordinates, tip(s, valueOfPiece(piece, s), middle));
    }
    return [
      worldPath(points, { closed: true, fill: ink, opacity: 0.09 }),
      worldPath(points, { stroke: ink, width: 1.8 * view.weight, texts: 'rather beside' }),
      worldPath(ordinates, { parts: 2, stroke: ink, width: 0.7, opacity: 0.55 }),
    ];
  });
}

/** The greatest ordinate of a lobe, whatever its sign. */
function peakOf(drawn: DrawnInfluence, lobe: Lobe): Ordinate {
  let peak: Ordinate = { s: lobe.from, value: 0 };
  for (const { piece, a, b } of partsOf(drawn, lobe))
    for (const s of [a, ...turnsOf(piece).filter((turn) => turn > a && turn < b), b]) {
      const value = valueOfPiece(piece, s);
      if (Math.abs(value) > Math.abs(peak.value)) peak = { s, value };
    }
  return peak;
}

function inkOf(effect: Effect, value: number): Ink {
  if (effect.kind === 'reaction') return 'reaction';
  if (effect.kind === 'movement') return 'deflection';
  return quantityTable[effect.quantity].line ? inkOfQuantity(effect.quantity as SheetQuantity, value) : 'deflection';
}

/** The place that the line is of. */
function markOf(model: Model, effect: Effect, view: View): Item[] {
  const at =
    effect.kind === 'along' ? onMember(drawnMembers(model, view), effect.member, effect.at) : nodeAt(model, effect.node, view);
  if (!at) return [];
  const size = 7 * view.weight;
  return [
    symbolPath(...at, [0, size, size, 0, 0, -size, -size, 0], {
      closed: true,
      fill: inkOf(effect, 1),
      stroke: 'paper',
      width: 1.5,
      texts: 'keep off',
    }),
  ];
}

const onMember = (members: readonly DrawnMember[], index: number, x: number): Vector | undefined => {
  const member = members.find((one) => one.index === index);
  return member && pointOn(member, x);
};

const nodeAt = (model: Model, index: number, view: View): Vector | undefined => {
  const node = drawnNodes(model, view).get(model.nodes[index]!.id);
  return node && [node.x, node.y];
};

/** Axles as arrows that come down on the path. */
function axleItems({ axles, path }: DrawnInfluence, places: Drawing['places'], view: View): Item[] {
  return axles.flatMap(({ s, words }): Item[] => {
    const base = s >= 0 && s <= path.length ? places(s, s) : undefined;
    if (!base) return [];
    const [x, y] = base.at;
    const [ux, uy] = base.against;
    const w = view.weight;
    const out = (reach: number, aside = 0): Vector => [(ux * reach - uy * aside) * w, (uy * reach + ux * aside) * w];
    const [lx, ly] = out(CLEAR + ARROW + 2);
    return [
      symbolPath(x, y, [...out(CLEAR + ARROW), ...out(CLEAR + HEAD - 1)], { stroke: 'load', width: 2.4 * w, texts: 'keep off' }),
      symbolPath(x, y, [...out(CLEAR), ...out(CLEAR + HEAD, HEAD / 2), ...out(CLEAR + HEAD, -HEAD / 2)], {
        closed: true,
        fill: 'load',
        texts: 'keep off',
      }),
      { kind: 'label', text: words, x, y, dx: lx, dy: ly, away: [ux, uy], ink: 'load', role: 'load', rank: 400 },
    ];
  });
}
