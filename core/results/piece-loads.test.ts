import { describe, expect, test } from '@jest/globals';
import { compile } from '../stiffness/compile';
import { clamp, inRow, pin, roller, sketch, type Sketch } from '../test/build';
import { slotOf } from '../stiffness/load-slots';
import { piecesOfCases } from './breakpoints';
import { IMPOSED_WIDTH, PIECE_LOAD_WIDTH, pieceLoads } from './piece-loads';

const L = 4;
const loaded = (loads: NonNullable<Sketch['loads']>, extra: Partial<Sketch> = {}) => {
  const s = compile(
    sketch({
      nodes: inRow(0, L, 2 * L),
      members: [
        ['a', '1', '2'],
        ['b', '2', '3'],
      ],
      supports: [clamp('1'), roller('2'), pin('3')],
      loads,
      ...extra,
    }),
  );
  const cuts = piecesOfCases(s);
  return {
    s,
    cut: cuts[0]!,
    found: pieceLoads(
      s,
      cuts,
      s.names.cases.map(() => true),
    ),
  };
};
/** What acts on piece k of the first member: six actions where it begins, then qx, qx′, qy, qy′, qz, qz′. */
const piece = ({ found }: ReturnType<typeof loaded>, k: number, c = 0): { jump: number[]; q: number[] } => {
  const { values } = found[c]!;
  const all = [...values.subarray(slotOf(found[c]!, 0) + IMPOSED_WIDTH + PIECE_LOAD_WIDTH * k)].slice(0, PIECE_LOAD_WIDTH);
  return { jump: all.slice(0, 6), q: all.slice(6) };
};

describe('what acts on the pieces of a member', () => {
  test('a trapezium goes on from piece to piece, and loads that overlap add', () => {
    const all = loaded([
      { type: 'line', member: 'a', from: { at: 0.25, wy: -1 }, to: { at: 0.75, wy: -3 } },
      { type: 'line', member: 'a', from: { at: 0.5, wy: -10 }, to: { wy: -10 } },
    ]);
    expect([...all.cut.from.subarray(0, 4)]).toEqual([0, 1, 2, 3]);
    expect([0, 1, 2, 3].map((k) => piece(all, k).q.slice(2, 4))).toEqual([
      [0, 0],
      [-1, -1],
      [-12, -1],
      [-10, 0],
    ]);
  });

  test('a force and a couple stand where their piece begins; at the far end they belong to no piece', () => {
    const all = loaded([
      { type: 'point', member: 'a', at: 0.25, fy: -5, mz: 7 },
      { type: 'point', member: 'a', at: 0.25, fx: 2 },
      { type: 'point', member: 'a', at: 1, fy: -9 },
    ]);
    expect(piece(all, 1).jump).toEqual([2, -5, 0, 0, 0, 7]);
    expect([...piece(all, 0).jump, ...piece(all, 1).q]).toEqual(new Array(12).fill(0));
  });

  test('curvatures are imposed only where the bow of the member is known', () => {
    const warm = { type: 'thermal', member: 'a', uniform: 10, gradientY: 20 } as const;
    const imposed = ({ found: [one] }: ReturnType<typeof loaded>): number[] => [...one!.values.subarray(0, IMPOSED_WIDTH)];
    expect(imposed(loaded([warm, warm]))[0]).toBeCloseTo(2 * 1.2e-5 * 10, 12);
    expect(imposed(loaded([warm]))[1]).toBeCloseTo(-1.2e-5 * 20, 12);
    const truss = { behaviour: 'truss' } as const;
    const bar = loaded([warm], {
      members: [
        ['a', '1', '2', truss],
        ['b', '2', '3', truss],
      ],
      extra: { sections: [{ id: 's', A: 0.01 }] },
    });
    expect(imposed(bar)).toEqual([1.2e-5 * 10, 0, 0]);
  });

  test('members that a case leaves alone have no entry, and cases that nobody asks for none at all', () => {
    const { s, cut, found } = loaded(
      [
        { type: 'line', member: 'a', from: { wy: -1 }, to: { wy: -1 } },
        { type: 'line', case: 'P', member: 'b', from: { wy: -2 }, to: { wy: -2 } },
      ],
      {
        extra: {
          cases: [
            { id: 'Q', category: 'imposed' },
            { id: 'P', category: 'wind' },
          ],
        },
      },
    );
    expect(found.map((slots) => [slotOf(slots, 0), slotOf(slots, 1)])).toEqual([
      [0, -1],
      [-1, 0],
    ]);
    expect(pieceLoads(s, [cut, cut], [false, true]).map(({ values }) => values.length)).toEqual([
      0,
      IMPOSED_WIDTH + PIECE_LOAD_WIDTH,
    ]);
  });
});
