import { FREEDOMS, MEMBER_FREEDOMS } from '../../stiffness/structure';
import type { System } from '../factorise';
import type { Masses } from './masses';

const N = MEMBER_FREEDOMS;

/** Numbers by rows, what is zero left out: row i has those from `firsts[i]` to before `firsts[i + 1]`, each with its column. A place may stand there several times. */
export interface Rows {
  readonly firsts: Int32Array;
  readonly columns: Int32Array;
  readonly values: Float64Array;
}

/** M of a member by rows, over its own ends (12, local) and its inner columns, which stand in a vector from `at` on. */
export interface PlacedMass {
  readonly mass: Rows;
  readonly at: number;
}

/** M of a structure over the unknowns of its nodes, then what members do between them: `size` in all. */
export function massMatrix(
  { structure: s, matrices, numbering }: System,
  masses: Masses,
  members: Iterable<PlacedMass>,
  size: number,
): Rows {
  const { unknowns } = numbering;
  const entries = new Entries();
  masses.nodes.forEach((mass, node) => {
    if (mass === 0) return;
    for (const u of unknowns.subarray(FREEDOMS * node, FREEDOMS * node + 3)) if (u >= 0) entries.add(u, u, mass);
  });
  /** By freedom of a member what leads it: its ends follow unknowns of the nodes, each by a part; what it does in between stands by itself. */
  const leads: Lead[] = Array.from({ length: N }, () => ({
    count: 0,
    places: new Int32Array(FREEDOMS),
    parts: new Float64Array(FREEDOMS),
  }));
  let m = 0;
  for (const { mass, at } of members) {
    const B = matrices.transforms[m];
    for (let i = 0; i < N; i++) {
      const lead = leads[i]!;
      lead.count = 0;
      const node = FREEDOMS * s.memberNodes[2 * m + (i < FREEDOMS ? 0 : 1)]!;
      for (let j = 0; j < FREEDOMS; j++) {
        const isOfKind = i % FREEDOMS < 3 === j < 3;
        const part = B ? B[FREEDOMS * i + j]! : isOfKind ? s.axes[9 * m + 3 * (i % 3) + (j % 3)]! : 0;
        if (part === 0 || unknowns[node + j]! < 0) continue;
        lead.places[lead.count] = unknowns[node + j]!;
        lead.parts[lead.count++] = part;
      }
    }
    const { firsts, columns, values } = mass;
    const all = firsts.length - 1;
    for (let i = leads.length; i < all; i++) leads.push({ count: 1, places: new Int32Array(1), parts: Float64Array.of(1) });
    for (let i = N; i < all; i++) leads[i]!.places[0] = at + i - N;
    for (let i = 0, e = 0; i < all; i++)
      for (const end = firsts[i + 1]!; e < end; e++) entries.addLed(leads[i]!, leads[columns[e]!]!, values[e]!);
    m++;
  }
  return entries.byRows(size);
}

interface Lead {
  count: number;
  readonly places: Int32Array;
  readonly parts: Float64Array;
}

/** Numbers of a matrix as they come. */
class Entries {
  private count = 0;
  private rows = new Int32Array(4096);
  private columns = new Int32Array(4096);
  private values = new Float64Array(4096);

  add(row: number, column: number, value: number): void {
    if (this.count === this.rows.length) this.grow();
    this.rows[this.count] = row;
    this.columns[this.count] = column;
    this.values[this.count++] = value;
  }

  addLed(one: Lead, other: Lead, value: number): void {
    for (let i = 0; i < one.count; i++)
      for (let j = 0; j < other.count; j++) this.add(one.places[i]!, other.places[j]!, one.parts[i]! * other.parts[j]! * value);
  }

  private grow(): void {
    const [rows, columns, values] = [this.rows, this.columns, this.values];
    this.rows = new Int32Array(2 * rows.length);
    this.columns = new Int32Array(2 * rows.length);
    this.values = new Float64Array(2 * rows.length);
    this.rows.set(rows);
    this.columns.set(columns);
    this.values.set(values);
  }

  byRows(size: number): Rows {
    const firsts = new Int32Array(size + 1);
    for (let e = 0; e < this.count; e++) firsts[this.rows[e]! + 1]!++;
    for (let i = 0; i < size; i++) firsts[i + 1]! += firsts[i]!;
    const next = firsts.slice(0, size);
    const [columns, values] = [new Int32Array(this.count), new Float64Array(this.count)];
    for (let e = 0; e < this.count; e++) {
      const to = next[this.rows[e]!]!++;
      columns[to] = this.columns[e]!;
      values[to] = this.values[e]!;
    }
    return { firsts, columns, values };
  }
}

/** y = M·x */
export function timesRows({ firsts, columns, values }: Rows, x: Float64Array): Float64Array {
  const y = new Float64Array(firsts.length - 1);
  for (let i = 0, e = 0; i < y.length; i++) {
    let sum = 0;
    for (const end = firsts[i + 1]!; e < end; e++) sum += values[e]! * x[columns[e]!]!;
    y[i] = sum;
  }
  return y;
}
