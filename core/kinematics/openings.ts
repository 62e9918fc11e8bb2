import { maxNorm } from '../linear-algebra/max-norm';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, MEMBER_FREEDOMS, type Structure } from '../stiffness/structure';
import { endDisplacements } from '../stiffness/transformation';
import { isAtRest, ownEnds } from './own-ends';

/** A released freedom (0…5) of a member's end (0 start, 1 end) that gives way in a motion. */
export interface Opening {
  readonly member: number;
  readonly end: 0 | 1;
  readonly freedom: number;
}

/** Less than this part of the largest amount is rounding. */
const SMALL = 1e-6;

/** What gives way of some members in a motion (6n, nodes' axes): where the node moves and the member's own end does not follow. */
export function openingsIn(
  s: Structure,
  matrices: MemberMatrices,
  motion: Float64Array,
  members: Iterable<number> = s.names.members.keys(),
): Opening[] {
  const largest = maxNorm(motion);
  const atNodes = new Float64Array(MEMBER_FREEDOMS);
  const found: Opening[] = [];
  for (const m of members) {
    if (!matrices.condensed[m] || (isAtRest(motion, s.memberNodes[2 * m]!) && isAtRest(motion, s.memberNodes[2 * m + 1]!)))
      continue;
    endDisplacements(s, m, matrices.transforms[m], motion, atNodes);
    const own = ownEnds(s, matrices, m, motion);
    for (let r = 0; r < MEMBER_FREEDOMS; r++)
      if (s.releases[MEMBER_FREEDOMS * m + r] === 0 && Math.abs(atNodes[r]! - own[r]!) > SMALL * largest)
        found.push({ member: m, end: r < FREEDOMS ? 0 : 1, freedom: r % FREEDOMS });
  }
  return found;
}

const MOST = 3;

/** `the hinges of member a at node 2 and of member b at node 3 give way`; hinges where all are, else free ends. */
export function openingWords(s: Structure, openings: readonly Opening[]): string {
  const word = openings.every(({ freedom }) => freedom > 3) ? 'hinge' : 'free end';
  const places = openings.map(
    ({ member, end }) => `of member ${s.names.members[member]} at node ${s.names.nodes[s.memberNodes[2 * member + end]!]}`,
  );
  const all = [...new Set(places)];
  if (all.length === 1) return `the ${word} ${all[0]} gives way`;
  const shown = all.length > MOST ? [...all.slice(0, MOST), `${all.length - MOST} more`] : all;
  return `the ${word}s ${shown.slice(0, -1).join(', ')} and ${shown.at(-1)} give way`;
}
