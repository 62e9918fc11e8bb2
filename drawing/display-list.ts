import { once } from '@rigid-beam/core/once';
import type { CaseColour } from '@rigid-beam/core/model/model';
import type { AxisName } from '@rigid-beam/core/model/point';

/** What a drawn thing stands for; hit-testing and the list for screen readers use it. */
export type Subject =
  | { readonly kind: 'node'; readonly id: string }
  | { readonly kind: 'member'; readonly id: string }
  | { readonly kind: 'support'; readonly id: string }
  /** `end`: its value at one of its ends, which is the same thing. */
  | { readonly kind: 'load'; readonly id: string; readonly end?: 'from' | 'to' }
  | { readonly kind: 'dimension'; readonly axis: AxisName; readonly from: number; readonly to: number }
  | { readonly kind: 'reaction'; readonly id: string }
  | { readonly kind: 'release'; readonly id: string; readonly end: 'start' | 'end' }
  | { readonly kind: 'extreme'; readonly member: string; readonly x: number }
  | { readonly kind: 'gridLine'; readonly axis: AxisName };

/** What a line or text means. A painter turns it into a colour of its theme. */
export type Ink =
  | 'member'
  | 'faint'
  | 'grid'
  | 'gridStrong'
  | 'dimension'
  | 'support'
  | 'load'
  /** Loads of cases that have a colour of their own. */
  | `load-${Exclude<CaseColour, 'brown'>}`
  | 'reaction'
  | 'tension'
  | 'compression'
  | 'shear'
  | 'moment'
  | 'deflection'
  | 'text'
  | 'selection'
  | 'fault'
  | 'paper';

/** Numbers for each vertex of a path: world X, Y in metres, and an offset in pixels, right and up. */
export const VERTEX = 4;

let arena = new Float64Array(0);
let taken = 0;

/** Zeros for so many vertices. They are parts of larger arrays: a drawing has thousands of paths, and each array of its own is dear. */
export function verticesFor(count: number): Float64Array {
  const length = count * VERTEX;
  if (taken + length > arena.length) {
    arena = new Float64Array(Math.max(ARENA, length));
    taken = 0;
  }
  return arena.subarray(taken, (taken += length));
}
const ARENA = 16384;

/** A line or area. A point lies at its world place, moved by a fixed number of pixels: symbols keep their size when one zooms. */
export interface Path {
  readonly kind: 'path';
  readonly vertices: Float64Array;
  /** Each so many vertices are a line or area of their own. */
  readonly parts?: number;
  /** Where lines of different lengths are one path: the vertices with which they begin, but for the first. */
  readonly starts?: readonly number[];
  readonly closed?: boolean;
  readonly stroke?: Ink;
  /** Pixels. */
  readonly width?: number;
  readonly dash?: readonly number[];
  readonly fill?: Ink;
  readonly opacity?: number;
  readonly subject?: Subject;
  /** Greater is nearer to the viewer: where things lie behind each other the front one is picked. */
  readonly depth?: number;
  /** What texts do: never touch it (heavy lines, symbols, arrowheads), or keep off it where there is room; what is left out or faint they stand on. */
  readonly texts?: 'keep off' | 'rather beside' | 'over it';
}

export type LabelRole = 'value' | 'extreme' | 'dimension' | 'name' | 'load';

/** A text beside a world point. `away` is the direction, in pixels up and right, in which it prefers to stand. */
export interface Label {
  readonly kind: 'label';
  readonly text: string;
  readonly x: number;
  readonly y: number;
  /** Pixels from the point to where the text would touch. */
  readonly dx: number;
  readonly dy: number;
  readonly away: readonly [number, number];
  readonly ink: Ink;
  readonly role: LabelRole;
  /** Where two texts would collide the one of higher rank stays. Infinity always stays. */
  readonly rank: number;
  readonly subject?: Subject;
  /** Ids of the things of its kind that it speaks for, where these are several. */
  readonly alike?: readonly string[];
  /** A line of the drawing (x1, y1, x2, y2, metres) along which the text runs, beside it; x, y and `away` are what is left where it has no room. */
  readonly along?: readonly [number, number, number, number];
  /** Pixels from that line to the text. */
  readonly clear?: number;
}

export type Item = Path | Label;
export type DisplayList = readonly Item[];

/** A path from world points without offsets: x, y, x, y, … */
export function worldPath(points: readonly number[], style: Omit<Path, 'kind' | 'vertices'>): Path {
  const vertices = verticesFor(points.length / 2);
  for (let i = 0, v = 0; i < points.length; i += 2, v += VERTEX) {
    vertices[v] = points[i]!;
    vertices[v + 1] = points[i + 1]!;
  }
  return { kind: 'path', vertices, ...style };
}

/** A symbol: pixel offsets dx, dy, dx, dy, … around one world point, turned by `angle` (radians, anticlockwise). */
export function symbolPath(
  x: number,
  y: number,
  offsets: readonly number[],
  style: Omit<Path, 'kind' | 'vertices'>,
  angle = 0,
): Path {
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  const vertices = verticesFor(offsets.length / 2);
  for (let i = 0, v = 0; i < offsets.length; i += 2, v += VERTEX) {
    const dx = offsets[i]!;
    const dy = offsets[i + 1]!;
    vertices[v] = x;
    vertices[v + 1] = y;
    vertices[v + 2] = c * dx - s * dy;
    vertices[v + 3] = s * dx + c * dy;
  }
  return { kind: 'path', vertices, ...style };
}

export const sameSubject = (a: Subject | undefined, b: Subject | undefined): boolean =>
  a !== undefined && b !== undefined && subjectKey(a) === subjectKey(b);

/** A selection with a thing more, or without it where it is there. */
export function toggled(selection: readonly Subject[], subject: Subject): readonly Subject[] {
  const without = selection.filter((one) => !sameSubject(one, subject));
  return without.length < selection.length ? without : [...selection, subject];
}

/** Whether a thing is selected; the keys of a selection are found once. */
export function isSelected({ selection }: { readonly selection: readonly Subject[] }, subject: Subject): boolean {
  if (selection.length === 0) return false;
  return keysOf(selection).has(subjectKey(subject));
}
const keysOf = once((selection: readonly Subject[]): ReadonlySet<string> => new Set(selection.map(subjectKey)));

/** A key that two subjects share exactly when they are the same thing. */
export function subjectKey(subject: Subject): string {
  switch (subject.kind) {
    case 'dimension':
      return `dimension:${subject.axis}:${subject.from}:${subject.to}`;
    case 'gridLine':
      return `gridLine:${subject.axis}`;
    case 'release':
      return `release:${subject.id}:${subject.end}`;
    case 'extreme':
      return `extreme:${subject.member}:${subject.x}`;
    default:
      return `${subject.kind}:${subject.id}`;
  }
}
