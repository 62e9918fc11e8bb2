import { isRange } from '@rigid-beam/core/combinations/outcome';
import { isLine, quantityTable } from '@rigid-beam/core/results/quantities';
import { isReadByPlace, partsOf } from '@rigid-beam/core/results/read';
import { memberReader } from '@rigid-beam/core/results/read-quantity';
import { readingOf } from '@rigid-beam/core/results/readings';
import { drawnSide, extremesOn, inkOf, standsOn, unseenIn, UPRIGHT, type DrawnQuantity, type Mitre } from './diagram-items';
import type { Hairlines } from './behind';
import { VERTEX, verticesFor, type Ink, type Item } from './display-list';
import type { DrawnMember } from './geometry';
import { SKETCHED } from './level-of-detail';
import { boundOf, rangesOf, roughBounds, samplesOf, signRuns, type Fineness, type Samples } from './samples';
import { stretchesOn } from './stretches';
import type { View } from './view';

type Curves = (member: DrawnMember) => readonly Samples[];

/** Draws the diagram of one member after the other. What all of them share is found once: there may be thousands. */
export function diagramOn(drawn: DrawnQuantity, view: View): (member: DrawnMember, lean?: Mitre) => Item[] {
  const ordinates = new Ordinates(drawn);
  const runs = runsOn(drawn, view, ordinates);
  const strokes = strokesOf(drawn, view);
  return (member, lean = UPRIGHT) => {
    const items: Item[] = [];
    runs(member, lean, (run) => addRun(items, run, strokes, ordinates));
    return items;
  };
}

/** As `diagramOn`, as a hint behind others. */
export function outlineOn(drawn: DrawnQuantity, view: View): (lines: Hairlines, member: DrawnMember, lean?: Mitre) => void {
  const ordinates = new Ordinates(drawn);
  const runs = runsOn(drawn, { ...view, detail: 'outline' }, ordinates);
  return (lines, member, lean = UPRIGHT) =>
    runs(member, lean, (run) => {
      const { vertices, first } = lines.line(inkOfRun(drawn, run), 1, run.xs.length + 2);
      putRun(run, ordinates, vertices, first);
    });
}

/** The parts of a member's diagram on one side of it, with the ordinates at hand that stand there. */
function runsOn(
  drawn: DrawnQuantity,
  view: View,
  ordinates: Ordinates,
): (member: DrawnMember, lean: Mitre, draw: (run: Samples) => void) => void {
  const curves = curvesOf(drawn, view);
  return (member, lean, draw) => {
    ordinates.goTo(member, lean);
    // A straight line between ordinates that lean differently is none.
    const leans = lean.start !== 0 || lean.end !== 0;
    for (const samples of curves(member))
      for (const run of signRuns(leans ? finer(samples, member.length / 8) : samples)) draw(run);
  };
}

/** What is drawn of a member: one curve, or for an envelope, and for what has a range at each place, the upper and the lower one. */
function curvesOf(drawn: DrawnQuantity, view: View): Curves {
  const { solution, outcome, quantity } = drawn;
  const fine = finenessOf(drawn, view);
  const read = readingOf(solution, outcome)?.curves.get(quantity);
  if (read) {
    const hasLowerBound = isLine(quantity) || quantityTable[quantity].derived!.isMagnitude !== true;
    return ({ index }) => {
      const max = boundOf(read, index, 1);
      if (Number.isNaN(max.values[0])) return [];
      return hasLowerBound ? [max, boundOf(read, index, -1)] : [max];
    };
  }
  // Where trains stand is another question at each place: no stretch of a member has one polynomial.
  if (isReadByPlace(solution, outcome))
    return ({ index }) => {
      const points = memberReader(solution, outcome, index).curve(quantity) ?? [];
      const xs = points.map(({ x }) => x);
      const bounds = [points.map(({ max }) => max), points.map(({ min }) => min)];
      return xs.length === 0 ? [] : bounds.map((values) => ({ xs, values }));
    };
  if (!isLine(quantity)) {
    const { isMagnitude } = quantityTable[quantity].derived!;
    const extremes = extremesOn(drawn);
    const tipsOf = ({ index }: DrawnMember): readonly number[] => {
      const own = view.detail === 'outline' ? undefined : extremes(index);
      return own ? [own.max.x, own.min.x] : [];
    };
    return (member) => {
      const ranges = rangesOf(drawn, member.index, fine(member), tipsOf(member));
      if (!ranges || Number.isNaN(ranges.max.values[0])) return [];
      return isMagnitude ? [ranges.max] : [ranges.max, ranges.min];
    };
  }
  if (isRange(solution.outcomes[outcome]!) && view.detail === 'outline') {
    const parts = partsOf(solution, outcome);
    return ({ index }) => roughBounds(solution, parts, index, quantity);
  }
  if (isRange(solution.outcomes[outcome]!))
    return (member) => {
      const { index } = member;
      return ([1, -1] as const).map((side) =>
        samplesOf(solution, index, stretchesOn(drawn, index, quantity, side), quantity, fine(member)),
      );
    };
  return (member) => [samplesOf(solution, member.index, [{ from: 0, to: member.length, outcome }], quantity, fine(member))];
}

