import { eachLoad } from '../stiffness/equivalent-loads';
import { lineLoadAt, memberCount, nodeCount, pointLoadAt, type Structure } from '../stiffness/structure';
import type { Equilibrium, Resultant } from './results';

/**
 * All loads of case c, added straight from the load tables and not from the solution: fx, fy, and mz about the origin, global.
 * Forces of a linear load act at the centroid of its trapezium.
 */
export function appliedResultant(s: Structure, c: number): Resultant {
  const sum: [number, number, number] = [0, 0, 0];
  const add = (x: number, y: number, fx: number, fy: number, mz: number): void => {
    sum[0] += fx;
    sum[1] += fy;
    sum[2] += mz + x * fy - y * fx;
  };
  const n = nodeCount(s);
  for (let i = 0; i < n; i++) {
    const o = 3 * (c * n + i);
    add(s.coordinates[2 * i]!, s.coordinates[2 * i + 1]!, s.nodeLoads[o]!, s.nodeLoads[o + 1]!, s.nodeLoads[o + 2]!);
  }
  for (let m = 0; m < memberCount(s); m++) {
    const node = s.memberNodes[2 * m]!;
    const [x0, y0] = [s.coordinates[2 * node]! + s.arms[4 * m]!, s.coordinates[2 * node + 1]! + s.arms[4 * m + 1]!];
    const [cosine, sine, sense] = [s.directions[3 * m]!, s.directions[3 * m + 1]!, s.directions[3 * m + 2]!];
    const addLocal = (x: number, fx: number, fy: number, mz: number): void =>
      add(x0 + cosine * x, y0 + sine * x, cosine * fx - sense * sine * fy, sine * fx + sense * cosine * fy, sense * mz);
    const addTrapezium = (a: number, b: number, qa: number, qb: number, force: (total: number) => [number, number]): void => {
      const total = ((qa + qb) / 2) * (b - a);
      // The moment of the trapezium about its own middle, kept apart: a load that changes sign may have no resultant.
      const couple = ((qb - qa) * (b - a) ** 2) / 12;
      const [fx, fy] = force(total);
      addLocal((a + b) / 2, fx, fy, force(1)[1] * couple);
    };
    eachLoad(s.lineLoads, m, c, (o) => {
      const [a, b, xa, xb, ya, yb] = lineLoadAt(s, o);
      addTrapezium(a, b, xa, xb, (total) => [total, 0]);
      addTrapezium(a, b, ya, yb, (total) => [0, total]);
    });
    eachLoad(s.pointLoads, m, c, (o) => {
      const [x, fx, fy, mz] = pointLoadAt(s, o);
      addLocal(x, fx, fy, mz);
    });
  }
  return sum;
}

/** All reactions (3n, global) as one resultant about the origin. */
export function reactionResultant(s: Structure, reactions: Float64Array): Resultant {
  const sum: [number, number, number] = [0, 0, 0];
  for (let i = 0; i < nodeCount(s); i++) {
    const [fx, fy, mz] = [reactions[3 * i]!, reactions[3 * i + 1]!, reactions[3 * i + 2]!];
    sum[0] += fx;
    sum[1] += fy;
    sum[2] += mz + s.coordinates[2 * i]! * fy - s.coordinates[2 * i + 1]! * fx;
  }
  return sum;
}

const largest = (parts: Iterable<number>): number => {
  let size = 0;
  for (const part of parts) size = Math.max(size, Math.abs(part));
  return size;
};

/** `reference` takes the place of the applied loads where nothing is applied: the reactions and the end forces. */
export function equilibriumOf(applied: Resultant, reactions: Resultant, reference: readonly Float64Array[]): Equilibrium {
  const sums = applied.map((part, i) => part + reactions[i]!);
  const size = largest(applied) || Math.max(...reference.map(largest));
  return { applied, reactions, residual: size === 0 ? 0 : largest(sums) / size };
}
