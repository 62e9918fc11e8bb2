import { describe, expect, test } from '@jest/globals';
import { clamp3, sketch, solved } from '../../test/build';
import type { Load } from '../model';
import { scaledLoad } from './scaled';

const loads: readonly object[] = [
  { type: 'node', node: '2', fx: 4e3, fz: -1e3, my: 900 },
  { type: 'point', member: 'a', at: 0.3, fy: -5e3, mz: 700 },
  { type: 'line', member: 'a', axes: 'projected', from: { at: 0.2, wy: -3e3 }, to: { wx: 500, wy: -9e3 } },
  { type: 'chain', members: ['a', 'b'], from: { wy: -1e3 }, to: { wy: -4e3 } },
  { type: 'thermal', member: 'a', uniform: 25, gradientY: 40, gradientZ: -15 },
  { type: 'strain', member: 'b', elongation: 2e-3 },
  { type: 'settlement', node: '1', uy: -0.01, rz: 0.002 },
  { type: 'area', members: ['a'], width: 3, pressure: 1200 },
  { type: 'train', members: ['a', 'b'], stands: 3, axles: [9e3, 4e3], spacings: [1.5] },
];

describe.each(loads.map((load) => [(load as Load).type, load] as const))('a %s load', (type, load) => {
  const model = sketch({
    nodes: [['1', 0, 0, 0], ['2', 4, 1, 0], ['3', 8, 2, 0]],
    members: [['a', '1', '2'], ['b', '2', '3']],
    supports: [clamp3('1'), clamp3('3')],
    loads: [load as never],
  }); // oxfmt-ignore
  const [once] = model.loads as [Load];

  test.each([2, -0.5])('%d times as large moves everything so many times as far', (factor) => {
    const [before, after] = [model, { ...model, loads: [scaledLoad(once, factor)] }].map(solved);
    for (const node of ['2', '3']) {
      const moved = before!.displacements(node);
      expect(moved.some((one) => one !== 0) || node === '3').toBe(true);
      after!.displacements(node).forEach((value, k) => expect(value).toBeCloseTo(factor * moved[k]!, 12));
      after!.reactions(node).forEach((value, k) => expect(value).toBeCloseTo(factor * before!.reactions(node)[k]!, 5));
    }
  });

  test('stays where it is: places, axes and names are kept', () => {
    const twice = scaledLoad(once, 2) as unknown as Record<string, unknown>;
    for (const key of ['id', 'case', 'type', 'member', 'node', 'members', 'at', 'axes', 'width'])
      expect([type, twice[key]]).toEqual([type, (once as unknown as Record<string, unknown>)[key]]);
  });
});
