import { BEND_EI, BEND_FLEXIBILITY, BEND_Q, BEND_WIDTH } from '../stiffness/bending';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { memberCount, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';
import { DIRECT, INFO_WIDTH, TABLE_WIDTH } from './recovery-kernels';

/** What the kernels need of the members, made once for their matrices. */
export interface RecoveryTable {
  readonly numbers: Float64Array;
  readonly info: Int32Array;
  /** Members whose ends the kernels leave out. */
  readonly indirect: readonly number[];
}

const tables = new WeakMap<MemberMatrices, RecoveryTable>();

export function recoveryTable(s: Structure, matrices: MemberMatrices): RecoveryTable {
  const known = tables.get(matrices);
  if (known) return known;
  const members = memberCount(s);
  const numbers = new Float64Array(TABLE_WIDTH * members);
  const info = new Int32Array(INFO_WIDTH * members);
  const indirect: number[] = [];
  for (let m = 0; m < members; m++) {
    writeRow(s, matrices.bends, m, numbers);
    const direct = !matrices.transforms[m] && !matrices.condensed[m];
    if (!direct) indirect.push(m);
    info[INFO_WIDTH * m] = s.memberNodes[2 * m]!;
    info[INFO_WIDTH * m + 1] = s.memberNodes[2 * m + 1]!;
    info[INFO_WIDTH * m + 2] = s.bows[m]! | (direct ? DIRECT : 0);
  }
  const table = { numbers, info, indirect };
  tables.set(matrices, table);
  return table;
}

function writeRow(s: Structure, bends: Float64Array, m: number, out: Float64Array): void {
  const L = s.lengths[m]!;
  const k = STIFFNESS_WIDTH * m;
  const b = BEND_WIDTH * m;
  const t = TABLE_WIDTH * m;
  for (let i = 0; i < 9; i++) out[t + i] = s.axes[9 * m + i]!;
  out[t + 9] = s.stiffnesses[k]! / L;
  out[t + 10] = s.stiffnesses[k + 1]! / L;
  out[t + 11] = 1 / L;
  for (let i = 0; i < 3; i++) {
    const EI = bends[b + BEND_EI + i]!;
    const Q = 3 * bends[b + BEND_Q + i]!;
    out[t + 12 + i] = (EI + Q) / L;
    out[t + 15 + i] = (Q - EI) / L;
    out[t + 18 + i] = bends[b + BEND_FLEXIBILITY + i]!;
  }
  out[t + 21] = 1 / s.stiffnesses[k]!;
  out[t + 22] = 1 / s.stiffnesses[k + 5]!;
  out[t + 23] = 1 / s.stiffnesses[k + 6]!;
}
