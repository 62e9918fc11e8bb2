import { latest, once } from '@rigid-beam/core/once';
import type { Model } from '@rigid-beam/core/model/model';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { showForce, showMoment } from '@rigid-beam/core/quantities/show-load';
import { nodalRange } from '@rigid-beam/core/results/nodal-range';
import type { Solution } from '@rigid-beam/core/results/results';
import { dot, type Point } from '@rigid-beam/core/model/point';
import { symbolPath, type Item, type Subject } from './display-list';
import { FRONT } from './behind';
import { drawnMembers, drawnNodes } from './geometry';
import { seenPoint } from './projection';
import { LOOKED_AT, sameGround, type Ground } from './ground';
import { planeTest } from './structure-items';

/** Reactions at the supports: an arrow in its true direction and the value; of an envelope both limits as text. */
export const reactionItems = latest(LOOKED_AT, findReactions, sameGround);

function findReactions(model: Model, solution: Solution, outcome: number, view: Ground): readonly Item[] {
  const display = { ...defaultDisplay, ...model.display };
  const largest = largestForce(solution, outcome);
  const components = model.space === 'plane' ? PLANE : SPACE;
  // In space there is less room; what is left out stands in the table of reactions.
  const small = model.space === 'plane' ? 1e-6 : 1e-2;
  const openings = openingsOf(model, view);
  const isInFront = frontTest(model, solution, view);
  return [...drawnNodes(model, view).values()].flatMap((node): Item[] => {
    const i = node.index;
    if (!solution.supported[i] || !isInFront(node)) return [];
    const subject: Subject = { kind: 'reaction', id: node.id };
    const opens = openings(node.id);
    const read = (k: number): { max: number; min: number } => range(solution, outcome, 6 * i + k);
    const items: Item[] = [];
    components.forEach(([component, k]) => {
      const { max, min } = read(k);
      if (Math.max(Math.abs(max), Math.abs(min)) < small * largest) return;
      const show = component.startsWith('m') ? showMoment : showForce;
      const words = max === min ? show(Math.abs(max), display) : `${show(min, display)} … ${show(max, display)}`;
      const value = Math.abs(max) >= Math.abs(min) ? max : min;
      items.push(...reaction(component, Math.sign(value), { x: node.x, y: node.y, words, subject, opens }, view));
    });
    return items;
  });
}

/** Supports of a space structure from which only those in front, or of the plane that was brought forward, say their reactions. */
const MANY = 20;

function frontTest(
  model: Model,
  { supported }: Solution,
  view: Ground,
): (node: { readonly id: string; readonly depth: number }) => boolean {
  if (model.space === 'plane') return () => true;
  if (view.plane) {
    const isOn = planeTest(model, view);
    return ({ id }) => isOn(id);
  }
  if (supported.reduce((sum, one) => sum + one, 0) <= MANY) return () => true;
  // In front among the supports themselves: the structure above them may reach farther.
  let [low, high] = [Infinity, -Infinity];
  for (const { index, depth } of drawnNodes(model, view).values()) {
    if (!supported[index]) continue;
    low = Math.min(low, depth);
    high = Math.max(high, depth);
  }
  return ({ depth }) => depth >= low + FRONT * (high - low) - 1e-6;
}

/** Towards which side of a node its members lie, radians: the arc of a couple is open there, so that none runs through it. */
const openingsOf = once(findOpenings, sameGround);

function findOpenings(model: Model, view: Ground): (id: string) => number {
  const sums = new Map<string, [number, number]>();
  const add = (id: string, x: number, y: number): void => {
    const sum = sums.get(id) ?? [0, 0];
    sums.set(id, [sum[0] + x, sum[1] + y]);
  };
  for (const { index, x1, y1, x2, y2 } of drawnMembers(model, view)) {
    const { start, end } = model.members[index]!;
    const length = Math.hypot(x2 - x1, y2 - y1);
    add(start, (x2 - x1) / length, (y2 - y1) / length);
    add(end, (x1 - x2) / length, (y1 - y2) / length);
  }
  return (id) => {
    const [x, y] = sums.get(id) ?? [0, 0];
    return Math.hypot(x, y) < 1e-6 ? Math.PI / 2 : Math.atan2(y, x);
  };
}

function range(solution: Solution, outcome: number, f: number): { max: number; min: number } {
  return nodalRange(solution, outcome, 'reactions', f);
}

function largestForce(solution: Solution, outcome: number): number {
  let largest = 0;
  solution.supported.forEach((supported, i) => {
    if (!supported) return;
    for (let k = 0; k < 6; k++) {
      const { max, min } = range(solution, outcome, 6 * i + k);
      largest = Math.max(largest, Math.abs(max), Math.abs(min));
    }
  });
  return largest;
}

