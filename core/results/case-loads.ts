import { sameNumbers } from '../linear-algebra/same-numbers';
import { nodalLoads } from '../stiffness/assemble';
import { memberLoads } from '../stiffness/equivalent-loads';
import type { FormerSlots } from '../stiffness/load-slots';
import { nodeCount } from '../stiffness/structure';
import type { Pieces } from './breakpoints';
import { pieceLoads } from './piece-loads';
import { appliedLoads } from './resultants';
import type { CaseLoads, SolvedCase } from './solved-cases';
import type { System } from './system';

/**
 * The loads of every case: `kept` where they are known already, the others from the tables, but for what did not change in them.
 * With `recycle` they are written over those of the cases solved last.
 */
export function caseLoads(system: System, cut: Pieces, kept: readonly (SolvedCase | undefined)[], recycle: boolean): CaseLoads[] {
  const { structure, matrices } = system;
  const isDue = kept.map((one) => !one);
  const former = formerLoads(system, cut);
  const before = (key: 'onMembers' | 'along' | 'applied'): FormerSlots | undefined =>
    former && { slots: former.cases.map(({ loads }) => loads[key]), rewritten: former.rewritten, recycle };
  const ends = memberLoads(structure, matrices.bends, isDue, before('onMembers'));
  const along = pieceLoads(structure, cut, isDue, former?.samePieces ? before('along') : undefined);
  const applied = appliedLoads(structure, isDue, before('applied'));
  const onNodes = (c: number): Float64Array => {
    const old = former?.cases[c]?.loads;
    if (old?.onMembers === ends[c]) return old!.onNodes;
    return nodalLoads(structure, matrices, c, ends[c]!, old && { loads: old.onNodes, touched: former!.touched, recycle });
  };
  return kept.map((one, c) => one?.loads ?? { onMembers: ends[c]!, onNodes: onNodes(c), along: along[c]!, applied: applied[c]! });
}

/** What may be taken over of the loads of former cases. */
interface FormerLoads {
  readonly cases: readonly SolvedCase[];
  /** Members on which anything may differ: their loads, or how they lie and are joined. */
  readonly rewritten: readonly number[];
  /** n: 1 for the nodes at their ends, now or formerly. */
  readonly touched: Uint8Array;
  readonly samePieces: boolean;
}

/** Looks for it where the loads that are not on the rewritten members are as they were. */
function formerLoads({ structure: s, solved: former, changed, reloaded }: System, pieces: Pieces): FormerLoads | undefined {
  if (!former || !changed || !reloaded) return undefined;
  const rewritten = [...new Set([...changed, ...reloaded])];
  const touched = new Uint8Array(nodeCount(s));
  for (const m of rewritten)
    for (const { memberNodes } of [former.structure, s]) touched[memberNodes[2 * m]!] = touched[memberNodes[2 * m + 1]!] = 1;
  return { cases: former.cases, rewritten, touched, samePieces: sameNumbers(former.pieces.first, pieces.first) };
}
