import { governing, type Stretch } from '@rigid-beam/core/results/envelope';
import { derivative, evaluate, signChanges } from '@rigid-beam/core/results/polynomial';
import { degreeOf, type LineQuantity } from '@rigid-beam/core/results/quantities';
import { pieceOf } from '@rigid-beam/core/results/read';
import type { Solution } from '@rigid-beam/core/results/results';
import { worldPath, type Ink, type Item } from './display-list';
import { pointOn, type DrawnMember } from './geometry';
import { isMoment, type ForceQuantity, type View } from './view';
import { SKETCHED } from './weight';

/** Line styles tell the quantities apart without colour: dashes and the spacing of the ordinates in pixels. */
const STYLES: Record<ForceQuantity, { readonly dash?: readonly number[]; readonly spacing: number }> = {
  N: { spacing: 22 },
  Vy: { dash: [7, 3], spacing: 12 },
  Vz: { dash: [7, 3], spacing: 12 },
  T: { dash: [2, 3], spacing: 16 },
  My: { spacing: 8 },
  Mz: { spacing: 8 },
};

export const inkOf = (quantity: ForceQuantity, value: number): Ink =>
  quantity === 'N' ? (value >= 0 ? 'tension' : 'compression') : isMoment(quantity) ? 'moment' : 'shear';

/** Positive N, V and T stand on the positive side; a positive bending moment on the negative one: on the tension face. */
export const sideOf = (quantity: ForceQuantity): 1 | -1 => (quantity === 'Mz' || quantity === 'My' ? -1 : 1);

/** Bending in the x–z plane and its shear stand along local z, everything else along y. */
export const standsOn = (member: DrawnMember, quantity: ForceQuantity): readonly [number, number] =>
  quantity === 'Vz' || quantity === 'My' ? member.ez : member.ey;

/** A point of a diagram: metres along the member, and the value. */
interface Sample {
  readonly x: number;
  readonly value: number;
}

/** The diagram of one member: for an envelope the upper and the lower curve. `metresPerUnit` is the drawing's scale. */
export function diagramItems(
  solution: Solution,
  outcome: number,
  member: DrawnMember,
  quantity: ForceQuantity,
  metresPerUnit: number,
  view: View,
): Item[] {
  const kind = solution.outcomes[outcome]!;
  const whole: Stretch[] = [];
  for (let k = solution.pieces.first[member.index]!; k < solution.pieces.first[member.index + 1]!; k++) {
    whole.push({ from: solution.pieces.from[k]!, to: solution.pieces.to[k]!, piece: k, outcome });
  }
  const fine = samplesFor(member, view);
  if (kind.kind !== 'envelope') return curve(samplesOf(solution, whole, quantity, fine), member, quantity, metresPerUnit, view);
  return ([1, -1] as const).flatMap((side) =>
    curve(
      samplesOf(solution, governing(solution, kind.parts, member.index, quantity, side), quantity, fine),
      member,
      quantity,
      metresPerUnit,
      view,
    ),
  );
}

/** Points of a curve over a member: one for every few pixels, so that a small picture of many members stays light. */
const samplesFor = (member: DrawnMember, { scale }: View): number =>
  Math.min(20, Math.max(4, Math.round((Math.hypot(member.x2 - member.x1, member.y2 - member.y1) * scale) / 7)));

function samplesOf(solution: Solution, stretches: readonly Stretch[], quantity: LineQuantity, fine: number): Sample[] {
  const samples: Sample[] = [];
  for (const { from, to, piece, outcome } of stretches) {
    const polynomial = pieceOf(solution.linear[outcome]!, piece, quantity);
    const start = solution.pieces.from[piece]!;
    const straight = polynomial
      .subarray(2)
      .every(
        (c) => Math.abs(c) * (to - from) ** 2 < 1e-9 * Math.max(Math.abs(polynomial[0]!), Math.abs(polynomial[1]! * (to - from))),
      );
    const count = straight ? 1 : fine;
    const even = Array.from({ length: count + 1 }, (_, i) => from + ((to - from) * i) / count);
    // The tip of a curve is one of its points, so that the ordinate of an extreme is drawn at its full size.
    const tips = straight ? [] : signChanges(derivative(polynomial), solution.pieces.to[piece]! - start).map((s) => start + s);
    const places = [...even, ...tips.filter((x) => x > from && x < to)].sort((p, q) => p - q);
    for (const x of places) samples.push({ x, value: evaluate(polynomial, 0, degreeOf(quantity), x - start) });
  }
  return samples;
}

