import type { MemberLoadTable } from './structure';

/** Where the rows of a table come from. */
export interface Origin {
  /** By load, as they are expanded: its row, -1 for loads that are not in the table. */
  readonly rows: Int32Array;
  /** By row: its load, -1 for self weight and what is no load of the model. */
  readonly loads: Int32Array;
}

/** By table; a table of the same rows with other values shares it. */
export const originOf = new WeakMap<MemberLoadTable, Origin>();

/** A member load table from rows that are added in any order. */
export class MemberRows {
  private readonly members: number[] = [];
  /** The place of each row's load among the expanded ones; -1 for what is no load of the model. */
  private readonly loads: number[] = [];
  private readonly cases: number[] = [];
  private readonly values: number[] = [];
  constructor(private readonly width: number) {}

  add(member: number, loadCase: number, values: readonly number[], load = -1): void {
    this.members.push(member);
    this.loads.push(load);
    this.cases.push(loadCase);
    for (const value of values) this.values.push(value);
  }

  /** Sorted by member, in the order of entry within a member; `loads`: how many are expanded. */
  table(members: number, loads = 0): MemberLoadTable {
    const origin = { rows: new Int32Array(loads).fill(-1), loads: new Int32Array(this.members.length) };
    const first = new Int32Array(members + 1);
    for (const member of this.members) first[member + 1]!++;
    for (let m = 0; m < members; m++) first[m + 1]! += first[m]!;
    const next = first.slice();
    const cases = new Int32Array(this.members.length);
    const values = new Float64Array(this.values.length);
    this.members.forEach((member, row) => {
      const at = next[member]!++;
      const load = this.loads[row]!;
      origin.loads[at] = load;
      if (load >= 0) origin.rows[load] = at;
      cases[at] = this.cases[row]!;
      for (let k = 0; k < this.width; k++) values[at * this.width + k] = this.values[row * this.width + k]!;
    });
    const table = { first, cases, values, width: this.width };
    originOf.set(table, origin);
    return table;
  }
}
