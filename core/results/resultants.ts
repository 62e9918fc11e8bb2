import { loadSlots, type FormerSlots, type LoadSlots, type SlotWriter } from '../stiffness/load-slots';
import type { Slot } from '../stiffness/slot';
import { LINE_WIDTH, POINT_WIDTH, type Structure } from '../stiffness/structure';
import type { Resultant } from './results';

/** Numbers of a resultant: force and couple about the origin, global. */
const WIDTH = 6;

/** Adds force and couple (6 numbers) that act at a point to a resultant. */
function addResultant([x, y, z]: readonly [number, number, number], { values: f, at: o }: Slot, { values: to, at }: Slot): void {
  const fx = f[o]!;
  const fy = f[o + 1]!;
  const fz = f[o + 2]!;
  to[at]! += fx;
  to[at + 1]! += fy;
  to[at + 2]! += fz;
  to[at + 3]! += f[o + 3]! + y * fz - z * fy;
  to[at + 4]! += f[o + 4]! + z * fx - x * fz;
  to[at + 5]! += f[o + 5]! + x * fy - y * fx;
}

const resultantOf = (sum: Float64Array): Resultant => [sum[0]!, sum[1]!, sum[2]!, sum[3]!, sum[4]!, sum[5]!];

/** The resultant of all that is applied to a member in a case: 6 numbers for each loaded member. */
export type AppliedLoads = LoadSlots;

/**
 * The loads on members of those cases that are wanted, straight from the load tables and not from the solution. Forces of a linear
 * load act at the centroid of its trapezium. `former`: those of a structure that lies as this one does but for the rewritten members.
 */
export function appliedLoads(s: Structure, wanted: readonly boolean[], former?: FormerSlots): AppliedLoads[] {
  const load = new Float64Array(WIDTH);
  const q = s.lineLoads.values;
  const writer: SlotWriter = {
    width: () => WIDTH,
    lineLoads: (m, i, to) => {
      const o = LINE_WIDTH * i;
      const h = q[o + 1]! - q[o]!;
      for (let k = 0; k < 3; k++) load[k] = ((q[o + 2 + 2 * k]! + q[o + 3 + 2 * k]!) / 2) * h;
      // The moment of the trapezium about its own middle, kept apart: a load that changes sign may have no resultant.
      load[3] = 0;
      load[4] = (-(q[o + 7]! - q[o + 6]!) * h * h) / 12;
      load[5] = ((q[o + 5]! - q[o + 4]!) * h * h) / 12;
      addLocal(s, m, (q[o]! + q[o + 1]!) / 2, { values: load, at: 0 }, to);
    },
    pointLoads: (m, i, to) => {
      const { values } = s.pointLoads;
      const o = POINT_WIDTH * i;
      addLocal(s, m, values[o]!, { values, at: o + 1 }, to);
    },
    // What only strains a member puts no load on the structure.
    strains: () => undefined,
  };
  return loadSlots(s, writer, wanted, former);
}

/** All that is applied in case c, on members and on nodes. */
export function appliedResultant(s: Structure, c: number, onMembers: AppliedLoads): Resultant {
  const sum = new Float64Array(WIDTH);
  const whole = { values: sum, at: 0 };
  const X = s.coordinates;
  const { first, nodes, values: forces } = s.nodeLoads;
  for (let row = first[c]!; row < first[c + 1]!; row++) {
    const i = 3 * nodes[row]!;
    addResultant([X[i]!, X[i + 1]!, X[i + 2]!], { values: forces, at: WIDTH * row }, whole);
  }
  const { values } = onMembers;
  // Sums that stay in registers make this several times as quick.
  let [fx, fy, fz, mx, my, mz] = [sum[0]!, sum[1]!, sum[2]!, sum[3]!, sum[4]!, sum[5]!];
  for (let o = 0; o < values.length; o += WIDTH) {
    fx += values[o]!;
    fy += values[o + 1]!;
    fz += values[o + 2]!;
    mx += values[o + 3]!;
    my += values[o + 4]!;
    mz += values[o + 5]!;
  }
  return [fx, fy, fz, mx, my, mz];
}

const global = new Float64Array(WIDTH);

/** Adds force and couple in the axes of member m (6 numbers), x from its start, to a resultant. */
function addLocal(s: Structure, m: number, x: number, { values: load, at: from }: Slot, to: Slot): void {
  const R = s.axes;
  const r = 9 * m;
  for (let j = 0; j < 3; j++) {
    global[j] = R[r + j]! * load[from]! + R[r + 3 + j]! * load[from + 1]! + R[r + 6 + j]! * load[from + 2]!;
    global[3 + j] = R[r + j]! * load[from + 3]! + R[r + 3 + j]! * load[from + 4]! + R[r + 6 + j]! * load[from + 5]!;
  }
  const X = s.coordinates;
  const node = 3 * s.memberNodes[2 * m]!;
  const arm = 6 * m;
  addResultant(
    [
      X[node]! + s.endOffsets[arm]! + x * R[r]!,
      X[node + 1]! + s.endOffsets[arm + 1]! + x * R[r + 1]!,
      X[node + 2]! + s.endOffsets[arm + 2]! + x * R[r + 2]!,
    ],
    { values: global, at: 0 },
    to,
  );
}

/** All reactions (6n, global) as one resultant about the origin; `supported`: nodes with a support (n). */
export const reactionResultant = (s: Structure, supported: Uint8Array, reactions: Float64Array): Resultant =>
  resultantOfNodes(s, reactions, supported);

/** Forces on nodes (6n, global) as one resultant about the origin; of those nodes that count (n), or of all. */
export function resultantOfNodes(s: Structure, forces: Float64Array, counting?: Uint8Array): Resultant {
  const sum = new Float64Array(WIDTH);
  const whole = { values: sum, at: 0 };
  const X = s.coordinates;
  for (let i = 0; 3 * i < X.length; i++)
    if (!counting || counting[i])
      addResultant([X[3 * i]!, X[3 * i + 1]!, X[3 * i + 2]!], { values: forces, at: WIDTH * i }, whole);
  return resultantOf(sum);
}
