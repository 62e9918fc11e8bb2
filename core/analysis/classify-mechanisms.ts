import { bodyMechanisms } from '../kinematics/body-mechanisms';
import { LOST, memberMechanisms, NO_MEMBER, nodeMechanisms } from '../kinematics/local-mechanisms';
import { Drivers, type Found } from '../kinematics/mechanism';
import type { Notice } from '../model/notice';
import type { MemberLoads } from '../stiffness/equivalent-loads';
import type { Mechanism } from '../kinematics/mechanism';
import type { System } from './factorise';

/** Every independent motion of a system that nothing resists, judged under its loads (6n each, nodes' axes). */
export function classifyMechanisms(system: System, loads: readonly Float64Array[], onMembers: readonly MemberLoads[]): Found[] {
  const { structure, matrices, members, loose, numbering, basis } = system;
  const drivers = new Drivers(structure.names.cases, loads);
  const scene = { structure, matrices, members, drivers };
  return [
    ...memberMechanisms(structure, matrices, onMembers),
    ...nodeMechanisms(scene, loose),
    ...bodyMechanisms(
      { ...scene, free: numbering.free, artificialRestraints: loose.artificialRestraints },
      basis,
      countMotions(system) === basis.length ? 'all' : 'some',
    ),
  ];
}

/** Whether a case drives a motion that only looks free: it is no mechanism, but no number would be right. */
export const isLost = ({ mechanism }: Found): boolean => !mechanism.harmless && mechanism.cause === LOST;

/** Above this many motions of several nodes a trial only counts them: telling them apart would take longer than it is worth. */
const FEW = 20;

/** How many motions of several nodes nothing resists, described or not. */
export const countMotions = ({ factor, lost }: System): number => factor.weak.length - lost.length;

/** How many motions are harmful; of many motions of several nodes, and of those that rounding sets free, every one is counted as such. */
export function countHarmful(system: System, loads: readonly Float64Array[], onMembers: readonly MemberLoads[]): number {
  const many = system.basis.length > FEW;
  const classified = classifyMechanisms(many ? { ...system, basis: [] } : system, loads, onMembers);
  return (
    classified.filter(({ mechanism }) => !mechanism.harmless).length + (many ? countMotions(system) : 0) + system.lost.length
  );
}

const MANY = 20;

const isAlone = ({ mechanism }: Found): boolean => mechanism.harmless && mechanism.cause === NO_MEMBER;

/** What is said of the mechanisms: harmful ones one by one; harmless ones too, but those alike on many nodes in one note. */
export function mechanismNotices(found: readonly Found[]): Notice[] {
  const isSpin = ({ mechanism, motion }: Found): boolean => mechanism.harmless && motion.pattern.kind === 'spin';
  const spins = found.filter(isSpin);
  // A node without members is told of already.
  const others = found.filter((one) => !isSpin(one) && !isAlone(one)).map(({ mechanism }) => noticeOf(mechanism));
  const joined = spins.filter((one) => !isAlone(one));
  const nodes = [...new Set(joined.flatMap(({ mechanism }) => mechanism.freedoms.map(({ node }) => node)))];
  if (nodes.length === 0) return others;
  if (nodes.length === 1) return [...others, noticeOf(joined[0]!.mechanism)];
  return [
    ...others,
    {
      code: 'mechanism',
      severity: 'note',
      message: `${nodes.length} nodes can spin, since every member that meets there is hinged: ${nodes.slice(0, MANY).join(', ')}${nodes.length > MANY ? ' …' : ''}. No load drives them, so they are held still.`,
      subjects: nodes.slice(0, MANY).map((node) => `node ${node}`),
    },
  ];
}

function noticeOf({ harmless, description, freedoms, members }: Mechanism): Notice {
  const turns = freedoms.every(({ freedom }) => freedom.startsWith('r'));
  const nodes = [...new Set(freedoms.map(({ node }) => node))].slice(0, MANY);
  return {
    code: 'mechanism',
    severity: harmless ? (turns ? 'note' : 'warning') : 'error',
    message: description,
    subjects: nodes.length > 0 ? nodes.map((node) => `node ${node}`) : members.map((member) => `member ${member}`),
  };
}
