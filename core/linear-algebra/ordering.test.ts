import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { analyse } from './analysis';
import { graphOfPairs, type Graph } from './graph';
import { minimumDegree } from './minimum-degree';
import { fillOf, nestedDissection, ranks } from './nested-dissection';
import { grid } from '../test/systems';

describe('graphs', () => {
  test('list each neighbour once, both ways, in order, and only where both join', () => {
    const g = graphOfPairs(5, Int32Array.of(3, 0, 0, 3, 1, 1, 2, 0, 4, 3), (v) => v !== 4);
    const lists = Array.from({ length: 5 }, (_, v) => [...g.neighbours.subarray(g.pointers[v], g.pointers[v + 1])]);
    expect(lists).toEqual([[2, 3], [], [0], [0], []]);
  });
});

describe('minimum degree', () => {
  const gridGraph = (side: number): Graph => {
    const pairs: number[] = [];
    for (let i = 0; i < side; i++)
      for (let j = 0; j < side; j++) {
        if (i + 1 < side) pairs.push(i * side + j, (i + 1) * side + j);
        if (j + 1 < side) pairs.push(i * side + j, i * side + j + 1);
      }
    return graphOfPairs(side * side, Int32Array.from(pairs));
  };
  /** Entries of L when the vertices are eliminated in this order, by playing it through. */
  const fill = (graph: Graph, order: Int32Array): number => {
    const sets = Array.from(
      { length: graph.size },
      (_, v) => new Set(graph.neighbours.subarray(graph.pointers[v], graph.pointers[v + 1])),
    );
    let sum = 0;
    for (const v of order) {
      const around = [...sets[v]!];
      sum += around.length;
      for (const a of around) {
        sets[a]!.delete(v);
        for (const b of around) if (a !== b) sets[a]!.add(b);
      }
    }
    return sum;
  };

  test('is a permutation of any graph', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.array(fc.nat(39), { maxLength: 120 }), (size, ends) => {
        const pairs = Int32Array.from(ends.slice(0, 2 * Math.floor(ends.length / 2)), (v) => v % size);
        const order = minimumDegree(graphOfPairs(size, pairs));
        expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: size }, (_, i) => i));
      }),
    );
  });

  test('eliminates a star from its tips: no fill', () => {
    const star = graphOfPairs(10, Int32Array.from(Array.from({ length: 9 }, (_, i) => [0, i + 1]).flat()));
    expect(fill(star, minimumDegree(star))).toBe(9);
  });

  test('keeps the factor of a grid far sparser than the natural order does', () => {
    const graph = gridGraph(24);
    const natural = Int32Array.from({ length: 24 * 24 }, (_, i) => i);
    expect(fill(graph, minimumDegree(graph))).toBeLessThan(0.5 * fill(graph, natural));
  });

  test('the factor that is planned holds the fill of the order, and little more', () => {
    const { analysis } = grid(20, 6);
    expect(analysis.size).toBe(2400);
    const least = 36 * fill(gridGraph(20), minimumDegree(gridGraph(20)));
    expect(analysis.factorLength).toBeGreaterThan(least);
    expect(analysis.factorLength).toBeLessThan(2 * least);
  });
});

describe('nested dissection', () => {
  /** A block of n × n × n points, each joined to its neighbours along the axes, at uneven distances. */
  const cube = (n: number): { graph: Graph; places: Float64Array; weights: Int32Array } => {
    const at = (i: number, j: number, k: number): number => (i * n + j) * n + k;
    const pairs: number[] = [];
    const places = new Float64Array(3 * n ** 3);
    for (let i = 0; i < n; i++)
      for (let j = 0; j < n; j++)
        for (let k = 0; k < n; k++) {
          places.set([i * i, 4 * j, k + (k % 3) / 2], 3 * at(i, j, k));
          if (i + 1 < n) pairs.push(at(i, j, k), at(i + 1, j, k));
          if (j + 1 < n) pairs.push(at(i, j, k), at(i, j + 1, k));
          if (k + 1 < n) pairs.push(at(i, j, k), at(i, j, k + 1));
        }
    return { graph: graphOfPairs(n ** 3, Int32Array.from(pairs)), places, weights: new Int32Array(n ** 3).fill(6) };
  };

  test('is a permutation, and needs far less work than minimum degree on a block of points', () => {
    const { graph, places, weights } = cube(11);
    expect([...nestedDissection(graph, weights, places)].sort((a, b) => a - b)).toEqual(
      Array.from({ length: graph.size }, (_, i) => i),
    );
    const [plain, dissected] = [analyse(graph, weights), analyse(graph, weights, places)];
    expect(plain.work).toBeGreaterThan(1e9);
    expect(dissected.work).toBeLessThan(0.85 * plain.work);
  });

  test('what fills a volume is told from sheets and towers, and ordered by dissection', () => {
    const fillOfBlock = (x: number, y: number, z: number): number =>
      fillOf(
        ranks(
          Float64Array.from(
            Array.from({ length: x * y * z }, (_, v) => [v % x, Math.floor(v / x) % y, Math.floor(v / (x * y))]).flat(),
          ),
        ),
      );
    expect(fillOfBlock(9, 9, 9)).toBeCloseTo(1, 12);
    expect(fillOfBlock(40, 40, 1)).toBeLessThan(0.2);
    expect(fillOfBlock(4, 4, 90)).toBeLessThan(0.1);
    expect(fillOf(new Float64Array(0))).toBe(0);
    // Points in no rows at all: nothing is presumed of them.
    expect(fillOf(ranks(Float64Array.from({ length: 900 }, (_, i) => Math.sin(i) * 1e3)))).toBeLessThan(0.2);
  });

  test('of points that all lie in one place is harmless', () => {
    const { graph, weights, places } = cube(6);
    expect(
      new Set(
        nestedDissection(
          graph,
          weights,
          places.map(() => 0),
        ),
      ).size,
    ).toBe(graph.size);
  });
});
