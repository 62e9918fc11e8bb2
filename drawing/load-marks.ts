import type { CaseColour, Model } from '@rigid-beam/core/model/model';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { showNumber } from '@rigid-beam/core/quantities/show';
import type { Point } from '@rigid-beam/core/model/point';
import { isSelected, symbolPath, type Ink, type Item, type Subject } from './display-list';
import type { DrawnMember } from './geometry';
import { circle } from './structure-items';
import type { Ground } from './ground';

/** What the pictures of all loads have in common. */
export interface Context {
  readonly model: Model;
  readonly members: ReadonlyMap<string, DrawnMember>;
  readonly nodes: ReadonlyMap<string, { readonly x: number; readonly y: number; readonly depth: number }>;
  readonly display: DisplayUnits;
  readonly view: Ground;
  /** What the loads are drawn with whose cases have a colour of their own, by their ids. */
  readonly inks: ReadonlyMap<string, Ink>;
  /** The largest intensity and force of the model, or that act: they take the longest arrow, in every case. */
  readonly largest: { readonly intensity: number; readonly force: number };
  /** Pixels between the member and the feet of a line load, by its id: more than 0 where it stands above others. */
  readonly baseOf: (load: string) => number;
  /** Where members lead from a node, as it is seen: an arrow along one of them would be hidden. */
  readonly leaving: (node: string) => readonly (readonly [number, number])[];
}

/** Longest and shortest arrow, pixels. In between they are as long as what they stand for. */
const LONGEST = 40;
const SHORTEST = 9;

/** Pixels of an arrow for a part of the largest value. */
export const arrowLength = (part: number): number => (part === 0 ? 0 : Math.max(SHORTEST, LONGEST * Math.min(1, Math.abs(part))));

/** A factor other than 1 stands before the value. */
export const prefix = (factor: number): string => (factor === 1 ? '' : `${showNumber(factor)} × `);

/** The ink of loads in a case of this colour. */
export const inkOfColour = (colour: CaseColour = 'brown'): Ink => (colour === 'brown' ? 'load' : `load-${colour}`);

export const inkOf = ({ view, inks }: Context, subject: Subject): Ink =>
  isSelected(view, subject) ? 'selection' : (subject.kind === 'load' && inks.get(subject.id)) || 'load';

/** A vector in a member's own axes as it is seen. */
export const ownAxes = ({ ex, ey, ez }: DrawnMember, [x, y, z]: Point): [number, number] => [
  x * ex[0] + y * ey[0] + z * ez[0],
  x * ex[1] + y * ey[1] + z * ez[1],
];

/** A force that points at the viewer, or away, by less than this part of its length across: drawn as a ring with a dot. */
export const END_ON = 0.12;
export const endOn = (context: Context, x: number, y: number, subject: Subject): Item[] => {
  const stroke = inkOf(context, subject);
  const w = context.view.weight;
  return [
    symbolPath(x, y, circle(6 * w), { closed: true, stroke, fill: 'paper', width: 1.5 * w, subject, texts: 'keep off' }),
    symbolPath(x, y, circle(1.8 * w), { closed: true, fill: stroke, subject }),
  ];
};

/** A text beside a load: the pixels from a world point to where it touches, and the way it prefers to stand. */
interface Beside {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
  readonly away: readonly [number, number];
}

export const label = (context: Context, beside: Beside, words: string, subject: Subject): Item => ({
  kind: 'label',
  text: words,
  ...beside,
  ink: inkOf(context, subject),
  role: 'load',
  rank: 60,
  subject,
});

/** An arrow between two pixel offsets from a world point, with a filled head at its end. */
interface Arrow {
  readonly x: number;
  readonly y: number;
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly width: number;
}

export const arrow = (context: Context, one: Arrow, subject: Subject): Item[] =>
  arrowIn(inkOf(context, subject), context.view.weight, one, subject);

/** The same in any ink, of whatever it stands for. */
export function arrowIn(stroke: Ink, w: number, { x, y, from, to, width }: Arrow, own?: Subject): Item[] {
  const subject = own && { subject: own };
  const [along, up] = [to[0] - from[0], to[1] - from[1]];
  const angle = Math.atan2(up, along);
  const head = Math.min(7 * w, Math.hypot(along, up) * 0.6);
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const corner = (back: number, across: number): [number, number] => [
    to[0] + c * back - s * across,
    to[1] + s * back + c * across,
  ];
  return [
    symbolPath(x, y, [...from, ...corner(-head, 0)], { stroke, width: width * 0.7 * w, ...subject, texts: 'rather beside' }),
    symbolPath(x, y, [...to, ...corner(-head, head * 0.36), ...corner(-head, -head * 0.36)], {
      closed: true,
      fill: stroke,
      ...subject,
      texts: 'keep off',
    }),
  ];
}

/** Three quarters of a circle with a head, anticlockwise for a positive couple. */
export const couple = (context: Context, x: number, y: number, sense: number, subject: Subject): Item[] =>
  coupleIn(inkOf(context, subject), context.view.weight, { x, y, sense }, subject);

/** The same in any ink. */
export function coupleIn(
  stroke: Ink,
  w: number,
  { x, y, sense }: { readonly x: number; readonly y: number; readonly sense: number },
  own?: Subject,
): Item[] {
  const radius = 13 * w;
  const arc = Array.from({ length: 25 }, (_, i) => sense * (-2.2 + (i / 24) * 4.4)).flatMap((a) => [
    radius * Math.cos(a),
    radius * Math.sin(a),
  ]);
  const [ex, ey] = arc.slice(-2) as [number, number];
  const [bx, by] = arc.slice(-8, -6) as [number, number];
  return [
    symbolPath(x, y, arc, { stroke, width: 1.6 * w, ...(own && { subject: own }), texts: 'keep off' }),
    ...arrowIn(stroke, w, { x, y, from: [bx, by], to: [ex + (ex - bx) * 0.3, ey + (ey - by) * 0.3], width: 1 }, own),
  ];
}
