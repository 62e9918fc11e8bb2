import { expect, test } from '@jest/globals';
import { Random } from '../test/random';
import { complementary, settledInRoom } from './complementarity';

/** Bᵀ·B of a matrix with fewer rows than columns, and q = Bᵀ·b + a: some of its sets can not be let go. */
function problem(random: Random, n: number, rank: number) {
  const B = Array.from({ length: rank }, () => Array.from({ length: n }, () => random.next() - 0.5));
  const M = Float64Array.from({ length: n * n }, (_, k) =>
    B.reduce((sum, row) => sum + row[Math.floor(k / n)]! * row[k % n]!, 0),
  );
  const b = B.map(() => 4 * (random.next() - 0.5));
  const q = Float64Array.from(
    { length: n },
    (_, i) => B.reduce((sum, row, k) => sum + row[i]! * b[k]!, 0) + (random.below(2) ? random.next() : 0),
  );
  return { M, q };
}

test('what is found fits, of singular problems as well, or there is nothing that does', () => {
  const random = new Random(11);
  const ends = { found: 0, stuck: 0 };
  for (let i = 0; i < 600; i++) {
    const n = 2 + random.below(8);
    const { M, q } = problem(random, n, 1 + random.below(n));
    const found = complementary(q, M, 1, new Float64Array(n).fill(1));
    if ('stuck' in found) {
      ends.stuck++;
      expect(found.stuck.length).toBeGreaterThan(0);
      continue;
    }
    ends.found++;
    const w = q.map((one, k) => found.z.reduce((sum, part, j) => sum + M[k * n + j]! * part, one));
    for (let k = 0; k < n; k++) {
      expect(found.z[k]!).toBeGreaterThanOrEqual(0);
      expect(w[k]!).toBeGreaterThan(-1e-8);
      expect(Math.abs(found.z[k]! * w[k]!)).toBeLessThan(1e-7);
    }
  }
  expect(ends.found).toBeGreaterThan(400);
});

test('what has no solution is told by those that cannot be let go', () => {
  expect(complementary(Float64Array.of(-1), Float64Array.of(0), 1, Float64Array.of(1))).toEqual({ stuck: [0] });
  // Two that do the same: either can be let go, not both.
  expect(complementary(Float64Array.of(-1, 2), Float64Array.of(1, -1, -1, 1), 1, Float64Array.of(2, 2))).toMatchObject({
    free: [0],
  });
  expect(complementary(Float64Array.of(-1, -1), Float64Array.of(1, -1, -1, 1), 1, Float64Array.of(2, 2))).toHaveProperty('stuck');
});

test('what holds without a force, and could move without it, is where it was before; where that does not agree with the rest it is left open', () => {
  const problem = (q: readonly number[], M: readonly number[]) => ({
    ...{ q: Float64Array.from(q), M: Float64Array.from(M), size: 1, stiff: new Float64Array(q.length).fill(1) },
  });
  const settled = (of: ReturnType<typeof problem>, room: readonly number[], other: (i: number) => number[] = () => []) => {
    const found = complementary(of.q, of.M, of.size, of.stiff);
    if ('stuck' in found) throw new Error('It is stuck');
    return settledInRoom(of, found, room, other);
  };
  // A joint that nothing drives: both of its ways are off by their gap.
  const joint = problem([-1, -1], [1, 1, 1, 1]);
  expect(settled(joint, [0.5, 0.5], (i) => [1 - i])).toEqual({ z: Float64Array.of(0.5, 0.5), free: [0, 1] });
  expect(settled(joint, [0, 0.3])).toBe('open');
  // What bears something stays.
  expect(settled(problem([-1, 1], [1, 0, 0, 1]), [0, 0.3])).toMatchObject({ free: [0] });
});
