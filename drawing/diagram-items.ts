import { isRange } from '@rigid-beam/core/combinations/outcome';
import { once } from '@rigid-beam/core/once';
import { diagramOf } from '@rigid-beam/core/results/diagram';
import type { Extremes } from '@rigid-beam/core/results/extreme';
import { evaluate } from '@rigid-beam/core/results/polynomial';
import { isStored, offsetOf, quantityTable } from '@rigid-beam/core/results/quantities';
import { valueIn } from '@rigid-beam/core/results/read';
import { quantityExtremes } from '@rigid-beam/core/results/read-quantity';
import type { Solution } from '@rigid-beam/core/results/results';
import type { Hairlines } from './behind';
import { VERTEX, verticesFor, type Ink, type Item } from './display-list';
import { pointOn, type DrawnMember } from './geometry';
import { bulgeOf } from './samples';
import { isDeflection, isMoment, type MomentFace, type SheetQuantity } from './view';
import type { Ground } from './ground';

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

/** The exact extremes of what is drawn on one member after the other: both its curve and its values ask for them. */
export const extremesOn = once(({ solution, outcome, quantity }: DrawnQuantity): ((member: number) => Extremes | undefined) => {
  const found = new Map<number, Extremes | undefined>();
  return (member) => {
    if (!found.has(member)) found.set(member, quantityExtremes(solution, outcome, member, quantity));
    return found.get(member);
  };
});

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

/** Pixels by which a straight line may miss a curve: less than anybody sees, of a whole drawing and of hairlines. */
const UNSEEN: Readonly<Record<Ground['detail'], number>> = { whole: 0.3, outline: 0.7 };
export const unseenIn = ({ detail }: Pick<Ground, 'detail'>): number => UNSEEN[detail];
const MOST_STEPS = 16;

const [OF_U, OF_V, OF_W] = [offsetOf('u'), offsetOf('v'), offsetOf('w')];

/** Whether deflections are what is looked at, or stand there beside it. */
type Strength = 'asked for' | 'besides';

/** While something is in hand thin lines keep up better. */
const widthOf = ({ detail, weight }: Ground, strength: Strength): number =>
  detail === 'whole' ? (strength === 'asked for' ? 2.2 : 1.6) * weight : 1;

/** The deflected axis of a member, `factor` times larger than life. */
export function deflectedPath(deflected: Deflected, member: DrawnMember, view: Ground, strength: 'asked for' | 'besides'): Item {
  const points = deflectedPoints(deflected, member, view);
  const vertices = verticesFor(points.length / 2);
  write(points, vertices, 0);
  const line = { kind: 'path', vertices, stroke: 'deflection', width: widthOf(view, strength), texts: 'rather beside' } as const;
  if (strength === 'asked for' || view.detail !== 'whole') return line;
  return { ...line, dash: (view.weight < 1 ? FAR_DASHES : NEAR_DASHES).map((part) => part * view.weight) };
}

/** As a hint behind others. */
export function deflectedOutline(
  lines: Hairlines,
  deflected: Deflected,
  member: DrawnMember,
  ...[view, strength]: [view: Ground, strength: Strength]
): void {
  const points = deflectedPoints(deflected, member, { scale: view.scale, detail: 'outline' });
  const { vertices, first } = lines.line('deflection', widthOf(view, strength), points.length / 2);
  write(points, vertices, first);
}

function write(points: readonly number[], vertices: Float64Array, first: number): void {
  for (let i = 0, v = first * VERTEX; i < points.length; i += 2, v += VERTEX) {
    vertices[v] = points[i]!;
    vertices[v + 1] = points[i + 1]!;
  }
}

/** X and Y of the points of a deflected axis; the list holds those of the next member when it is asked for them. */
function deflectedPoints(
  { solution, outcome, factor }: Deflected,
  member: DrawnMember,
  view: Pick<Ground, 'scale' | 'detail'>,
): readonly number[] {
  const perMiss = (Math.abs(factor) * view.scale) / unseenIn(view);
  const diagram = diagramOf(solution, outcome, member.index);
  const { coefficients: c, width: stored, from: begins, to: ends } = diagram;
  const { x1, y1, ex, ey, ez } = member;
  const isInSpace = isStored(stored, 'w');
  points.length = 0;
  for (let k = diagram.first; k < diagram.end; k++) {
    const [from, h] = [begins[k]!, ends[k]! - begins[k]!];
    const [u, v, w] = [stored * k + OF_U, stored * k + OF_V, stored * k + OF_W];
    const bulges = bulgeOf(c, u, 3, h) + bulgeOf(c, v, 5, h) + (isInSpace ? bulgeOf(c, w, 5, h) : 0);
    const steps = Math.min(MOST_STEPS, Math.max(1, Math.ceil(Math.sqrt(bulges * perMiss))));
    // Where one piece ends the next begins.
    for (let i = k > diagram.first ? 1 : 0; i <= steps; i++) {
      const s = (h * i) / steps;
      const along = from + s + factor * evaluate(c, u, 3, s);
      const dv = factor * evaluate(c, v, 5, s);
      const dw = isInSpace ? factor * evaluate(c, w, 5, s) : 0;
      points.push(x1 + ex[0] * along + ey[0] * dv + ez[0] * dw, y1 + ex[1] * along + ey[1] * dv + ez[1] * dw);
    }
  }
  return points;
}
const points: number[] = [];
