import { once } from '@rigid-beam/core/once';
import type { Model } from '@rigid-beam/core/model/model';
import { dot, type Point } from '@rigid-beam/core/model/point';
import { displayOf, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { showForce, showMoment } from '@rigid-beam/core/quantities/show-load';
import type { CutForce, FreeBody } from '@rigid-beam/core/results/bodies/cut';
import { nodePoint, pointOf } from '@rigid-beam/core/results/bodies/vectors';
import type { Structure } from '@rigid-beam/core/stiffness/structure';
import type { DrawnCut } from './drawn-cut';
import { subjectKey, worldPath, type Item, type Label } from './display-list';
import { arrowIn, arrowLength, coupleIn } from './load-marks';
import { seenPoint } from './projection';
import type { View } from './view';

/** What is hidden while a body is drawn: all that does not belong to it, cut members included, of which only a part does. */
export const besidesBody = once((body: FreeBody, { names }: Structure, hidden: View['hidden']): View['hidden'] => {
  const [nodes, members] = [new Set(body.nodes), new Set(body.members)];
  return new Set([
    ...hidden,
    ...names.members.flatMap((id, m) => (members.has(m) ? [] : [subjectKey({ kind: 'member', id })])),
    ...names.nodes.flatMap((id, n) => (nodes.has(n) ? [] : [subjectKey({ kind: 'node', id })])),
  ]);
});

/** The parts of cut members that belong to the body, the line of the cut, and what acts on its faces. */
export function cutItems(model: Model, cut: DrawnCut, view: View): Item[] {
  const { structure, body, balance, line } = cut;
  const display = displayOf(model);
  const w = view.weight;
  const seen = (at: Point): [number, number] => seenPoint(view.projection, at);
  const items: Item[] = body.places.map(({ member, x, keeps }) => {
    const end = structure.memberNodes[2 * member + (keeps === 'start' ? 0 : 1)]!;
    const face = pointOf(structure, member, x);
    return worldPath([...seen(nodePoint(structure, end)), ...seen(face)], { stroke: 'member', width: 3.2 * w });
  });
  if (line)
    items.push(worldPath([...seen(line[0]), ...seen(line[1])], { stroke: 'selection', width: 1.5 * w, dash: [9 * w, 4 * w, 2 * w, 4 * w] })); // oxfmt-ignore
  const forces = balance?.cut ?? [];
  const largest = Math.max(...forces.map(({ force }) => Math.hypot(...force)));
  const plane = model.space === 'plane';
  return [...items, ...forces.flatMap((one) => (plane ? inPlane : inSpace)(one, { largest, display, view, structure }))];
}

interface Context {
  readonly largest: number;
  readonly display: DisplayUnits;
  readonly view: View;
  readonly structure: Structure;
}

/** Part of the largest force under which one is not drawn. */
const SMALL = 1e-3;
/** Metres: a couple that the largest force makes on a shorter arm is not drawn in space, where there is little room. */
const SLIGHT = 0.01;

/** Axial force and shear along their own axes, and the moment. */
function inPlane(one: CutForce, context: Context): Item[] {
  const { structure, view, display, largest } = context;
  const { member, keeps } = one.place;
  const axis = (k: number): [number, number] => [structure.axes[9 * member + k]!, structure.axes[9 * member + k + 1]!];
  const away = keeps === 'start' ? 1 : -1;
  const ex = axis(0);
  // What acts on the face stands off it, on the side that was taken away.
  const out: [number, number] = [away * ex[0], away * ex[1]];
  const [N, V, , , , M] = one.inside;
  const at = seenPoint(view.projection, one.point);
  return [
    ...forceAt(at, { way: signed(out, N), size: Math.abs(N), out, what: 'N' }, context),
    ...forceAt(at, { way: signed(axis(3), -away * V), size: Math.abs(V), out, what: 'V' }, context),
    ...(Math.abs(M) > SMALL * largest * 0.1
      ? momentAt(at, Math.sign(one.couple[2]) as 1 | -1, `M ${showMoment(Math.abs(M), display)}`, out, view)
      : []),
  ];
}

/** In space one arrow for the force and one for the couple, as they are seen. */
function inSpace(one: CutForce, context: Context): Item[] {
  const { view, display, largest } = context;
  const at = seenPoint(view.projection, one.point);
  const [size, couple] = [Math.hypot(...one.force), Math.hypot(...one.couple)];
  const unit = (v: Point, length: number): [number, number] => {
    const [x, y] = seenPoint(view.projection, v);
    return length > 0 ? [x / length, y / length] : [0, 0];
  };
  const way = unit(one.force, size);
  const items = forceAt(at, { way, size, out: way, what: '' }, context);
  if (!(couple > SLIGHT * largest)) return items;
  const [ux, uy] = unit(one.couple, couple);
  const words = showMoment(couple, display);
  const toward = dot(view.projection.toward, one.couple) / couple;
  if (Math.abs(toward) >= Math.SQRT1_2) return [...items, ...momentAt(at, Math.sign(toward) as 1 | -1, words, [ux, uy], view)];
  const w = view.weight;
  const heads = [[4, 30], [30, 37]] as const; // oxfmt-ignore
  const drawn = heads.flatMap(([from, to]) =>
    arrowIn('moment', w, { x: at[0], y: at[1], from: [from * ux * w, from * uy * w], to: [to * ux * w, to * uy * w], width: 2 }),
  );
  return [...items, ...drawn, label(at, [40 * ux, 40 * uy], words, 'moment')];
}

const signed = ([x, y]: readonly [number, number], sign: number): [number, number] => [Math.sign(sign) * x, Math.sign(sign) * y];

interface Force {
  /** Which way it points on the drawing, not longer than 1. */
  readonly way: readonly [number, number];
  readonly size: number;
  /** Off the face. */
  readonly out: readonly [number, number];
  readonly what: string;
}

/** Pixels between a face and what acts on it. */
const OFF = 7;

function forceAt([x, y]: readonly [number, number], { way, size, out, what }: Force, context: Context): Item[] {
  const { largest, display, view } = context;
  const w = view.weight;
  const across = Math.hypot(...way);
  if (!(size > SMALL * largest) || across < 0.1) return [];
  const length = arrowLength(size / largest) * w;
  const leads = way[0] * out[0] + way[1] * out[1];
  const [ox, oy] = [OFF * w * out[0], OFF * w * out[1]];
  // Along the member it begins or ends at the face; across it it stands beside the face.
  const [from, to] = leads > 0.5 ? [0, length] : leads < -0.5 ? [-length, 0] : [-length / 2, length / 2];
  const place = (reach: number): [number, number] => [ox + way[0] * reach, oy + way[1] * reach];
  const far = leads < -0.5 ? place(from - 3 * w) : place(to + 3 * w);
  const words = [what, showForce(size, display)].filter(Boolean).join(' ');
  const ink = what === 'N' || what === '' ? 'reaction' : 'shear';
  return [
    ...arrowIn(ink, w, { x, y, from: place(from), to: place(to), width: 2.4 }),
    label([x, y], far, words, ink, leads < -0.5 ? [-way[0], -way[1]] : way),
  ];
}

const momentAt = (
  [x, y]: readonly [number, number],
  sense: 1 | -1,
  words: string,
  out: readonly [number, number],
  view: View,
): Item[] => [
  ...coupleIn('moment', view.weight, { x, y, sense }),
  label([x, y], [16 * out[0], 16 * out[1] + 14], words, 'moment'),
];

const label = (
  [x, y]: readonly [number, number],
  [dx, dy]: readonly [number, number],
  text: string,
  ink: Label['ink'],
  away: Label['away'] = [dx, dy],
): Label => ({ kind: 'label', text, x, y, dx, dy, away, ink, role: 'value', rank: 95 });