/** A point of a curve for every few pixels, and no more than are seen, so that a small picture of many members stays light. */
function finenessOf({ metresPerUnit }: DrawnQuantity, view: View): (member: DrawnMember) => Fineness {
  const { scale } = view;
  const miss = unseenIn(view) / (metresPerUnit * scale);
  return ({ x1, y1, x2, y2 }) => ({
    steps: Math.min(20, Math.max(4, Math.round((Math.sqrt((x2 - x1) ** 2 + (y2 - y1) ** 2) * scale) / 7))),
    miss,
  });
}

/** How all diagrams of a drawing look. */
interface Strokes {
  readonly ink: (run: Samples) => Ink;
  readonly width: number;
  readonly dash: readonly number[] | undefined;
  /** Opacity of the area, and metres of the member from one ordinate to the next: what is undefined is not drawn. */
  readonly area: number | undefined;
  readonly spacing: number | undefined;
}

function strokesOf(drawn: DrawnQuantity, { weight, detail, style, scale }: View): Strokes {
  const { dash, spacing } = quantityTable[drawn.quantity].line!;
  const isLineOnly = weight < SKETCHED || detail === 'outline' || style === 'line';
  const isFilled = style === 'filled';
  return {
    ink: (run) => inkOfRun(drawn, run),
    // While something is in hand thin lines keep up better.
    width: detail === 'whole' ? 1.6 * weight : 1,
    dash: dash?.map((d) => d * weight),
    area: isLineOnly ? undefined : isFilled ? 0.28 : 0.09,
    spacing: isLineOnly || isFilled ? undefined : spacing / scale,
  };
}

/** Ordinates on one member after the other. */
class Ordinates {
  private readonly factor: number;
  private member!: DrawnMember;
  private lean = UPRIGHT;
  private nx = 0;
  private ny = 0;

  constructor(private readonly drawn: DrawnQuantity) {
    this.factor = drawnSide(drawn) * drawn.metresPerUnit;
  }

  goTo(member: DrawnMember, lean: Mitre): void {
    this.member = member;
    this.lean = lean;
    [this.nx, this.ny] = standsOn(member, this.drawn.quantity);
  }

  /** Puts the tip of an ordinate at a place among vertices. */
  put(vertices: Float64Array, vertex: number, x: number, value: number): void {
    const { x1, y1, ex, length } = this.member;
    const reach = this.factor * value;
    const t = x / length;
    const along = x + reach * (this.lean.start * (1 - t) - this.lean.end * t);
    const v = vertex * VERTEX;
    vertices[v] = x1 + ex[0] * along + this.nx * reach;
    vertices[v + 1] = y1 + ex[1] * along + this.ny * reach;
  }
}

const inkOfRun = ({ quantity }: DrawnQuantity, { values }: Samples): Ink => {
  let sum = 0;
  for (const value of values) sum += value;
  return inkOf(quantity, sum);
};

/** Writes the line of a run, from its member and back to it. */
function putRun({ xs, values }: Samples, ordinates: Ordinates, vertices: Float64Array, first: number): void {
  const last = xs.length - 1;
  ordinates.put(vertices, first, xs[0]!, 0);
  for (let i = 0; i <= last; i++) ordinates.put(vertices, first + i + 1, xs[i]!, values[i]!);
  ordinates.put(vertices, first + last + 2, xs[last]!, 0);
}

/** A part of a curve on one side of its member. */
function addRun(items: Item[], run: Samples, { ink, width, dash, area, spacing }: Strokes, ordinates: Ordinates): void {
  const vertices = verticesFor(run.xs.length + 2);
  putRun(run, ordinates, vertices, 0);
  const stroke = ink(run);
  if (area !== undefined) items.push({ kind: 'path', vertices, closed: true, fill: stroke, opacity: area });
  const line = { kind: 'path', vertices, stroke, width, texts: 'rather beside' } as const;
  items.push(dash ? { ...line, dash } : line);
  const hatching = spacing === undefined ? undefined : hatchingOf(run, spacing, ordinates);
  if (hatching) items.push({ kind: 'path', parts: 2, vertices: hatching, stroke, width: 0.7, opacity: 0.55 });
}

/** Ordinates under a curve, at the same places along a member for all its runs; nothing where none falls on this one. */
function hatchingOf({ xs, values }: Samples, spacing: number, ordinates: Ordinates): Float64Array | undefined {
  const last = xs.length - 1;
  const first = Math.ceil(xs[0]! / spacing);
  const count = Math.ceil(xs[last]! / spacing) - first;
  if (count <= 0) return undefined;
  const vertices = verticesFor(2 * count);
  for (let n = 0, i = 0; n < count; n++) {
    const x = (first + n) * spacing;
    while (i + 1 < last && xs[i + 1]! < x) i++;
    const [a, b] = [xs[i]!, xs[i + 1]!];
    ordinates.put(vertices, 2 * n, x, 0);
    ordinates.put(vertices, 2 * n + 1, x, values[i]! + (b > a ? ((values[i + 1]! - values[i]!) * (x - a)) / (b - a) : 0));
  }
  return vertices;
}

/** The same curve with points at least so close to each other. */
function finer({ xs, values }: Samples, step: number): Samples {
  const [x, v] = [[] as number[], [] as number[]];
  xs.forEach((at, i) => {
    const before = i === 0 ? at : xs[i - 1]!;
    const count = Math.max(1, Math.ceil((at - before) / step));
    for (let k = i === 0 ? count : 1; k <= count; k++) {
      const t = k / count;
      x.push(before + t * (at - before));
      v.push(i === 0 ? values[0]! : values[i - 1]! + t * (values[i]! - values[i - 1]!));
    }
  });
  return { xs: x, values: v };
}
