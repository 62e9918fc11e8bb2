import type { Factor } from '../linear-algebra/factor';
import { sameNumbers } from '../linear-algebra/same-numbers';
import { sameNodal } from '../stiffness/nodal-table';
import { caseCount, LOAD_TABLES, memberCount, type MemberLoadTable, type Structure } from '../stiffness/structure';
import { samePieces, type Pieces } from '../results/breakpoints';
import type { CaseLoads } from '../results/case-loads';
import type { StructuralResponse } from '../results/results';

/** The cases of one solution, kept so that the next one solves only those whose loads have changed. */
export interface SolvedCases {
  readonly structure: Structure;
  readonly factor: Factor;
  /** By case. */
  readonly pieces: readonly Pieces[];
  readonly cases: readonly SolvedCase[];
}

/** One solved case with what it was solved from. */
export interface SolvedCase {
  readonly loads: CaseLoads;
  readonly outcome: StructuralResponse;
}

/**
 * By case: what is kept of it, where neither the stiffness, nor the loads of the case, nor the pieces have changed since; the
 * others are undefined.
 */
export function unchangedCases(
  former: SolvedCases | undefined,
  structure: Structure,
  factor: Factor,
  pieces: readonly Pieces[],
): (SolvedCase | undefined)[] {
  const count = caseCount(structure);
  const none = new Array<undefined>(count).fill(undefined);
  if (!former || former.factor !== factor || caseCount(former.structure) !== count) return none;
  const old = former.structure;
  if (!sameNumbers(old.lengths, structure.lengths)) return none;
  const changed = new Uint8Array(count);
  for (const key of LOAD_TABLES) markChanged(old[key], structure[key], memberCount(structure), changed);
  return former.cases.map((kept, c) => {
    const same =
      !changed[c] &&
      samePieces(former.pieces[c]!, pieces[c]!) &&
      sameNodal(old.nodeLoads, structure.nodeLoads, c) &&
      sameNodal(old.settlements, structure.settlements, c);
    return same ? kept : undefined;
  });
}

/** Marks the cases whose rows differ: on each member the rows of one case are compared in their order. */
function markChanged(a: MemberLoadTable, b: MemberLoadTable, members: number, changed: Uint8Array): void {
  if (a === b) return;
  if (a.cases === b.cases) {
    // The same rows with other values: an edit that changed the size of a load.
    markRows(a.values, b.values, a.width, a.cases, changed);
    return;
  }
  for (let m = 0; m < members; m++) {
    for (let i = a.first[m]!; i < a.first[m + 1]!; i++)
      if (!changed[a.cases[i]!] && !sameRow(a, i, b, counterpart(a, i, b, m))) changed[a.cases[i]!] = 1;
    for (let j = b.first[m]!; j < b.first[m + 1]!; j++)
      if (!changed[b.cases[j]!] && counterpart(b, j, a, m) < 0) changed[b.cases[j]!] = 1;
  }
}

function markRows(a: Float64Array, b: Float64Array, width: number, cases: Int32Array, changed: Uint8Array): void {
  for (let k = 0; k < a.length; k++) if (a[k] !== b[k]) changed[cases[Math.floor(k / width)]!] = 1;
}

/** The row of `other` on the same member that is as many rows into the same case as row i of `table`; -1 where there is none. */
function counterpart(table: MemberLoadTable, i: number, other: MemberLoadTable, m: number): number {
  const loadCase = table.cases[i]!;
  let before = 0;
  for (let k = table.first[m]!; k < i; k++) if (table.cases[k] === loadCase) before++;
  for (let k = other.first[m]!; k < other.first[m + 1]!; k++) if (other.cases[k] === loadCase && before-- === 0) return k;
  return -1;
}

function sameRow(a: MemberLoadTable, i: number, b: MemberLoadTable, j: number): boolean {
  if (j < 0) return false;
  for (let k = 0; k < a.width; k++) if (a.values[i * a.width + k] !== b.values[j * b.width + k]) return false;
  return true;
}
