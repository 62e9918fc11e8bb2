import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solve } from '../analysis/session';
import { clamp, EI, inRow, pin, roller, sketch } from '../test/build';
import { randomSpace } from '../test/random-space';
import { underAnyLoad } from '../test/random-loads';
import { ownDeflection } from './own-deflection';
import { valueAt } from './read';

const [L, w] = [6, 4e3];
const loads = [{ type: 'line', member: 'a', from: { wy: -w }, to: { wy: -w } }] as const;

describe('how far a member bends from the line between its ends', () => {
  test('of a simple beam 5wL⁴/(384 EI), of a propped one (39 + 55√33)/65536 · wL⁴/EI', () => {
    const simple = solve(sketch({ nodes: inRow(0, L), members: [['a', '1', '2']], supports: [pin('1'), roller('2')], loads })).solution!; // oxfmt-ignore
    const sag = (5 * w * L ** 4) / (384 * EI);
    expect(ownDeflection(simple, 0, 0)).toEqual({ x: expect.closeTo(L / 2, 6), size: expect.closeTo(sag, 12), span: expect.closeTo(L / sag, 6) }); // oxfmt-ignore
    const propped = solve(sketch({ nodes: inRow(0, L), members: [['a', '1', '2']], supports: [clamp('1'), roller('2')], loads })).solution!; // oxfmt-ignore
    expect(ownDeflection(propped, 0, 0)!.size).toBeCloseTo((((39 + 55 * Math.sqrt(33)) / 65536) * w * L ** 4) / EI, 12);
  });

  test('that of a cantilever counts from the line to its tip, and a straight one has none', () => {
    const out = solve(sketch({ nodes: inRow(0, L), members: [['a', '1', '2']], supports: [clamp('1')], loads: [{ type: 'node', node: '2', fy: -w }] })).solution!; // oxfmt-ignore
    // v = w(3Lx² − x³)/(6EI) less its chord: greatest at x = L(1 − 1/√3).
    const x = L * (1 - 1 / Math.sqrt(3));
    const v = (w * (3 * L * x * x - x ** 3)) / (6 * EI) - ((w * L ** 3) / (3 * EI)) * (x / L);
    expect(ownDeflection(out, 0, 0)).toMatchObject({ x: expect.closeTo(x, 6), size: expect.closeTo(Math.abs(v), 12) });
    const pulled = solve(sketch({ nodes: inRow(0, L), members: [['a', '1', '2']], supports: [clamp('1')], loads: [{ type: 'node', node: '2', fx: w }] })).solution!; // oxfmt-ignore
    expect(ownDeflection(pulled, 0, 0)).toBeUndefined();
  });

  test('in space no place of any member is farther off', () => {
    fc.assert(
      fc.property(underAnyLoad(randomSpace), (model) => {
        const { solution } = solve(model);
        fc.pre(solution !== undefined);
        const { lengths, names } = solution!.structure;
        names.members.forEach((_, m) => {
          const own = ownDeflection(solution!, 0, m);
          const L = lengths[m]!;
          for (let i = 0; i <= 40; i++) {
            const off = (['v', 'w'] as const).map((q) => {
              const at = (x: number): number => valueAt(solution!, 0, m, q, x);
              return at((L * i) / 40) - (at(0) + ((at(L) - at(0)) * i) / 40);
            });
            expect(Math.hypot(...off)).toBeLessThanOrEqual((own?.size ?? 0) * (1 + 1e-9) + 1e-9 * L);
          }
        });
      }),
      { numRuns: 15 },
    );
  });
});
