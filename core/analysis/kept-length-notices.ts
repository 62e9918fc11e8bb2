import { maxNorm } from '../linear-algebra/max-norm';
import type { Notice } from '../model/notice';
import { showNumber } from '../quantities/show';
import type { StructuralResponse } from '../results/results';
import { isBare } from '../stiffness/nodal-table';
import { KEEPS_LENGTH_UNKNOWN_AREA, MEMBER_FREEDOMS } from '../stiffness/structure';
import type { System } from './factorise';
import { followable, sharingMembers } from './kept-lengths';
import { keptLengths as WORDS } from './words';

/** What is imposed in a case and lengths that are kept cannot both be: by how much a member would become longer, metres. */
export interface Contradiction {
  readonly c: number;
  readonly member: number;
  readonly amount: number;
}

/** Beside what is imposed so much is more than rounding. */
const MORE_THAN_ROUNDING = 1e-7;

/** Lengthenings that are asked for (by case that is due), and those among them that are imposed. */
interface Asked {
  readonly asked: readonly Float64Array[];
  readonly imposed: readonly Float64Array[];
}

/** Where members hold each other, or supports hold them, against what is asked of their lengths. */
export function contradictionsOf(system: System, due: readonly number[], { asked, imposed }: Asked): readonly Contradiction[] {
  const { settlements } = system.structure;
  // Loads alone ask for nothing that members cannot follow.
  const doubtful = due.flatMap((c, i) => (isBare(settlements, c) && maxNorm(imposed[i]!) === 0 ? [] : [i]));
  if (doubtful.length === 0 || sharingMembers(system).length === 0) return [];
  const followed = followable(system, doubtful.map((i) => asked[i]!)); // oxfmt-ignore
  return doubtful.flatMap((i, k) => {
    const size = Math.max(maxNorm(asked[i]!), maxNorm(imposed[i]!));
    const resisted = asked[i]!.map((one, m) => one - followed[k]![m]!);
    const member = resisted.reduce((most, one, m) => (Math.abs(one) > Math.abs(resisted[most]!) ? m : most), 0);
    return Math.abs(resisted[member]!) > MORE_THAN_ROUNDING * size ? [{ c: due[i]!, member, amount: resisted[member]! }] : [];
  });
}

export const contradictionNotices = ({ structure }: System, contradictions: readonly Contradiction[]): readonly Notice[] =>
  contradictions.map(({ c, member, amount }) => {
    const [id, name] = [structure.names.cases[c]!, structure.names.members[member]!];
    return {
      code: 'kept-length',
      severity: 'error',
      message: WORDS.contradiction(id, name, showNumber(1000 * Math.abs(amount), 3), amount > 0 ? 'longer' : 'shorter'),
      subjects: [`case ${id}`, `member ${name}`],
    };
  });

/** The same where the section of a member was to be opened lengthwise. */
export const openingNotices = ({ structure }: System, contradictions: readonly Contradiction[]): readonly Notice[] =>
  contradictions.map(({ member }) => {
    const name = structure.names.members[member]!;
    return { code: 'kept-length', severity: 'error', message: WORDS.opening(name), subjects: [`member ${name}`] };
  });

/** Of the largest force of a case less than this along a member is none. */
const NO_FORCE = 1e-9;
const MOST_NAMED = 20;

/** What is to be said of members that hold each other lengthwise and bear something along them: they share it by their areas. */
export function sharingNotices(system: System, responses: readonly StructuralResponse[]): readonly Notice[] {
  const { names, keepsLength } = system.structure;
  const bears = (m: number): boolean =>
    responses.some(({ ends, equilibrium }) =>
      [0, 6].some((e) => Math.abs(ends[MEMBER_FREEDOMS * m + e]!) > NO_FORCE * equilibrium.size),
    );
  const sharing = sharingMembers(system);
  const loaded = sharing.filter(bears);
  if (loaded.length === 0) return [];
  const isUnknown = sharing.some((m) => keepsLength[m] === KEEPS_LENGTH_UNKNOWN_AREA);
  const ids = loaded.map((m) => names.members[m]!);
  const listed = `${ids.slice(0, MOST_NAMED).join(', ')}${ids.length > MOST_NAMED ? ', …' : ''}`;
  return [
    {
      code: 'kept-length',
      severity: isUnknown ? 'error' : 'warning',
      message: isUnknown ? WORDS.unknownShares(listed) : WORDS.shares(listed),
      subjects: ids.slice(0, MOST_NAMED).map((id) => `member ${id}`),
    },
  ];
}
