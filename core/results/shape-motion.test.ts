import { expect, test } from '@jest/globals';
import { listed } from '../combinations/listed';
import { solve } from '../analysis/session';
import { clamp, pin, roller, sketch } from '../test/build';
import { shapeMotion } from './shape-motion';

const L = 6;
const heavy = { materials: [{ id: 'm', E: 200e9, G: 80e9, density: 7850 }] };

test('a mast moves most at its head, across; a beam of one member between nodes that rest', () => {
  const moves = (nodes: readonly (readonly [string, number, number])[], supports: Parameters<typeof sketch>[0]['supports']) => {
    const model = { ...sketch({ nodes, members: [['m', '1', '2']], supports }), ...heavy };
    const { solution } = solve({ ...model, analysis: { naturalModes: { modes: 1 } } });
    return shapeMotion(solution!, solution!.responses.at(-1)!);
  };
  expect(moves([['1', 0, 0], ['2', 0, L]], [clamp('1')])).toEqual({ at: 'node', node: 1, axis: 'x' }); // oxfmt-ignore
  expect(moves([['1', 0, 0], ['2', L, 0]], [pin('1'), roller('2')])).toEqual({ at: 'members', members: [0] }); // oxfmt-ignore
});

test('critical loads and natural modes are listed behind what acts, each by themselves', () => {
  const model = {
    ...sketch({ nodes: [['1', 0, 0], ['2', 0, L]], members: [['m', '1', '2']], supports: [clamp('1')], loads: [{ type: 'node', node: '2', fy: -1e3 }] }), // oxfmt-ignore
    ...heavy,
    analysis: { naturalModes: { modes: 2 }, buckling: { of: ['Q'], modes: 1 } },
  };
  const { solution } = solve(model);
  expect(listed(model, undefined, solution!.outcomes).map(({ id, kind }) => [id, kind])).toEqual([
    ['Q', 'case'],
    ['Buckling 1 of Q', 'critical load'],
    ['Mode 1', 'natural mode'],
    ['Mode 2', 'natural mode'],
  ]);
});
