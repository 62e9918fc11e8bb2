import { describe, expect, test } from '@jest/globals';
import { checkModel } from '@rigid-beam/core/model/check';
import type { Combination, Load, Model } from '@rigid-beam/core/model/model';
import { clamp, inRow, roller, sketch } from '@rigid-beam/core/test/build';
import { solve } from '@rigid-beam/core/analysis/session';

const beam = sketch({ nodes: inRow(0, 4), members: [['a', '1', '2']], supports: [clamp('1'), roller('2')] });

/** What the processor spent at least on checking and solving, microseconds; what else the machine does is not counted. */
function least(model: Model): number {
  const spent = Array.from({ length: 6 }, () => {
    const before = process.cpuUsage();
    const checked = checkModel(model);
    expect(solve(checked.model!).status).not.toBe('unstable');
    const { user, system } = process.cpuUsage(before);
    return user + system;
  });
  return Math.min(...spent);
}

describe('what a model asks for grows with it and no faster', () => {
  const forces = (count: number): Model => ({
    ...beam,
    loads: Array.from({ length: count }, (_, i): Load => ({
      id: `F${i}`,
      type: 'point',
      case: 'Q',
      member: 'a',
      measure: 'ratio',
      at: (i + 0.5) / count,
      fy: -10,
    })),
  });
  const sums = (count: number): Model => {
    const cases = Array.from({ length: count }, (_, i) => ({ id: `C${i}`, category: 'imposed' as const }));
    return {
      ...beam,
      cases,
      loads: cases.map(({ id }): Load => ({
        id: `F${id}`,
        type: 'point',
        case: id,
        member: 'a',
        measure: 'ratio',
        at: 0.5,
        fy: -10,
      })),
      combinations: cases.map(({ id }, i): Combination => ({ id: `S${i}`, type: 'sum', factors: { [id]: 1.5 } })),
    };
  };
  const loose = (count: number): Model => ({
    ...beam,
    nodes: [
      ...beam.nodes,
      ...Array.from({ length: count }, (_, i) => ({ id: `n${i}`, x: (i % 400) + 0.5, y: 1 + Math.floor(i / 400) })),
    ],
  });

  // Sixteen times as much would take up to 256 times as long if everything looked at everything else.
  test.each([
    ['point loads on one member', forces, 8000],
    ['cases, each with its sum', sums, 800],
    ['loose nodes', loose, 8000],
  ])('%s', (_what, build, count) => {
    least(build(count / 16));
    expect(least(build(count)) / least(build(count / 16))).toBeLessThan(64);
  });
});
