import { sameNumbers } from '../linear-algebra/same-numbers';
import { nodalLoads } from '../stiffness/assemble';
import { memberLoads } from '../stiffness/equivalent-loads';
import type { FormerSlots } from '../stiffness/load-slots';
import { LOAD_TABLES, memberCount, nodeCount, type Structure } from '../stiffness/structure';
import type { Pieces } from './breakpoints';
import { pieceLoads } from './piece-loads';
import { appliedLoads } from './resultants';
import type { CaseLoads, SolvedCases } from './solved-cases';
import type { System } from './system';

/** The loads of every case: `kept` where they are known already, the others from the tables, but for what did not change in them. */
export function caseLoads(system: System, cut: Pieces, kept: readonly (CaseLoads | undefined)[]): CaseLoads[] {
  const { structure, matrices, solved, changed } = system;
  const isDue = kept.map((one) => !one);
  const former = formerLoads(solved, structure, changed, cut);
  const before = (key: 'onMembers' | 'along' | 'applied'): FormerSlots | undefined =>
    former && { slots: former.cases.map((one) => one[key]), rewritten: former.rewritten };
  const ends = memberLoads(structure, matrices.bends, isDue, before('onMembers'));
  const along = pieceLoads(structure, cut, isDue, former?.samePieces ? before('along') : undefined);
  const applied = appliedLoads(structure, isDue, before('applied'));
  const onNodes = (c: number): Float64Array => {
    const old = former?.cases[c];
    if (old?.onMembers === ends[c]) return old!.onNodes;
    return nodalLoads(structure, matrices, c, ends[c]!, old && { loads: old.onNodes, touched: former!.touched });
  };
  return kept.map((one, c) => one ?? { onMembers: ends[c]!, onNodes: onNodes(c), along: along[c]!, applied: applied[c]! });
}

/** What may be taken over of the loads of former cases. */
interface FormerLoads {
  readonly cases: readonly CaseLoads[];
  /** Members on which anything may differ: their loads, or how they lie and are joined. */
  readonly rewritten: readonly number[];
  /** n: 1 for the nodes at their ends, now or formerly. */
  readonly touched: Uint8Array;
  readonly samePieces: boolean;
}

/**
 * Looks for it where all loads lie on the same members in the same cases. `changed`: the members that differ in more than their
 * loads, everything else of the stiffness being as it was; undefined where that is not known.
 */
function formerLoads(
  former: SolvedCases | undefined,
  s: Structure,
  changed: readonly number[] | undefined,
  pieces: Pieces,
): FormerLoads | undefined {
  if (!former || !changed) return undefined;
  const old = former.structure;
  if (old.nodeLoads !== s.nodeLoads || old.settlements !== s.settlements) return undefined;
  const isRewritten = new Uint8Array(memberCount(s));
  for (const m of changed) isRewritten[m] = 1;
  for (const name of LOAD_TABLES) {
    const [a, b] = [old[name], s[name]];
    if (a.first !== b.first || a.cases !== b.cases) return undefined;
    if (a.values === b.values) continue;
    for (let m = 0; m < memberCount(s); m++)
      if (!sameNumbers(a.values, b.values, b.width * b.first[m]!, b.width * b.first[m + 1]!)) isRewritten[m] = 1;
  }
  const rewritten: number[] = [];
  const touched = new Uint8Array(nodeCount(s));
  for (let m = 0; m < isRewritten.length; m++) {
    if (!isRewritten[m]) continue;
    rewritten.push(m);
    for (const { memberNodes } of [old, s]) touched[memberNodes[2 * m]!] = touched[memberNodes[2 * m + 1]!] = 1;
  }
  return { cases: former.cases, rewritten, touched, samePieces: sameNumbers(former.pieces.first, pieces.first) };
}
