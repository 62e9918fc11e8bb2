import fc from 'fast-check';
import type { EndReleases, Member, Model } from '../model/model';
import { ball, clamp3, sketch, type Sketch } from './build';

const release = fc.constantFrom<EndReleases>(
  {},
  {},
  {},
  { mz: 'free' },
  { my: 'free' },
  { mz: 4e5, my: 'free' },
  { rx: 'free' },
  { rx: 2e4 },
  { ux: 5e7 },
  { uz: 3e5 },
);

/**
 * Random stable frames in space: two rows of posts on clamps (some on ball joints), joined by beams along X and Z that lean and are
 * rolled and released at random; loads on nodes, and uniform ones on members.
 */
export const randomSpace: fc.Arbitrary<Model> = fc
  .record({
    bays: fc.array(
      fc.record({
        width: fc.integer({ min: 2, max: 6 }),
        height: fc.integer({ min: 2, max: 5 }),
        lean: fc.integer({ min: -2, max: 2 }),
        releases: release,
        roll: fc.constantFrom(0, 0, 30, 90, -45),
      }),
      { minLength: 1, maxLength: 2 },
    ),
    depth: fc.integer({ min: 2, max: 5 }),
    ball: fc.boolean(),
    brace: fc.boolean(),
    offset: fc.boolean(),
    Iyz: fc.constantFrom(0, 0, 2e-6),
    sheared: fc.boolean(),
    spring: fc.integer({ min: 0, max: 2 }),
    forces: fc.array(fc.array(fc.integer({ min: -9, max: 9 }), { minLength: 6, maxLength: 6 }), { minLength: 1, maxLength: 3 }),
    lines: fc.array(fc.array(fc.integer({ min: -5, max: 5 }), { minLength: 3, maxLength: 3 }), { minLength: 1, maxLength: 4 }),
  })
  .map(({ bays, depth, ball: loose, brace, offset, Iyz, sheared, spring, forces, lines }) => {
    const nodes: [string, number, number, number][] = [];
    const members: [string, string, string, Partial<Member>?][] = [];
    const supports: Sketch['supports'][number][] = [];
    let x = 0;
    [...bays, bays[0]!].forEach(({ width, height, lean, roll }, i) => {
      for (const k of [0, 1]) {
        const [foot, top] = [`f${i}${k}`, `t${i}${k}`];
        nodes.push([foot, x, 0, k * depth], [top, x + lean / 4, height + k / 2, k * depth + lean / 3]);
        members.push([`c${i}${k}`, ...(k === 0 ? ([foot, top] as const) : ([top, foot] as const)), { roll }]);
        supports.push(loose && i > 0 ? ball(foot) : { ...clamp3(foot), ...(i === spring && { ry: 3e5 }) });
      }
      members.push([`d${i}`, `t${i}0`, `t${i}1`, { roll: -roll }]);
      x += width;
    });
    bays.forEach(({ releases, roll }, i) => {
      for (const k of [0, 1]) {
        const endOffsets = offset && i === 0 && k === 1 ? { offset: { start: [0.1, 0.05, 0.1], end: [-0.1, 0, 0.2] } } : {};
        members.push([
          `b${i}${k}`,
          `t${i}${k}`,
          `t${i + 1}${k}`,
          { roll, ...(k === 0 && { releases: { start: releases } }), ...endOffsets },
        ]);
      }
    });
    if (brace) members.push(['brace', 'f00', 't10', { behaviour: 'truss' }]);
    const ids = members.map(([id]) => id);
    return sketch({
      nodes,
      members,
      supports,
      loads: [
        ...forces.map(([fx, fy, fz, mx, my, mz], i) => ({
          type: 'node' as const,
          node: `t${i % (bays.length + 1)}${i % 2}`,
          ...Object.fromEntries(Object.entries({ fx, fy, fz, mx, my, mz }).map(([key, value]) => [key, value! * 1e3])),
        })),
        ...lines.map(([wx, wy, wz], i) => {
          const from = { wx: wx! * 1e3, wy: wy! * 1e3, wz: wz! * 1e3 };
          return { type: 'line' as const, member: ids[(3 * i) % ids.length]!, from, to: from };
        }),
      ],
      section: { Iyz, Ay: 0.002, Az: 0.0015 },
      extra: { analysis: { shearDeformation: sheared } },
    });
  });
