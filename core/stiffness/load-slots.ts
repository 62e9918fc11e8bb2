import { caseCount, LOAD_TABLES, memberCount, type Structure } from './structure';

/** What is known of the loaded members in one case. */
export interface LoadSlots {
  /** m: where the numbers of a member begin in `values`; -1 where the case leaves the member alone. */
  readonly at: Int32Array;
  readonly values: Float64Array;
}

/** Adds row i of a table, which lies on member m, to the member's numbers at `at`. */
type AddRow = (m: number, i: number, values: Float64Array, at: number) => void;

/** What the rows of each table add to. */
export interface SlotWriter {
  /** Numbers of member m. */
  readonly width: (m: number) => number;
  readonly lineLoads: AddRow;
  readonly pointLoads: AddRow;
  readonly strains: AddRow;
}

/** Slots of a structure whose rows lie on the same members in the same cases, and the members whose numbers may differ by now. */
export interface FormerSlots {
  /** By case. */
  readonly slots: readonly LoadSlots[];
  readonly rewritten: readonly number[];
  /** Whether they may be written over. */
  readonly recycle: boolean;
}

/**
 * The numbers of every loaded member in every case that is wanted; the others come out empty. What `former` has of other members
 * than the rewritten ones is taken over; a case that leaves those alone keeps its slots.
 */
export function loadSlots(s: Structure, writer: SlotWriter, wanted: readonly boolean[], former?: FormerSlots): LoadSlots[] {
  const slots = former ? takenOver(writer, wanted, former) : emptySlots(s, writer, wanted);
  const own = former && slots.map((one, c) => one !== former.slots[c]);
  const addRows = (m: number): void => {
    for (const name of LOAD_TABLES) {
      const { first, cases } = s[name];
      for (let i = first[m]!; i < first[m + 1]!; i++) {
        const c = cases[i]!;
        if (own ? own[c] : wanted[c]) writer[name](m, i, slots[c]!.values, slots[c]!.at[m]!);
      }
    }
  };
  if (former) former.rewritten.forEach(addRows);
  else for (let m = 0; m < memberCount(s); m++) addRows(m);
  return slots;
}

/** Room for every member that a case loads. */
function emptySlots(s: Structure, { width }: SlotWriter, wanted: readonly boolean[]): LoadSlots[] {
  const members = memberCount(s);
  const used = new Int32Array(caseCount(s));
  const at = wanted.map((isWanted) => new Int32Array(isWanted ? members : 0).fill(-1));
  for (const name of LOAD_TABLES) {
    const { first, cases } = s[name];
    for (let m = 0; m < members; m++)
      for (let i = first[m]!; i < first[m + 1]!; i++) {
        const c = cases[i]!;
        if (!wanted[c] || at[c]![m] !== -1) continue;
        at[c]![m] = used[c]!;
        used[c]! += width(m);
      }
  }
  return at.map((places, c) => ({ at: places, values: new Float64Array(used[c]!) }));
}

/** The former slots, with zeros for the members that are to be written anew. */
const takenOver = ({ width }: SlotWriter, wanted: readonly boolean[], { slots, rewritten, recycle }: FormerSlots): LoadSlots[] =>
  slots.map((one, c) => {
    const loaded = wanted[c] ? rewritten.filter((m) => one.at[m]! >= 0) : [];
    if (loaded.length === 0) return one;
    const values = recycle ? one.values : one.values.slice();
    for (const m of loaded) values.fill(0, one.at[m]!, one.at[m]! + width(m));
    return { at: one.at, values };
  });
