import type { Model, Section } from '@rigid-beam/core/model/model';
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
    const { section, roll = 0 } = model.members[member.index]!;
    const depth = depthOf(sections.get(section), member, model.space === 'plane' ? roll : 0);
    return depth ? [band(member, depth, view)] : [];
  });
  const said = members.map((member) => {
    const { start, end, section } = model.members[member.index]!;
    return { member, nodes: [start, end], text: section };
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

/** Half the depth of a section across the member as it is seen, metres of paper; nothing where its shape is not known. */
function depthOf(section: Section | undefined, { ey, ez }: DrawnMember, roll: number): Pair | undefined {
  const { h, b, d } = section?.shape ?? {};
  const turned = Math.abs(Math.sin((roll * Math.PI) / 180)) > 0.7;
  const [high, wide] = [d ?? h ?? 0, d ?? b ?? 0];
  const along = (axis: Pair, size: number): Pair => [(axis[0] * size) / 2, (axis[1] * size) / 2];
  const [across, aside] = [along(ey, turned ? wide : high), along(ez, turned ? high : wide)];
  const larger = Math.hypot(...across) >= Math.hypot(...aside) ? across : aside;
  return Math.hypot(...larger) > 0 ? larger : undefined;
}

function band({ x1, y1, x2, y2, id }: DrawnMember, [dx, dy]: Pair, view: View): Item {
  const vertices = verticesFor(4);
  const corners: Pair[] = [[x1 + dx, y1 + dy], [x2 + dx, y2 + dy], [x2 - dx, y2 - dy], [x1 - dx, y1 - dy]]; // prettier-ignore
  corners.forEach(([x, y], i) => {
    vertices[i * VERTEX] = x;
    vertices[i * VERTEX + 1] = y;
  });
  const ink = isSelected(view, { kind: 'member', id }) ? 'selection' : 'member';
  return { kind: 'path', vertices, closed: true, fill: ink, stroke: ink, width: 0.8, opacity: 0.16 };
}
