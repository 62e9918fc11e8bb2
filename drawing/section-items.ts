import type { Model, Section } from '@rigid-beam/core/model/model';
import { extentOfShape } from '@rigid-beam/core/sections/outline';
import { relativeWords } from '@rigid-beam/core/sections/relative';
import { isSelected, VERTEX, verticesFor, type Item, type Subject } from './display-list';
import { nearness, type DrawnMember } from './geometry';
import { saidOnce } from './runs';
import { membersInFront } from './structure-items';
import type { View } from './view';

/** Members at their true depth, as bands along them, and the name of each section once per run of members that share it. */
export function sectionItems(model: Model, view: View): Item[] {
  const sections = new Map(model.sections.map((section) => [section.id, section]));
  const members = membersInFront(model, view);
  const near = nearness(model, view);
  const bands = members.flatMap((member): Item[] => {
    if (view.solids) return [];
    const { section, roll = 0 } = model.members[member.index]!;
    const edges = edgesAcross(sections.get(section), member, model.space === 'plane' ? roll : 0);
    return edges ? [band(member, edges, view)] : [];
  });
  const said = members.map((member) => {
    const { start, end, section } = model.members[member.index]!;
    const relative = sections.get(section)?.relative;
    return { member, nodes: [start, end], text: relative ? relativeWords(relative) : section };
  });
  return [
    ...bands,
    ...saidOnce(said).map(({ member, text }): Item => {
      const { x1, y1, x2, y2 } = member;
      const subject: Subject = { kind: 'member', id: member.id };
      return {
        kind: 'label',
        text,
        ...{ x: (x1 + x2) / 2, y: (y1 + y2) / 2, dx: 0, dy: 8 * view.weight, away: [0, 1] },
        along: [x1, y1, x2, y2],
        clear: 6 * view.weight,
        ink: 'text',
        role: 'load',
        rank: 80 + near(member.depth),
        subject,
      };
    }),
  ];
}

type Pair = readonly [number, number];

/** Where the two edges of a member lie beside its axis as it is seen, metres of paper; nothing where its shape is not known. */
function edgesAcross(section: Section | undefined, { ey, ez }: DrawnMember, roll: number): readonly [Pair, Pair] | undefined {
  const extent = section?.shape && extentOfShape(section.shape);
  if (!extent) return undefined;
  const [sin, cos] = [Math.sin((roll * Math.PI) / 180), Math.cos((roll * Math.PI) / 180)];
  // The section's own y and z, of which a roll turns y towards z.
  const turned = (a: Pair, b: Pair, [c, s]: Pair): Pair => [c * a[0] + s * b[0], c * a[1] + s * b[1]];
  const [up, right] = [turned(ey, ez, [cos, sin]), turned(ez, ey, [cos, -sin])];
  const along = (axis: Pair, [low, high]: Pair): readonly [Pair, Pair] => [
    [axis[0] * low, axis[1] * low],
    [axis[0] * high, axis[1] * high],
  ];
  const [across, aside] = [along(up, extent.y), along(right, extent.z)];
  const depth = ([a, b]: readonly [Pair, Pair]): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
  const larger = depth(across) >= depth(aside) ? across : aside;
  return depth(larger) > 0 ? larger : undefined;
}

function band({ x1, y1, x2, y2, id }: DrawnMember, [[ax, ay], [bx, by]]: readonly [Pair, Pair], view: View): Item {
  const vertices = verticesFor(4);
  const corners: Pair[] = [[x1 + ax, y1 + ay], [x2 + ax, y2 + ay], [x2 + bx, y2 + by], [x1 + bx, y1 + by]]; // oxfmt-ignore
  corners.forEach(([x, y], i) => {
    vertices[i * VERTEX] = x;
    vertices[i * VERTEX + 1] = y;
  });
  const ink = isSelected(view, { kind: 'member', id }) ? 'selection' : 'member';
  return { kind: 'path', vertices, closed: true, fill: ink, stroke: ink, width: 0.8, opacity: 0.16 };
}
