import { fromTriplets, type SparseSymmetric } from '../../linear-algebra/sparse-symmetric';
import { FREEDOMS, MEMBER_FREEDOMS } from '../../stiffness/structure';
import type { System } from '../factorise';
import type { Masses } from './masses';

const N = MEMBER_FREEDOMS;

/**
 * M of a member by rows, over its own ends (12, local) and its inner columns: row i has the numbers from `firsts[i]` to before `firsts[i + 1]`, each with its column.
 * What is zero, which is most of it, is left out.
 */
export interface MemberMass {
  readonly firsts: Int32Array;
  readonly columns: Int32Array;
  readonly values: Float64Array;
}

/** M of a member, whose inner columns stand in a vector from `at` on. */
interface PlacedMass {
  readonly mass: MemberMass;
  readonly at: number;
}

/** M of a structure over the unknowns of its nodes, then what members do between them: `size` in all. */
export function massMatrix(
  { structure: s, matrices, numbering }: System,
  masses: Masses,
  members: readonly PlacedMass[],
  size: number,
): SparseSymmetric {
  const { unknowns } = numbering;
  const entries = new Entries();
  masses.nodes.forEach((mass, node) => {
    if (mass === 0) return;
    for (const u of unknowns.subarray(FREEDOMS * node, FREEDOMS * node + 3)) if (u >= 0) entries.add(u, u, mass);
  });
  /** By freedom of a member what leads it: its ends follow unknowns of the nodes, each by a part; what it does in between stands by itself. */
  const leads = Array.from({ length: N }, () => leadOf(FREEDOMS));
  members.forEach(({ mass: { firsts, columns, values }, at }, m) => {
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
    const all = firsts.length - 1;
    for (let i = leads.length; i < all; i++) leads.push(leadOf(1));
    for (let i = N; i < all; i++) leads[i]!.places[0] = at + i - N;
    for (let i = 0, e = 0; i < all; i++)
      for (const end = firsts[i + 1]!; e < end; e++) entries.addLed(leads[i]!, leads[columns[e]!]!, values[e]!);
  });
  return entries.matrix(size);
}

interface Lead {
  count: number;
  readonly places: Int32Array;
  readonly parts: Float64Array;
}

const leadOf = (count: number): Lead => ({ count, places: new Int32Array(count), parts: new Float64Array(count).fill(1) });

/** The lower triangle of a symmetric matrix as its parts come. */
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

  /** What stands above the diagonal comes once more from below it. */
  addLed(one: Lead, other: Lead, value: number): void {
    for (let i = 0; i < one.count; i++)
      for (let j = 0; j < other.count; j++)
        if (one.places[i]! >= other.places[j]!)
          this.add(one.places[i]!, other.places[j]!, one.parts[i]! * other.parts[j]! * value);
  }

  private grow(): void {
    const { rows, columns, values } = this;
    const length = 2 * rows.length;
    (this.rows = new Int32Array(length)).set(rows);
    (this.columns = new Int32Array(length)).set(columns);
    (this.values = new Float64Array(length)).set(values);
  }

  matrix(size: number): SparseSymmetric {
    return fromTriplets(size, this.count, this.rows, this.columns, this.values);
  }
}
