import type { Model } from '@rigid-beam/core/model/model';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { showForce, showMoment } from '@rigid-beam/core/quantities/show-load';
import { enveloped } from '@rigid-beam/core/results/envelope';
import type { Solution } from '@rigid-beam/core/results/results';
import { symbolPath, type Item, type Subject } from './display-list';
import type { View } from './view';

/** Reactions at the supports: an arrow in its true direction and the value; of an envelope both limits as text. */
export function reactionItems(model: Model, solution: Solution, outcome: number, view: View): Item[] {
  const display = { ...defaultDisplay, ...model.display };
  const largest = largestForce(solution, outcome);
  return model.nodes.flatMap((node, i): Item[] => {
    if (!solution.supported[i]) return [];
    const subject: Subject = { kind: 'reaction', id: node.id };
    const read = (k: number): { max: number; min: number } => range(solution, outcome, 6 * i + k);
    const items: Item[] = [];
    (
      [
        ['fx', 0],
        ['fy', 1],
        ['mz', 5],
      ] as const
    ).forEach(([component, k]) => {
      const { max, min } = read(k);
      if (Math.max(Math.abs(max), Math.abs(min)) < 1e-6 * largest) return;
      const show = component === 'mz' ? showMoment : showForce;
      const words = max === min ? show(Math.abs(max), display) : `${show(min, display)} … ${show(max, display)}`;
      const value = Math.abs(max) >= Math.abs(min) ? max : min;
      items.push(...reaction(component, Math.sign(value), node.x, node.y, words, subject, view));
    });
    return items;
  });
}

function range(solution: Solution, outcome: number, f: number): { max: number; min: number } {
  const linear = solution.linear[outcome];
  if (linear) return { max: linear.reactions[f]!, min: linear.reactions[f]! };
  const kind = solution.outcomes[outcome]!;
  return enveloped(kind.kind === 'envelope' ? kind.parts : [], (part) => solution.linear[part]!.reactions[f]!);
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

/** Room left for the support's own symbol, pixels. */
const CLEAR = 25;
const LENGTH = 26;

function reaction(
  component: 'fx' | 'fy' | 'mz',
  sense: number,
  x: number,
  y: number,
  words: string,
  subject: Subject,
  view: View,
): Item[] {
  const w = view.weight;
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
  if (component === 'mz') {
    const arc = Array.from({ length: 25 }, (_, i) => sense * (1.2 + (i / 24) * 4)).flatMap((a) => [
      20 * w * Math.cos(a),
      20 * w * Math.sin(a),
    ]);
    const [ex, ey] = arc.slice(-2) as [number, number];
    const [bx, by] = arc.slice(-6, -4) as [number, number];
    return [
      symbolPath(x, y, arc, { stroke: 'reaction', width: 1.6 * w, subject }),
      head(x, y, ex, ey, Math.atan2(ey - by, ex - bx), w, subject),
      label(-16 * w, 16 * w, [-1, 1]),
    ];
  }
  // The arrow stands on the free side of the support: below it, or beside it on the left.
  const far = (CLEAR + LENGTH) * w;
  const near = CLEAR * w;
  const [tail, tip] = sense > 0 ? [far, near] : [near, far];
  const along = (reach: number): [number, number] => (component === 'fy' ? [0, -reach] : [-reach + 6 * w, -7 * w]);
  const [fx, fy] = along(tail);
  const [tx, ty] = along(tip);
  const shaft = symbolPath(x, y, [fx, fy, tx, ty], { stroke: 'reaction', width: 1.8 * w, subject });
  const at = along(far + 2 * w);
  return [
    shaft,
    head(x, y, tx, ty, Math.atan2(ty - fy, tx - fx), w, subject),
    label(at[0], at[1], component === 'fy' ? [0, -1] : [-1, 0]),
  ];
}

function head(x: number, y: number, tx: number, ty: number, angle: number, w: number, subject: Subject): Item {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const corner = (along: number, across: number): number[] => [
    tx + (c * along - s * across) * w,
    ty + (s * along + c * across) * w,
  ];
  return symbolPath(x, y, [...corner(0, 0), ...corner(-8, 3), ...corner(-8, -3)], { closed: true, fill: 'reaction', subject });
}
