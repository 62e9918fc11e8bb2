import { describe, expect, test } from '@jest/globals';
import { reducedSystem } from '../stiffness/reduced-system';
import { clamp, EI, sketch, solved } from '../test/build';
import { denseMatrixMarket, symmetricMatrixMarket } from './matrix-market';

const L = 4;
const cantilever = sketch({
  nodes: [
    ['1', 0, 0],
    ['2', L, 0],
  ],
  members: [['a', '1', '2']],
  supports: [clamp('1')],
  loads: [{ type: 'node', node: '2', fy: -1e3 }],
});

/** Reads the coordinate form back into a full matrix, as another program would. */
function read(text: string): number[][] {
  const [size, ...entries] = text
    .split('\n')
    .filter((line) => line !== '' && !line.startsWith('%'))
    .map((line) => line.split(' ').map(Number));
  const full = Array.from({ length: size![0]! }, () => new Array<number>(size![1]!).fill(0));
  expect(entries).toHaveLength(size![2]!);
  for (const [i, j, value] of entries as [number, number, number][]) full[i - 1]![j - 1] = full[j - 1]![i - 1] = value;
  return full;
}

describe('the reduced system for others to check', () => {
  test('the stiffness of a cantilever’s tip, with the names of its freedoms', () => {
    const { matrix, freedoms } = reducedSystem(cantilever);
    expect(freedoms).toEqual(['2 ux', '2 uy', '2 rz']);
    const text = symmetricMatrixMarket(matrix, freedoms);
    expect(text).toMatch(/^%%MatrixMarket matrix coordinate real symmetric\n% 2 ux\n/);
    const K = read(text);
    expect(K[1]![1]).toBeCloseTo((12 * EI) / L ** 3, 3);
    expect(K[2]![1]).toBeCloseTo((-6 * EI) / L ** 2, 3);
    expect(K[1]![2]).toBe(K[2]![1]);
  });

  test('K·u is f, with the u that was solved', () => {
    const { matrix, loads, freedoms } = reducedSystem(cantilever);
    const K = read(symmetricMatrixMarket(matrix, freedoms));
    const u = solved(cantilever).displacement('2');
    K.forEach((row, i) => expect(row.reduce((sum, k, j) => sum + k * u[j]!, 0)).toBeCloseTo(loads[0]!.values[i]!, 6));
    expect(denseMatrixMarket([loads[0]!.values], ['Q'])).toBe(
      '%%MatrixMarket matrix array real general\n% Q\n3 1\n0\n-1000\n0\n',
    );
  });
});
