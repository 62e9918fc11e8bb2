import type { SparseSymmetric } from '../linear-algebra/sparse-symmetric';
import { scatterOf } from './assemble';
import { keptEntries } from './kept-entries';
import type { MemberMatrices } from './member-matrices';
import type { Numbering } from './numbering';
import { FREEDOMS, type Structure } from './structure';

/** A former matrix, the members that changed since, and the members at each node. */
interface FewChanges {
  readonly former: SparseSymmetric;
  readonly changed: readonly number[];
  readonly members: readonly (readonly number[])[];
}

/**
 * K of a structure that differs from a former one in nothing but some members, as `assembleStiffness` gives it without artificial restraints. Only
 * the places in which those members share are added up anew, in the same order, so that every sum has the same bits.
 */
export function reassembleStiffness(
  s: Structure,
  { nodal }: MemberMatrices,
  numbering: Numbering,
  { former, changed, members }: FewChanges,
): SparseSymmetric {
  const { width } = keptEntries(s);
  const { first, from, to } = scatterOf(s, numbering);
  const values = former.values.slice();
  const shared = new Set<number>();
  for (const m of changed) for (let e = first[m]!; e < first[m + 1]!; e++) shared.add(to[e]!);
  for (const place of shared) values[place] = 0;
  const nodes = [...new Set(changed.flatMap((m) => [s.memberNodes[2 * m]!, s.memberNodes[2 * m + 1]!]))];
  const near = [...new Set(nodes.flatMap((node) => members[node]!))].sort((a, b) => a - b);
  for (const m of near)
    for (let e = first[m]!; e < first[m + 1]!; e++) if (shared.has(to[e]!)) values[to[e]!]! += nodal[width * m + from[e]!]!;
  for (const node of nodes)
    for (let f = FREEDOMS * node; f < FREEDOMS * (node + 1); f++) {
      const unknown = numbering.unknowns[f]!;
      if (unknown >= 0) values[former.pointers[unknown]!]! += s.restraints[f]!;
    }
  return { ...former, values };
}
