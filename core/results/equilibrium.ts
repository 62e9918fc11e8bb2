import { isZero } from '../linear-algebra/is-zero';
import { LINE_WIDTH, memberCount, nodeCount, POINT_WIDTH, type Structure } from '../stiffness/structure';
import type { Equilibrium, Resultant } from './results';

/** A resultant about the origin that grows as forces and couples are added to it. */
class Sum {
  readonly parts: [number, number, number, number, number, number] = [0, 0, 0, 0, 0, 0];

  add(x: number, y: number, z: number, f: ArrayLike<number>, o: number): void {
    const fx = f[o]!;
    const fy = f[o + 1]!;
    const fz = f[o + 2]!;
    this.parts[0] += fx;
    this.parts[1] += fy;
    this.parts[2] += fz;
    this.parts[3] += f[o + 3]! + y * fz - z * fy;
    this.parts[4] += f[o + 4]! + z * fx - x * fz;
    this.parts[5] += f[o + 5]! + x * fy - y * fx;
  }
}

/**
 * All loads of those cases that are wanted, added straight from the load tables and not from the solution: forces and couples about
 * the origin, global. Forces of a linear load act at the centroid of its trapezium.
 */
export function appliedResultants(s: Structure, wanted: readonly boolean[]): Resultant[] {
  const n = nodeCount(s);
  const X = s.coordinates;
  const sums = wanted.map((isWanted, c) => {
    const sum = new Sum();
    if (isWanted && !isZero(s.nodeLoads))
      for (let i = 0; i < n; i++) sum.add(X[3 * i]!, X[3 * i + 1]!, X[3 * i + 2]!, s.nodeLoads, 6 * (c * n + i));
    return sum;
  });
  const { lineLoads, pointLoads } = s;
  const load = new Float64Array(6);
  const q = lineLoads.values;
  const members = memberCount(s);
  for (let m = 0; m < members; m++) {
    for (let i = lineLoads.first[m]!; i < lineLoads.first[m + 1]!; i++) {
      if (!wanted[lineLoads.cases[i]!]) continue;
      const o = LINE_WIDTH * i;
      const h = q[o + 1]! - q[o]!;
      for (let k = 0; k < 3; k++) load[k] = ((q[o + 2 + 2 * k]! + q[o + 3 + 2 * k]!) / 2) * h;
      // The moment of the trapezium about its own middle, kept apart: a load that changes sign may have no resultant.
      load[3] = 0;
      load[4] = (-(q[o + 7]! - q[o + 6]!) * h * h) / 12;
      load[5] = ((q[o + 5]! - q[o + 4]!) * h * h) / 12;
      addLocal(s, m, (q[o]! + q[o + 1]!) / 2, load, 0, sums[lineLoads.cases[i]!]!);
    }
    for (let i = pointLoads.first[m]!; i < pointLoads.first[m + 1]!; i++) {
      if (!wanted[pointLoads.cases[i]!]) continue;
      const o = POINT_WIDTH * i;
      addLocal(s, m, pointLoads.values[o]!, pointLoads.values, o + 1, sums[pointLoads.cases[i]!]!);
    }
  }
  return sums.map(({ parts }) => parts);
}

const global = new Float64Array(6);

/** Adds force and couple in the axes of member m (6 numbers at `at`), x from its start, to a sum. */
function addLocal(s: Structure, m: number, x: number, load: Float64Array, at: number, sum: Sum): void {
  const R = s.axes;
  const r = 9 * m;
  for (let j = 0; j < 3; j++) {
    global[j] = R[r + j]! * load[at]! + R[r + 3 + j]! * load[at + 1]! + R[r + 6 + j]! * load[at + 2]!;
    global[3 + j] = R[r + j]! * load[at + 3]! + R[r + 3 + j]! * load[at + 4]! + R[r + 6 + j]! * load[at + 5]!;
  }
  const X = s.coordinates;
  const node = 3 * s.memberNodes[2 * m]!;
  const arm = 6 * m;
  sum.add(
    X[node]! + s.arms[arm]! + x * R[r]!,
    X[node + 1]! + s.arms[arm + 1]! + x * R[r + 1]!,
    X[node + 2]! + s.arms[arm + 2]! + x * R[r + 2]!,
    global,
    0,
  );
}

/** All reactions (6n, global) as one resultant about the origin; `supported`: nodes with a support (n). */
export function reactionResultant(s: Structure, supported: Uint8Array, reactions: Float64Array): Resultant {
  const sum = new Sum();
  const X = s.coordinates;
  for (let i = 0; i < supported.length; i++) if (supported[i]) sum.add(X[3 * i]!, X[3 * i + 1]!, X[3 * i + 2]!, reactions, 6 * i);
  return sum.parts;
}

/** The largest size among the six parts of a resultant. */
const greatest = (parts: readonly number[]): number => Math.max(...parts.map(Math.abs));

/** The largest size in a list of numbers. */
export const largest = (parts: Float64Array): number => {
  let size = 0;
  for (let i = 0; i < parts.length; i++) {
    const absolute = Math.abs(parts[i]!);
    if (absolute > size) size = absolute;
  }
  return size;
};

/**
 * The balance of a case or sum. Where nothing is applied (temperature, lack of fit, settlements), `instead` is what the residual is
 * measured by: the largest reaction or fixed-end force.
 */
export function balance(
  applied: Resultant,
  reactions: Resultant,
  instead: number,
): Pick<Equilibrium, 'applied' | 'reactions' | 'residual'> {
  const sums = applied.map((part, i) => part + reactions[i]!);
  const size = greatest(applied) || instead;
  return { applied, reactions, residual: size === 0 ? 0 : greatest(sums) / size };
}
