import type { Model } from '../model/model';
import { clamp, clamp3, sketch, type Sketch } from './build';
import type { Random } from './random';

/** A frame of some storeys under forces on its joints that press, pull and push; in space its columns stand in a square. */
export function storeyedFrame(random: Random, kind: 'plane' | 'space'): Model {
  const space = kind === 'space';
  const within = (from: number, to: number): number => from + random.below(to - from + 1);
  const storeys = within(1, 3);
  const plan = space ? [[0, 0], [4, 0], [4, 5], [0, 3]] : [[0, 0], [5, 0]]; // oxfmt-ignore
  const name = (corner: number, level: number): string => `${corner}.${level}`;
  const nodes: Sketch['nodes'][number][] = [];
  const members: Sketch['members'][number][] = [];
  for (let level = 0; level <= storeys; level++)
    plan.forEach(([x, z], corner) => {
      const off = (): number => within(-3, 3) / 10;
      nodes.push(
        space
          ? [name(corner, level), x! + off(), 4 * level + off(), z! + off()]
          : [name(corner, level), x! + off(), 4 * level + off()],
      );
      if (level === 0) return;
      const roll = { roll: within(0, 90) };
      members.push([`c${name(corner, level)}`, name(corner, level - 1), name(corner, level), space ? roll : {}]);
      if (space || corner === 0)
        members.push([
          `b${name(corner, level)}`,
          name(corner, level),
          name((corner + 1) % plan.length, level),
          space ? roll : {},
        ]);
    });
  const loads = nodes.slice(plan.length).map(([node]) => ({
    type: 'node' as const,
    node,
    ...{ fx: 1e3 * within(-30, 30), fy: -1e3 * within(-100, space ? 320 : 1600) },
    ...(space && { fz: 1e3 * within(-30, 30) }),
  })); // oxfmt-ignore
  const feet = plan.map((_, corner) => (space ? clamp3 : clamp)(name(corner, 0)));
  return sketch({ nodes, members, supports: feet, loads, section: { Iy: 4e-6 } });
}
