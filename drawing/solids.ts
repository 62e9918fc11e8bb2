import type { Model } from '@rigid-beam/core/model/model';
import type { Shape } from '@rigid-beam/core/shapes/shape';
import { memberAxes } from '@rigid-beam/core/model/local-axes';
import { minus, plus, pointOf, size, times, type Point } from '@rigid-beam/core/model/point';
import { diagramOf } from '@rigid-beam/core/results/diagram';
import { valueIn } from '@rigid-beam/core/results/read';
import { outlineLoops } from '@rigid-beam/core/sections/outline';
import type { Loop } from '@rigid-beam/core/sections/path';
import { centroidOf } from '@rigid-beam/core/sections/centroid';
import { sectionProperties } from '@rigid-beam/core/sections/section-properties';
import { valuesAlong, type Coloured } from './coloured-items';
import type { Deflected } from './diagram-items';
import { governingValues, largestOf } from './diagram-scale';

/** Numbers of a placing: a matrix of 4 by 4, column by column. */
export const PLACING = 16;

/** All members of one section as solids: its lines, and where each stands. */
export interface Solids {
  /** Closed lines about the centroid, z and y in turn; outer ones anticlockwise, holes clockwise. */
  readonly loops: readonly Loop[];
  /** Whether the section's shape is known: otherwise a square bar of its area stands for it. */
  readonly isKnown: boolean;
  /** By solid: its member's place among the members. */
  readonly members: Int32Array;
  /** `PLACING` numbers a solid: what carries a body of unit length along x, its section in y and z, to where it stands. */
  readonly placings: Float32Array;
  /** By solid, where they carry a colour: −1 to 1 for the value beside the largest; NaN where it is not known. */
  readonly shares?: Float32Array;
}

/** Pieces in which a deflected member is drawn. */
const PIECES = 8;

/**
 * Members as they are: their sections extruded along them, rolled and offset. With `bent` each follows its deflected axis, in pieces. Of
 * envelopes nothing is bent.
 */
export function solidsOf(model: Model, hidden: ReadonlySet<string>, bent?: Deflected, coloured?: Coloured): Solids[] {
  const largest = coloured && largestOf(governingValues(coloured.solution, coloured.outcome, coloured.quantity));
  const nodes = new Map(model.nodes.map((node) => [node.id, pointOf(node)]));
  const bySection = new Map<string, { members: number[]; placings: number[]; shares: number[] }>(
    model.sections.map(({ id }) => [id, { members: [], placings: [], shares: [] }]),
  );
  model.members.forEach((member, m) => {
    const [start, end] = [nodes.get(member.start), nodes.get(member.end)];
    const group = bySection.get(member.section);
    if (!start || !end || !group || (hidden.size > 0 && hidden.has(`member:${member.id}`))) return;
    const from = member.offset?.start ? plus(start, member.offset.start as unknown as Point) : start;
    const to = member.offset?.end ? plus(end, member.offset.end as unknown as Point) : end;
    const [dx, dy, dz] = minus(to, from);
    if (size([dx, dy, dz]) < 1e-9) return;
    const axes = memberAxes(dx, dy, dz, member.roll ?? 0);
    const stations = bent
      ? bentAxis(bent, m, from, model.space === 'plane' ? memberAxes(dx, dy, dz, 0) : axes)
      : coloured
        ? Array.from({ length: PIECES + 1 }, (_, i) => plus(from, times([dx, dy, dz], i / PIECES)))
        : [from, to];
    const values = coloured && valuesAlong(coloured.solution, coloured.outcome, m, coloured.quantity, PIECES);
    for (let i = 1; i < stations.length; i++) {
      group.members.push(m);
      if (values) group.shares.push(largest ? values[i - 1]! / largest : 0);
      place(group.placings, stations[i - 1]!, stations[i]!, [axes[3]!, axes[4]!, axes[5]!]);
    }
  });
  return model.sections.flatMap((section) => {
    const { members, placings, shares } = bySection.get(section.id)!;
    if (members.length === 0) return [];
    const known = section.shape && centred(section.shape);
    const side = Math.sqrt(sectionProperties(section).A ?? 1e-4);
    return [
      {
        loops: known ?? [square(section.relative ? 0.05 : side)],
        isKnown: known !== undefined,
        members: Int32Array.from(members),
        placings: Float32Array.from(placings),
        ...(coloured && { shares: Float32Array.from(shares) }),
      },
    ];
  });
}

/** The lines of a shape about its centroid; undefined where it is not known. */
function centred(shape: Shape): readonly Loop[] | undefined {
  const loops = outlineLoops(shape);
  if (loops.length === 0) return undefined;
  const { y, z } = centroidOf(shape);
  return loops.map((loop) => loop.map((value, i) => value - (i % 2 === 0 ? z : y)));
}

const square = (side: number): Loop => [-1, -1, 1, -1, 1, 1, -1, 1].map((sign) => (sign * side) / 2);

/** Points of the deflected axis. `axes`: those about which its displacements are given. */
function bentAxis({ solution, outcome, factor }: Deflected, m: number, from: Point, axes: Float64Array): Point[] {
  const diagram = diagramOf(solution, outcome, m);
  return Array.from({ length: PIECES + 1 }, (_, i) => {
    const x = (diagram.length * i) / PIECES;
    const [u, v, w] = (['u', 'v', 'w'] as const).map((quantity) => factor * valueIn(diagram, quantity, x)) as [number, number, number]; // oxfmt-ignore
    return [0, 1, 2].map((k) => from[k]! + axes[k]! * (x + u) + axes[3 + k]! * v + axes[6 + k]! * w) as unknown as Point;
  });
}

/** The matrix whose columns are the way from one point to another, y and z of the section, and the first point. */
function place(placings: number[], from: Point, to: Point, upright: Point): void {
  const way = minus(to, from);
  const length = size(way);
  const x = way.map((part) => part / length) as unknown as Point;
  // y stays as upright as the way leaves it.
  const along = x[0] * upright[0] + x[1] * upright[1] + x[2] * upright[2];
  const rest = upright.map((part, k) => part - along * x[k]!) as unknown as Point;
  const y = rest.map((part) => part / size(rest)) as unknown as Point;
  const z = [x[1] * y[2] - x[2] * y[1], x[2] * y[0] - x[0] * y[2], x[0] * y[1] - x[1] * y[0]];
  placings.push(...way, 0, ...y, 0, ...z, 0, ...from, 1);
}
