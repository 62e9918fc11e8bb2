import fc from 'fast-check';
import type { Model } from '../model/model';
import { sketch, type Sketch } from './build';

/**
 * Random stable plane frames: a row of bays of random widths and heights on fixed or pinned feet, with a few hinges that leave them
 * stable, loaded on nodes and members.
 */
export const randomFrame: fc.Arbitrary<Model> = fc
  .record({
    bays: fc.array(
      fc.record({
        width: fc.integer({ min: 2, max: 8 }),
        height: fc.integer({ min: 2, max: 6 }),
        slope: fc.integer({ min: -1, max: 2 }),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    fixed: fc.array(fc.boolean(), { minLength: 5, maxLength: 5 }),
    hinge: fc.boolean(),
    brace: fc.boolean(),
    spring: fc.integer({ min: 0, max: 3 }),
    forces: fc.array(
      fc.record({
        fx: fc.integer({ min: -20, max: 20 }),
        fy: fc.integer({ min: -20, max: 20 }),
        mz: fc.integer({ min: -5, max: 5 }),
      }),
      { minLength: 1, maxLength: 5 },
    ),
    lines: fc.array(fc.record({ wx: fc.integer({ min: -3, max: 3 }), wy: fc.integer({ min: -9, max: 3 }) }), {
      minLength: 1,
      maxLength: 6,
    }),
  })
  .map(({ bays, fixed, hinge, brace, spring, forces, lines }) => {
    const nodes: [string, number, number][] = [
      ['f0', 0, 0],
      ['t0', 0, bays[0]!.height],
    ];
    const members: Sketch['members'][number][] = [['c0', 'f0', 't0']];
    let x = 0;
    bays.forEach(({ width, height, slope }, i) => {
      x += width;
      nodes.push([`f${i + 1}`, x, slope * 0.5], [`t${i + 1}`, x, height + 1]);
      members.push([`c${i + 1}`, `t${i + 1}`, `f${i + 1}`]);
      members.push([`b${i}`, `t${i}`, `t${i + 1}`, i === 0 && hinge ? { releases: { start: { mz: 'free' } } } : {}]);
    });
    if (brace) members.push(['d', 'f0', 't1', { behaviour: 'truss' }]);
    const supports = bays.concat(bays[0]!).map((_, i) => ({
      node: `f${i}`,
      ux: 'fixed' as const,
      uy: 'fixed' as const,
      ...((fixed[i] || i === 0) && { rz: 'fixed' as const }),
      ...(i === spring && { rz: 3e5 }),
    }));
    const ids = members.map(([id]) => id);
    return sketch({
      nodes,
      members,
      supports,
      loads: [
        ...forces.map(({ fx, fy, mz }, i) => ({
          type: 'node' as const,
          node: `t${i % (bays.length + 1)}`,
          fx: fx * 1e3,
          fy: fy * 1e3,
          mz: mz * 1e3,
        })),
        ...lines.map(({ wx, wy }, i) => ({
          type: 'line' as const,
          member: ids[i % ids.length]!,
          from: { wx: wx * 1e3, wy: wy * 1e3 },
          to: { wx: wx * 1e3, wy: wy * 1e3 },
        })),
      ],
    });
  });
