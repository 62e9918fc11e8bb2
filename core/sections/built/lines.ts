import { once } from '../../once';
import type { OutlineCorner, SectionPart, Shape } from '../../shapes/shape';
import type { Corner } from '../../shapes/kind';
import { edgesOf, enclosed } from '../path';
import { dimensionsOf, kindOf } from '../../shapes/dimensions';
import { placed } from './place';
import { sense } from './soundness';

type Lines = readonly (readonly Corner[])[];

/** The closed lines of a part where it stands: the outer one first and anticlockwise, then its holes, clockwise. */
export function linesOfPart({ shape, outline, holes = [], at, angle = 0, mirrored }: SectionPart): Lines {
  const lines = shape
    ? shapeLines(shape)
    : outline
      ? [counter(outline.map(cornerOf), 1), ...holes.map((hole) => counter(hole.map(cornerOf), -1))]
      : [];
  const place = { at: [at?.[0] ?? 0, at?.[1] ?? 0] as const, angle, ...(mirrored && { mirrored: true as const }) };
  return lines.map((line) => placed(line, place));
}

/** The lines of all parts. */
export const linesOfParts = once((parts: readonly SectionPart[]): Lines => parts.flatMap(linesOfPart));

/** A shape about its centroid, so that its place says where this lies. */
function shapeLines(shape: Shape): Lines {
  const kind = kindOf(shape);
  const s = dimensionsOf(shape);
  const lines: Lines = kind?.body === 'circles' ? circles(kind.diameters(s)) : (kind?.corners(s) ?? []);
  const { y, z } = enclosed(lines.map(edgesOf));
  return lines.map((line) => line.map((corner) => ({ ...corner, y: corner.y - y, z: corner.z - z })));
}

/** A circle is a square whose corners are as round as they can be. */
function circles([outer, inner]: readonly [number, number?]): Lines {
  const circle = (r: number): Corner[] => [[-r, -r], [r, -r], [r, r], [-r, r]].map(([z, y]) => ({ z: z!, y: y!, r })); // oxfmt-ignore
  return inner === undefined ? [circle(outer / 2)] : [circle(outer / 2), circle(inner / 2).reverse()];
}

export const cornerOf = ([z = 0, y = 0, r = 0]: OutlineCorner): Corner => ({ z, y, ...(r > 0 && { r }) });

/** The line so that it runs anticlockwise (1) or clockwise (−1). */
const counter = (line: readonly Corner[], way: 1 | -1): readonly Corner[] =>
  Math.sign(sense(line.flatMap(({ z, y }) => [z, y]))) === way ? line : line.toReversed();
