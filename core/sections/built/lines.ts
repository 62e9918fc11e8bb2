import { once } from '../../once';
import type { OutlineCorner, SectionPart, Shape } from '../../shapes/shape';
import type { Corner } from '../../shapes/kind';
import { edgesOf, enclosed } from '../path';
import { dimensionsOf, kindOf } from '../../shapes/dimensions';
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

/** Where a part of a section stands: mirrored left to right first, then turned anticlockwise (degrees), then moved. Metres. */
interface Placement {
  readonly at?: readonly [z: number, y: number];
  readonly angle?: number;
  readonly mirrored?: true;
}

/** A closed line moved to where its part stands; mirrored, it runs the other way round, and is turned round again. */
function placed(corners: readonly Corner[], { at: [dz, dy] = [0, 0], angle = 0, mirrored }: Placement): Corner[] {
  const [cos, sin] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
  const moved = corners.map(({ z, y, ...rest }) => {
    const across = mirrored ? -z : z;
    return { z: dz + across * cos - y * sin, y: dy + across * sin + y * cos, ...rest };
  });
  return mirrored ? moved.reverse() : moved;
}
