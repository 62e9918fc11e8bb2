import { isPinEnded } from '../behaviour';
import { isObject, type Entity, type Findings } from '../findings';
import { freedoms } from '../freedoms';
import { compoundKinds } from '../loads/compound';
import { checkNotional } from '../loads/notional';
import { byId, checkPosition, checkReference, listOf, memberLength, numberOf, type RuleContext } from './context';

/** Loads lie where something is, within it, and on freedoms that can take them. */
export function checkLoads(context: RuleContext): void {
  const { model, findings, nodes, members } = context;
  const cases = byId(model, 'cases');
  const supports = new Map(listOf(model, 'supports').map((support) => [support.node, support]));
  listOf(model, 'loads').forEach((load, i) => {
    const path = `loads[${i}]`;
    checkReference(findings, cases, load.case, `${path}.case`, 'case');
    if ('node' in load) checkReference(findings, nodes, load.node, `${path}.node`, 'node');
    if ('member' in load) checkReference(findings, members, load.member, `${path}.member`, 'member');
    if (load.type === 'settlement') checkSettlement(findings, load, supports.get(load.node), path);
    if (load.type === 'point') checkAt(context, load, path);
    if (load.type === 'line') checkStretch(context, load, path);
    if (load.type === 'notional') checkNotional(context, cases, load, path);
    if (Object.hasOwn(compoundKinds, String(load.type)))
      compoundKinds[load.type as keyof typeof compoundKinds].check(context, load, path);
    const member = members.get(load.member);
    if (load.type === 'point' && member && isPinEnded(member) && numberOf(load.mx) !== 0) {
      findings.fault({
        code: 'torque-on-truss',
        path: `${path}.mx`,
        value: load.mx,
        what: `Member “${String(load.member)}” is a truss member and cannot carry a couple about its own axis`,
        expected: '0',
        remedy: 'Make the member a frame member, or remove the couple',
        subjects: subjectsOf(load, `member ${String(load.member)}`),
      });
    }
  });
}

const subjectsOf = ({ id }: Entity, on: string): string[] => [...(id === undefined ? [] : [`load ${String(id)}`]), on];

function checkSettlement(findings: Findings, load: Entity, support: Entity | undefined, path: string): void {
  for (const freedom of freedoms) {
    if (numberOf(load[freedom]) === 0) continue;
    const restraint = support?.[freedom] ?? 'free';
    if (restraint !== 'free' && restraint !== 0) continue;
    findings.fault({
      code: 'settlement-on-free',
      path: `${path}.${freedom}`,
      value: load[freedom],
      what: `Node “${String(load.node)}” is not held in ${freedom}, so no movement can be imposed there`,
      expected: 'a fixed or sprung freedom',
      remedy: 'Fix that freedom of the support, or remove the settlement',
      subjects: subjectsOf(load, `node ${String(load.node)}`),
    });
  }
}

/** The member of a load, and the furthest position that it may have there: 1 as a ratio, the member's length as a length. */
function whereOf({ members, nodes }: RuleContext, load: Entity) {
  const member = members.get(load.member);
  const furthest = load.measure !== 'length' ? 1 : member && memberLength(member, nodes);
  if (furthest === undefined) return undefined;
  return { load, furthest, what: `member “${String(load.member)}”`, subjects: subjectsOf(load, `member ${String(load.member)}`) };
}

function checkAt(context: RuleContext, load: Entity, path: string): void {
  const where = whereOf(context, load);
  if (where) checkPosition(context.findings, { ...where, at: load.at, path: `${path}.at` });
}

function checkStretch(context: RuleContext, load: Entity, path: string): void {
  const [from, to] = [load.from, load.to];
  const where = whereOf(context, load);
  if (!isObject(from) || !isObject(to) || !where) return;
  checkPosition(context.findings, { ...where, at: from.at, path: `${path}.from.at` });
  checkPosition(context.findings, { ...where, at: to.at, path: `${path}.to.at` });
  if (numberOf(from.at, 0) <= numberOf(to.at, where.furthest)) return;
  context.findings.fault({
    code: 'stretch-backwards',
    path: `${path}.from.at`,
    value: from.at,
    what: 'The load begins behind its own end',
    expected: 'from.at not greater than to.at',
    remedy: 'Swap the two positions',
    subjects: where.subjects,
  });
}