type Component = 'fx' | 'fy' | 'fz' | 'mx' | 'my' | 'mz';
const PLANE: readonly (readonly [Component, number])[] = [
  ['fx', 0],
  ['fy', 1],
  ['mz', 5],
];
const SPACE: typeof PLANE = [
  ['fx', 0],
  ['fy', 1],
  ['fz', 2],
  ['mx', 3],
  ['my', 4],
  ['mz', 5],
];
const AXES: Record<'x' | 'y' | 'z', Point> = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };

/** Half of what an arc leaves open, radians. */
const GAP = 1.1;
/** Room left for the support's own symbol, pixels. */
const CLEAR = 25;
const LENGTH = 26;

/** Where a reaction acts, and what is written beside it. */
interface Place {
  readonly x: number;
  readonly y: number;
  readonly words: string;
  readonly subject: Subject;
  /** Where the arc of a couple is open, radians. */
  readonly opens: number;
}

function reaction(component: Component, sense: number, place: Place, view: Ground): Item[] {
  const { x, y, words, subject } = place;
  const w = view.weight;
  const axis = AXES[component[1] as 'x' | 'y' | 'z'];
  const [ux, uy] = seenPoint(view.projection, axis);
  const label = (dx: number, dy: number, away: readonly [number, number]): Item => ({
    kind: 'label',
    text: words,
    x,
    y,
    dx,
    dy,
    away,
    ink: 'reaction',
    role: 'value',
    rank: 90,
    subject,
  });
  if (component.startsWith('m')) {
    const toward = dot(view.projection.toward, axis);
    if (Math.abs(toward) < Math.SQRT1_2) return doubleHeaded(place, [sense * ux, sense * uy], w, label);
    const turn = sense * Math.sign(toward);
    const { opens } = place;
    const arc = Array.from({ length: 25 }, (_, i) => opens + turn * (GAP + (i / 24) * 2 * (Math.PI - GAP))).flatMap((a) => [
      20 * w * Math.cos(a),
      20 * w * Math.sin(a),
    ]);
    // Beside it, on the left of where it opens.
    const aside = [Math.cos(opens + Math.PI / 2), Math.sin(opens + Math.PI / 2)] as const;
    const [ex, ey] = arc.slice(-2) as [number, number];
    const [bx, by] = arc.slice(-6, -4) as [number, number];
    return [
      symbolPath(x, y, arc, { stroke: 'reaction', width: 1.6 * w, subject, texts: 'keep off' }),
      head(place, [ex, ey], Math.atan2(ey - by, ex - bx), w),
      label(24 * w * aside[0], 24 * w * aside[1], aside),
    ];
  }
  if (Math.hypot(ux, uy) < 0.15) return [];
  // The arrow stands on the free side of the support: below it, or beside it on the left.
  const far = (CLEAR + LENGTH) * w;
  const near = CLEAR * w;
  const side = uy > 0.02 || (Math.abs(uy) <= 0.02 && ux > 0) ? 1 : -1;
  const [tail, tip] = sense * side > 0 ? [far, near] : [near, far];
  const aside = component === 'fx' ? 1 : 0;
  const along = (reach: number): [number, number] => [-side * ux * reach + aside * 6 * w, -side * uy * reach - aside * 7 * w];
  const [fx, fy] = along(tail);
  const [tx, ty] = along(tip);
  const at = along(far + 2 * w);
  return [
    symbolPath(x, y, [fx, fy, tx, ty], { stroke: 'reaction', width: 1.8 * w, subject, texts: 'keep off' }),
    head(place, [tx, ty], Math.atan2(ty - fy, tx - fx), w),
    label(at[0], at[1], component === 'fy' ? [0, -1] : [-side * ux, -side * uy]),
  ];
}

/** A couple about an axis that lies along the drawing, right-handed. */
function doubleHeaded(
  place: Place,
  [ux, uy]: readonly [number, number],
  w: number,
  label: (dx: number, dy: number, away: readonly [number, number]) => Item,
): Item[] {
  const { x, y, subject } = place;
  const at = (reach: number): [number, number] => [ux * reach * w, uy * reach * w];
  const angle = Math.atan2(uy, ux);
  const [from, middle, to] = [at(12), at(36), at(43)];
  return [
    symbolPath(x, y, [...from, ...to], { stroke: 'reaction', width: 1.6 * w, subject, texts: 'keep off' }),
    head(place, middle, angle, w),
    head(place, to, angle, w),
    label(to[0], to[1], [ux, uy]),
  ];
}

/** An arrow's head whose tip lies some pixels off. */
function head({ x, y, subject }: Place, [tx, ty]: readonly [number, number], angle: number, w: number): Item {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const corner = (along: number, across: number): number[] => [
    tx + (c * along - s * across) * w,
    ty + (s * along + c * across) * w,
  ];
  return symbolPath(x, y, [...corner(0, 0), ...corner(-8, 3), ...corner(-8, -3)], {
    closed: true,
    fill: 'reaction',
    subject,
    texts: 'keep off',
  });
}
