import { sameNumbers } from '../linear-algebra/same-numbers';
import { nodalLoads } from '../stiffness/assemble';
import { memberLoads } from '../stiffness/equivalent-loads';
import type { FormerSlots } from '../stiffness/load-slots';
import { nodeCount } from '../stiffness/structure';
import type { Pieces } from '../results/breakpoints';
import { pieceLoads } from '../results/piece-loads';
import { appliedLoads } from '../results/resultants';
import type { CaseLoads } from '../results/case-loads';
import type { System } from './factorise';
import type { Changes } from './prepare';
import type { SolvedCase, SolvedCases } from './solved-cases';

/**
 * The loads of every case: `kept` where they are known already, the others from the tables, but for what did not change in them.
 * What is taken over of the cases solved last is written over.
 */
export function caseLoads(
  system: System,
  cuts: readonly Pieces[],
  kept: readonly (SolvedCase | undefined)[],
  since?: Since,
): CaseLoads[] {
  const { structure, matrices } = system;
  const recycle = true;
  const isDue = kept.map((one) => !one);
  const former = since && formerLoads(system, cuts, since);
  const always = kept.map(() => true);
  const before = (key: 'onMembers' | 'along' | 'applied', fits: readonly boolean[]): FormerSlots | undefined =>
    former && { slots: former.cases.map(({ loads }) => loads[key]), rewritten: former.rewritten, fits, recycle };
  const ends = memberLoads(structure, matrices.bends, isDue, before('onMembers', always));
  const along = pieceLoads(structure, cuts, isDue, before('along', former?.samePieces ?? []));
  const applied = appliedLoads(structure, isDue, before('applied', always));
  const onNodes = (c: number): Float64Array => {
    const old = former?.cases[c]?.loads;
    if (old?.onMembers === ends[c]) return old!.onNodes;
    return nodalLoads(structure, matrices, c, ends[c]!, old && { loads: old.onNodes, touched: former!.touched, recycle });
  };
  return kept.map((one, c) => one?.loads ?? { onMembers: ends[c]!, onNodes: onNodes(c), along: along[c]!, applied: applied[c]! });
}

/** The cases solved last, and what has changed since. */
export interface Since {
  readonly solved: SolvedCases;
  readonly changes: Changes;
}

/** What may be taken over of the loads of former cases. */
interface FormerLoads {
  readonly cases: readonly SolvedCase[];
  /** Members on which anything may differ: their loads, or how they lie and are joined. */
  readonly rewritten: readonly number[];
  /** n: 1 for the nodes at their ends, now or formerly. */
  readonly touched: Uint8Array;
  /** By case: whether each member has as many pieces as before. */
  readonly samePieces: readonly boolean[];
}

/** Looks for it where the loads that are not on the rewritten members are as they were. */
function formerLoads(
  { structure: s }: System,
  cuts: readonly Pieces[],
  { solved: former, changes }: Since,
): FormerLoads | undefined {
  const { changed, reloaded } = changes;
  if (!changed || !reloaded) return undefined;
  const rewritten = [...new Set([...changed, ...reloaded])];
  const touched = new Uint8Array(nodeCount(s));
  for (const m of rewritten)
    for (const { memberNodes } of [former.structure, s]) touched[memberNodes[2 * m]!] = touched[memberNodes[2 * m + 1]!] = 1;
  const samePieces = cuts.map((cut, c) => sameNumbers(former.pieces[c]!.first, cut.first));
  return { cases: former.cases, rewritten, touched, samePieces };
}
