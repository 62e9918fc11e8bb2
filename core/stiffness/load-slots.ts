import type { Slot } from './slot';
import { caseCount, LOAD_TABLES, memberCount, type Structure } from './structure';

/** What is known of the loaded members in one case: as many numbers for each as it needs, and nothing for the others. */
export interface LoadSlots {
  /** The loaded members, ascending. */
  readonly members: Int32Array;
  /** Where the numbers of each begin in `values`. */
  readonly starts: Int32Array;
  readonly values: Float64Array;
}

/** Where the numbers of member m begin; -1 where the case leaves the member alone. */
export function slotOf({ members, starts }: LoadSlots, m: number): number {
  let [low, high] = [0, members.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (members[middle]! < m) low = middle + 1;
    else high = middle;
  }
  return members[low] === m ? starts[low]! : -1;
}

/** The same for all members: written to `to` from `at` on. */
export function writeSlots({ members, starts }: LoadSlots, count: number, to: Int32Array, at: number): void {
  to.fill(-1, at, at + count);
  for (let i = 0; i < members.length; i++) to[at + members[i]!] = starts[i]!;
}

/** Adds row i of a table, which lies on member m in case c, to the member's numbers. */
type AddRow = (m: number, i: number, to: Slot, c: number) => void;

/** What the rows of each table add to. */
export interface SlotWriter {
  /** Numbers of member m in case c. */
  readonly width: (m: number, c: number) => number;
  readonly lineLoads: AddRow;
  readonly pointLoads: AddRow;
  readonly strains: AddRow;
}

/** Slots of a structure whose rows lie on the same members in the same cases, and the members whose numbers may differ by now. */
export interface FormerSlots {
  /** By case. */
  readonly slots: readonly LoadSlots[];
  readonly rewritten: readonly number[];
  /** By case: whether they may be taken over at all. */
  readonly fits: readonly boolean[];
  /** Whether they may be written over. */
  readonly recycle: boolean;
}

const NONE: LoadSlots = { members: new Int32Array(0), starts: new Int32Array(0), values: new Float64Array(0) };

/**
 * The numbers of every loaded member in every case that is wanted; the others come out empty. What `former` has of other members
 * than the rewritten ones is taken over; a case that leaves those alone keeps its slots.
 */
export function loadSlots(s: Structure, writer: SlotWriter, wanted: readonly boolean[], former?: FormerSlots): LoadSlots[] {
  const isTaken = (c: number): boolean => former?.fits[c] === true;
  const isNew = wanted.map((due, c) => due && !isTaken(c));
  const empty = isNew.includes(true) ? emptySlots(s, writer, isNew) : wanted.map(() => NONE);
  const slots = wanted.map((due, c) => {
    if (!isTaken(c)) return empty[c]!;
    return due ? takenOver(writer, c, former!) : former!.slots[c]!;
  });
  const place = placesIn(slots, memberCount(s), former ? former.rewritten.length : memberCount(s));
  const addRows = (m: number, isDue: readonly boolean[]): void => {
    for (const name of LOAD_TABLES) {
      const { first, cases } = s[name];
      for (let i = first[m]!; i < first[m + 1]!; i++) {
        const c = cases[i]!;
        if (isDue[c]) writer[name](m, i, { values: slots[c]!.values, at: place(c, m) }, c);
      }
    }
  };
  if (isNew.includes(true)) for (let m = 0; m < memberCount(s); m++) addRows(m, isNew);
  if (former) {
    const rewritten = slots.map((one, c) => isTaken(c) && wanted[c]! && one !== former.slots[c]);
    for (const m of former.rewritten) addRows(m, rewritten);
  }
  return slots;
}

/** From so many members on whose places are asked for, all places of a case are laid out once. */
const MANY = 32;

/** Where the numbers of a member begin in a case: sought for a few members, looked up for many. */
function placesIn(slots: readonly LoadSlots[], members: number, asked: number): (c: number, m: number) => number {
  if (asked < MANY) return (c, m) => slotOf(slots[c]!, m);
  const laid: (Int32Array | undefined)[] = [];
  return (c, m) => {
    let places = laid[c];
    if (!places) writeSlots(slots[c]!, members, (places = laid[c] = new Int32Array(members)), 0);
    return places[m]!;
  };
}

/** Room for every member that a case loads. */
function emptySlots(s: Structure, { width }: SlotWriter, wanted: readonly boolean[]): LoadSlots[] {
  const cases = caseCount(s);
  const members: number[][] = Array.from({ length: cases }, () => []);
  const last = new Int32Array(cases).fill(-1);
  for (let m = 0; m < memberCount(s); m++)
    for (const name of LOAD_TABLES) {
      const table = s[name];
      for (let i = table.first[m]!; i < table.first[m + 1]!; i++) {
        const c = table.cases[i]!;
        if (!wanted[c] || last[c] === m) continue;
        last[c] = m;
        members[c]!.push(m);
      }
    }
  return members.map((loaded, c) => {
    const starts = new Int32Array(loaded.length);
    let used = 0;
    loaded.forEach((m, i) => {
      starts[i] = used;
      used += width(m, c);
    });
    return { members: Int32Array.from(loaded), starts, values: new Float64Array(used) };
  });
}

/** The former slots, with zeros for the members that are to be written anew. */
function takenOver({ width }: SlotWriter, c: number, { slots, rewritten, recycle }: FormerSlots): LoadSlots {
  const one = slots[c]!;
  let values: Float64Array | undefined;
  for (const m of rewritten) {
    const at = slotOf(one, m);
    if (at < 0) continue;
    values ??= recycle ? one.values : one.values.slice();
    values.fill(0, at, at + width(m, c));
  }
  return values ? { ...one, values } : one;
}
