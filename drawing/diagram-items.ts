import { isRange } from '@rigid-beam/core/combinations/outcome';
import { diagramOf } from '@rigid-beam/core/results/diagram';
import type { Stretch } from '@rigid-beam/core/results/envelope';
import { evaluate } from '@rigid-beam/core/results/polynomial';
import { isLine, quantityTable } from '@rigid-beam/core/results/quantities';
import { isReadByPlace, pieceOf, valueIn } from '@rigid-beam/core/results/read';
import { memberReader } from '@rigid-beam/core/results/read-quantity';
import { readingOf } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { VERTEX, verticesFor, worldPath, type Ink, type Item } from './display-list';
import { pointOn, type DrawnMember } from './geometry';
import { boundOf, rangesOf, samplesOf, signRuns, type Samples } from './samples';
import { stretchesOn } from './stretches';
import { isDeflection, isMoment, type MomentFace, type SheetQuantity, type View } from './view';
import type { Ground } from './ground';
import { SKETCHED } from './level-of-detail';

export const inkOf = (quantity: SheetQuantity, value: number): Ink =>
  quantityTable[quantity].negative === 'compression'
    ? value >= 0
      ? 'tension'
      : 'compression'
    : isMoment(quantity)
      ? 'moment'
      : quantityTable[quantity].ink === 'deflection'
        ? 'deflection'
        : 'shear';

/** Positive V and T stand on the positive side; tension on the negative one: of N and stresses, and of the face that a positive moment pulls. */
export const sideOf = (quantity: SheetQuantity): 1 | -1 => quantityTable[quantity].side;

/**
 * Bending in the x–z plane, its shear and its deflection stand along local z, everything else along y. Axial forces and stresses do not depend on
 * which way a member was drawn: they stand along whichever of ±y points up on the drawing, of an upright one to the left.
 */
export function standsOn(member: DrawnMember, quantity: SheetQuantity): readonly [number, number] {
  const { stands } = quantityTable[quantity].line!;
  if (stands !== 'up') return stands === 'z' ? member.ez : member.ey;
  const [x, y] = member.ey;
  return y < -LEVEL || (y <= LEVEL && x > 0) ? [-x, -y] : member.ey;
}
/** Sine under which a member's own y counts as level. */
const LEVEL = 1e-3;

/** One outcome of a solution, by its place among them. */
export interface Outcome {
  readonly solution: Solution;
  readonly outcome: number;
}

/** A quantity of an outcome that stands on members; `metresPerUnit` is the drawing's scale. */
export interface DrawnQuantity extends Outcome {
  readonly quantity: SheetQuantity;
  readonly metresPerUnit: number;
  /** Moments stand where they press. */
  readonly face?: MomentFace;
}

/** On which side of its member a positive value stands, as it is drawn. */
export const drawnSide = ({ quantity, face }: Pick<DrawnQuantity, 'quantity' | 'face'>): 1 | -1 =>
  face === 'compression' && isMoment(quantity) ? (-sideOf(quantity) as 1 | -1) : sideOf(quantity);

/**
 * How much ordinates lean along the member at its ends, as a part of their length: there they meet those of the neighbour in the bisector,
 * so that a diagram goes round a kink without teeth.
 */
export interface Mitre {
  readonly start: number;
  readonly end: number;
}

export const UPRIGHT: Mitre = { start: 0, end: 0 };

