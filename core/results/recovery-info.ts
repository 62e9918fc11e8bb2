import type { MemberMatrices } from '../stiffness/member-matrices';
import { memberCount, type Structure } from '../stiffness/structure';
import { DIRECT, INFO_WIDTH } from './recovery-kernels';

/** Writes the integers that the kernels need of every member, but for its pieces; returns the members whose ends they leave out. */
export function writeInfo(s: Structure, { transforms, condensed }: MemberMatrices, info: Int32Array, at: number): number[] {
  const indirect: number[] = [];
  for (let m = 0; m < memberCount(s); m++) {
    const direct = !transforms[m] && !condensed[m];
    if (!direct) indirect.push(m);
    const o = at + INFO_WIDTH * m;
    info[o] = s.memberNodes[2 * m]!;
    info[o + 1] = s.memberNodes[2 * m + 1]!;
    info[o + 2] = s.bows[m]! | (direct ? DIRECT : 0);
  }
  return indirect;
}
