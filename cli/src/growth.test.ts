import { describe, expect, test } from '@jest/globals';
import { checkModel } from '@rigid-beam/core/model/check';
import type { Combination, Load, Model } from '@rigid-beam/core/model/model';
import { clamp, inRow, roller, sketch } from '@rigid-beam/core/test/build';
import { solve } from '@rigid-beam/core/analysis/session';

const beam = sketch({ nodes: inRow(0, 4), members: [['a', '1', '2']], supports: [clamp('1'), roller('2')] });

/** The shortest time of a few, milliseconds: what else the machine does only makes it longer. */
function shortest(model: Model): number {
  const times = Array.from({ length: 3 }, () => {
    const begun = performance.now();
    const checked = checkModel(model);
    expect(solve(checked.model!).status).not.toBe('unstable');
    return performance.now() - begun;
  });
  return Math.min(...times);
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

  // Four times as much would take sixteen times as long if everything looked at everything else.
  test.each([
    ['point loads on one member', forces, 8000],
    ['cases, each with its sum', sums, 800],
    ['loose nodes', loose, 8000],
  ])('%s', (_what, build, count) => {
    shortest(build(count / 16));
    expect(shortest(build(count)) / shortest(build(count / 4))).toBeLessThan(12);
  });
});