/** The diagram of one member: for an envelope, and for what has a range at each place, the upper and the lower curve. */
export function diagramItems(drawn: DrawnQuantity, member: DrawnMember, view: View, lean: Mitre = UPRIGHT): Item[] {
  const { solution, outcome, quantity } = drawn;
  const fine = samplesFor(member, view);
  const drawnCurve = { ...drawn, member, lean };
  const read = readingOf(solution, outcome)?.curves.get(quantity);
  // Where trains stand is another question at each place: no stretch of a member has one polynomial.
  if (!read && isReadByPlace(solution, outcome)) {
    const points = memberReader(solution, outcome, member.index).curve(quantity) ?? [];
    const xs = points.map(({ x }) => x);
    const bounds = [points.map(({ max }) => max), points.map(({ min }) => min)];
    return xs.length === 0 ? [] : bounds.flatMap((values) => curve({ xs, values }, drawnCurve, view));
  }
  if (!isLine(quantity)) {
    const ranges = read
      ? { max: boundOf(read, member.index, 1), min: boundOf(read, member.index, -1) }
      : rangesOf(solution, outcome, member.index, quantity, fine);
    if (!ranges || Number.isNaN(ranges.max.values[0])) return [];
    const { isMagnitude } = quantityTable[quantity].derived!;
    return [ranges.max, ...(isMagnitude ? [] : [ranges.min])].flatMap((samples) => curve(samples, drawnCurve, view));
  }
  if (!isRange(solution.outcomes[outcome]!)) {
    const whole: Stretch[] = [{ from: 0, to: member.length, outcome }];
    return curve(samplesOf(solution, member.index, whole, quantity, fine), drawnCurve, view);
  }
  const samples = (side: 1 | -1): Samples =>
    read
      ? boundOf(read, member.index, side)
      : samplesOf(solution, member.index, stretchesOn(drawn, member.index, quantity, side), quantity, fine);
  return ([1, -1] as const).flatMap((side) => curve(samples(side), drawnCurve, view));
}

/** Points of a curve over a member: one for every few pixels, so that a small picture of many members stays light. */
const samplesFor = (member: DrawnMember, { scale }: View): number =>
  Math.min(20, Math.max(4, Math.round((Math.hypot(member.x2 - member.x1, member.y2 - member.y1) * scale) / 7)));

interface DrawnCurve extends DrawnQuantity {
  readonly member: DrawnMember;
  readonly lean: Mitre;
}