function curve(
  samples: readonly Sample[],
  member: DrawnMember,
  quantity: ForceQuantity,
  metresPerUnit: number,
  view: View,
): Item[] {
  const factor = sideOf(quantity) * metresPerUnit;
  const normal = standsOn(member, quantity);
  const place = ({ x, value }: Sample): [number, number] => {
    const [px, py] = pointOn(member, x);
    return [px + normal[0] * factor * value, py + normal[1] * factor * value];
  };
  const style = STYLES[quantity];
  const w = view.weight;
  return signRuns(samples).flatMap((run): Item[] => {
    const first = run[0]!;
    const last = run[run.length - 1]!;
    const ink = inkOf(
      quantity,
      run.reduce((sum, { value }) => sum + value, 0),
    );
    const outline = [...pointOn(member, first.x), ...run.flatMap(place), ...pointOn(member, last.x)];
    const items: Item[] = [
      worldPath(outline, { closed: true, fill: ink, opacity: 0.09 }),
      worldPath(outline, { stroke: ink, width: 1.6 * w, ...(style.dash && { dash: style.dash.map((d) => d * w) }) }),
    ];
    if (view.weight < SKETCHED) return items.slice(1);
    const spacing = style.spacing / view.scale;
    for (let n = Math.ceil(first.x / spacing); n * spacing < last.x; n++) {
      const at = between(run, n * spacing);
      if (at !== undefined)
        items.push(
          worldPath([...pointOn(member, n * spacing), ...place({ x: n * spacing, value: at })], {
            stroke: ink,
            width: 0.7,
            opacity: 0.55,
          }),
        );
    }
    return items;
  });
}

function between(run: readonly Sample[], x: number): number | undefined {
  for (let i = 0; i + 1 < run.length; i++) {
    const [a, b] = [run[i]!, run[i + 1]!];
    if (b.x > a.x && x >= a.x && x <= b.x) return a.value + ((b.value - a.value) * (x - a.x)) / (b.x - a.x);
  }
  return undefined;
}

/** Cuts samples where the sign changes, so that each part has one colour; the cut lies on the axis. */
function signRuns(samples: readonly Sample[]): Sample[][] {
  const runs: Sample[][] = [];
  let run: Sample[] = [];
  const size = samples.reduce((largest, { value }) => Math.max(largest, Math.abs(value)), 0);
  if (size === 0) return [];
  samples.forEach((sample, i) => {
    const before = samples[i - 1];
    if (before && before.value * sample.value < 0) {
      const x = before.x + ((sample.x - before.x) * before.value) / (before.value - sample.value);
      run.push({ x, value: 0 });
      runs.push(run);
      run = [{ x, value: 0 }];
    }
    run.push(sample);
  });
  runs.push(run);
  return runs.filter((part) => part.some(({ value }) => Math.abs(value) > 1e-9 * size));
}

/** The deflected axis of a member, `factor` times larger than life. */
export function deflectedPath(solution: Solution, outcome: number, member: DrawnMember, factor: number, view: View): Item {
  const linear = solution.linear[outcome]!;
  const points: number[] = [];
  const fine = Math.min(12, samplesFor(member, view));
  for (let k = solution.pieces.first[member.index]!; k < solution.pieces.first[member.index + 1]!; k++) {
    const [from, to] = [solution.pieces.from[k]!, solution.pieces.to[k]!];
    const [u, v, w] = [pieceOf(linear, k, 'u'), pieceOf(linear, k, 'v'), pieceOf(linear, k, 'w')];
    for (let i = 0; i <= fine; i++) {
      const s = ((to - from) * i) / fine;
      const [x, y] = pointOn(member, from + s);
      const [du, dv, dw] = [factor * evaluate(u, 0, 3, s), factor * evaluate(v, 0, 5, s), factor * evaluate(w, 0, 5, s)];
      const [ex, ey, ez] = [member.ex, member.ey, member.ez];
      points.push(x + ex[0] * du + ey[0] * dv + ez[0] * dw, y + ex[1] * du + ey[1] * dv + ez[1] * dw);
    }
  }
  return worldPath(points, { stroke: 'deflection', width: 1.6 * view.weight, dash: [2 * view.weight, 2.5 * view.weight] });
}
