import { LOADS_ON_PIECES } from '../limits';
import { expandLoads } from '../model/loads/expand';
import type { MemberLoad } from '../model/loads/primitive';
import type { Model } from '../model/model';
import { fault, type Notice } from '../model/notice';

/** Refuses loads that cut a member into so many pieces, each with so many loads on it, that they could not be added up in time. */
export function loadAmountFaults(model: Model): Notice[] {
  const { loads } = expandLoads(model);
  // Even if all of them lay on one member in one case.
  if (2 * loads.length ** 2 <= LOADS_ON_PIECES) return [];
  const onMember = new Map<string, number>();
  for (const load of loads) {
    if (!('member' in load)) continue;
    const key = `${load.case}\n${load.member}`;
    onMember.set(key, (onMember.get(key) ?? 0) + cutsOf(load));
  }
  let [count, worst, most] = [0, '', 0];
  for (const [key, cuts] of onMember) {
    count += cuts * cuts;
    if (cuts > most) [worst, most] = [key.slice(key.indexOf('\n') + 1), cuts];
  }
  if (count <= LOADS_ON_PIECES) return [];
  return [
    fault({
      code: 'too-much',
      path: 'loads',
      value: count,
      what: `The loads cut members into too many pieces (member ${worst} into ${most.toLocaleString('en')}): at most ${LOADS_ON_PIECES.toLocaleString('en')} loads on pieces fit`,
      expected: `at most ${LOADS_ON_PIECES.toLocaleString('en')}`,
      remedy: 'Divide them among load cases, or leave out what is not needed',
      subjects: [`member ${worst}`],
    }),
  ];
}

const cutsOf = (load: MemberLoad): number => (load.type === 'point' ? 1 : load.type === 'line' ? 2 : 0);