function curve(given: Samples, drawn: DrawnCurve, view: View): Item[] {
  const { quantity, metresPerUnit, member, lean } = drawn;
  const factor = drawnSide(drawn) * metresPerUnit;
  const [nx, ny] = standsOn(member, quantity);
  const leans = lean.start !== 0 || lean.end !== 0;
  // A straight line between ordinates that lean differently is none.
  const samples = leans ? finer(given, member.length / 8) : given;
  const put = (vertices: Float64Array, vertex: number, x: number, value: number): void => {
    const v = vertex * VERTEX;
    const reach = factor * value;
    const t = x / member.length;
    const along = x + (leans ? reach * (lean.start * (1 - t) - lean.end * t) : 0);
    vertices[v] = member.x1 + member.ex[0] * along + nx * reach;
    vertices[v + 1] = member.y1 + member.ex[1] * along + ny * reach;
  };
  const style = quantityTable[quantity].line!;
  const w = view.weight;
  const dash = style.dash && { dash: style.dash.map((d) => d * w) };
  return signRuns(samples).flatMap(({ xs, values }): Item[] => {
    const last = xs.length - 1;
    const ink = inkOf(
      quantity,
      values.reduce((sum, value) => sum + value, 0),
    );
    const vertices = verticesFor(xs.length + 2);
    put(vertices, 0, xs[0]!, 0);
    for (let i = 0; i <= last; i++) put(vertices, i + 1, xs[i]!, values[i]!);
    put(vertices, last + 2, xs[last]!, 0);
    // While something is in hand thin lines keep up better.
    const width = view.detail === 'whole' ? 1.6 * w : 1;
    const line: Item = { kind: 'path', vertices, stroke: ink, width, texts: 'rather beside', ...dash };
    if (w < SKETCHED || view.detail === 'outline' || view.style === 'line') return [line];
    const area: Item = { kind: 'path', vertices, closed: true, fill: ink, opacity: view.style === 'filled' ? 0.28 : 0.09 };
    if (view.style === 'filled') return [area, line];
    const spacing = style.spacing / view.scale;
    const first = Math.ceil(xs[0]! / spacing);
    const count = Math.ceil(xs[last]! / spacing) - first;
    if (count <= 0) return [area, line];
    const ordinates = verticesFor(2 * count);
    for (let n = 0, i = 0; n < count; n++) {
      const x = (first + n) * spacing;
      while (i + 1 < last && xs[i + 1]! < x) i++;
      const [a, b] = [xs[i]!, xs[i + 1]!];
      put(ordinates, 2 * n, x, 0);
      put(ordinates, 2 * n + 1, x, values[i]! + (b > a ? ((values[i + 1]! - values[i]!) * (x - a)) / (b - a) : 0));
    }
    return [area, line, { kind: 'path', parts: 2, vertices: ordinates, stroke: ink, width: 0.7, opacity: 0.55 }];
  });
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

/** Whether what is drawn is the line that the members take. */
export const isLineDrawn = ({ solution, outcome, quantity }: Outcome & Pick<DrawnQuantity, 'quantity'>): boolean =>
  isDeflection(quantity) && !isRange(solution.outcomes[outcome]!);

/** Where the tip of an ordinate stands; of a deflection, the place that the axis takes. */
export function tipOf(drawn: DrawnQuantity, member: DrawnMember, x: number, value: number): readonly [number, number] {
  const { quantity, metresPerUnit } = drawn;
  if (isLineDrawn(drawn)) return movedPoint({ ...drawn, factor: metresPerUnit }, member, x);
  const [px, py] = pointOn(member, x);
  const [nx, ny] = standsOn(member, quantity);
  const reach = drawnSide(drawn) * metresPerUnit * value;
  return [px + nx * reach, py + ny * reach];
}

/** Where a deflected member stands on the drawing, x metres from its start. */
export function movedPoint({ solution, outcome, factor }: Deflected, member: DrawnMember, x: number): readonly [number, number] {
  const diagram = diagramOf(solution, outcome, member.index);
  const [u, v, w] = [valueIn(diagram, 'u', x), valueIn(diagram, 'v', x), valueIn(diagram, 'w', x)];
  const [px, py] = pointOn(member, x);
  const { ex, ey, ez } = member;
  const along = (k: 0 | 1): number => factor * (ex[k] * u + ey[k] * v + ez[k] * w);
  return [px + along(0), py + along(1)];
}

/** Pixels. Of many members, drawn small, dashes are longer: each of them takes its time. */
const NEAR_DASHES = [2, 2.5];
const FAR_DASHES = [6, 4];

/** Whose deflections are drawn, and how many times larger than life. */
export interface Deflected extends Outcome {
  readonly factor: number;
}

/** Pixels by which a straight line may miss a curve: less than anybody sees. */
const UNSEEN = 0.3;
const MOST_STEPS = 16;

/** How far a polynomial can leave a straight line over a length: an eighth of the square of the length times the greatest second derivative. */
function bulgeOf(c: Float64Array, length: number): number {
  let bound = 0;
  for (let k = 2; k < c.length; k++) bound += k * (k - 1) * Math.abs(c[k]!) * length ** k;
  return bound / 8;
}

/** The deflected axis of a member, `factor` times larger than life. */
export function deflectedPath(
  { solution, outcome, factor }: Deflected,
  member: DrawnMember,
  view: Ground,
  strength: 'asked for' | 'besides',
): Item {
  const diagram = diagramOf(solution, outcome, member.index);
  const points: number[] = [];
  for (let k = diagram.first; k < diagram.end; k++) {
    const [from, to] = [diagram.from[k]!, diagram.to[k]!];
    const [u, v, w] = [pieceOf(diagram, k, 'u'), pieceOf(diagram, k, 'v'), pieceOf(diagram, k, 'w')];
    const bulge = (bulgeOf(u, to - from) + bulgeOf(v, to - from) + bulgeOf(w, to - from)) * factor * view.scale;
    const steps = Math.min(MOST_STEPS, Math.max(1, Math.ceil(Math.sqrt(bulge / UNSEEN))));
    for (let i = 0; i <= steps; i++) {
      const s = ((to - from) * i) / steps;
      const [x, y] = pointOn(member, from + s);
      const [du, dv, dw] = [factor * evaluate(u, 0, 3, s), factor * evaluate(v, 0, 5, s), factor * evaluate(w, 0, 5, s)];
      const [ex, ey, ez] = [member.ex, member.ey, member.ez];
      points.push(x + ex[0] * du + ey[0] * dv + ez[0] * dw, y + ex[1] * du + ey[1] * dv + ez[1] * dw);
    }
  }
  // While something is in hand thin lines keep up better.
  const width = view.detail === 'whole' ? (strength === 'asked for' ? 2.2 : 1.6) * view.weight : 1;
  return worldPath(points, {
    stroke: 'deflection',
    width,
    ...(strength === 'besides' &&
      view.detail === 'whole' && { dash: (view.weight < 1 ? FAR_DASHES : NEAR_DASHES).map((part) => part * view.weight) }),
    texts: 'rather beside',
  });
}
