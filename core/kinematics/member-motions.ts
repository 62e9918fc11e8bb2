import { maxNorm } from '../linear-algebra/max-norm';
import { looseEnds } from '../stiffness/condensation';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, memberCount, nodeCount, type Structure } from '../stiffness/structure';
import { toOwnAxes } from '../stiffness/transformation';
import type { Motion } from './mechanism';
import { ownEnds } from './own-ends';

/** Numbers a member: X, Y, Z of its start and of its end. */
export const ENDS_WIDTH = 6;

/** Below this part of the largest movement nothing moves. */
const SMALL = 1e-7;

/**
 * How the own ends of every member move in a motion, global, the largest movement being 1 (6m): what opens at hinges and sliding ends
 * shows. Undefined of a motion that moves no end, but only turns something.
 */
export function memberMotions(s: Structure, matrices: MemberMatrices, { amounts, pattern }: Motion): Float64Array | undefined {
  const ends = new Float64Array(ENDS_WIDTH * memberCount(s));
  const isAlone = pattern.kind === 'loose-member';
  const own = new Float64Array(FREEDOMS * nodeCount(s));
  own.set(amounts, pattern.kind === 'spin' || pattern.kind === 'loose-node' ? FREEDOMS * pattern.node : 0);
  if (!isAlone) toOwnAxes(s, own);
  for (let m = 0; m < memberCount(s); m++) {
    if (isAlone && m !== pattern.member) continue;
    const d = isAlone ? looseEnds(matrices.condensed[m]!, pattern.freedom) : ownEnds(s, matrices, m, own);
    for (let end = 0; end < 2; end++)
      for (let k = 0; k < 3; k++)
        for (let i = 0; i < 3; i++) ends[ENDS_WIDTH * m + 3 * end + i]! += s.axes[9 * m + 3 * k + i]! * d[FREEDOMS * end + k]!;
  }
  const largest = maxNorm(ends);
  return largest > SMALL * Math.max(maxNorm(amounts), Number(isAlone)) ? ends.map((x) => x / largest) : undefined;
}
