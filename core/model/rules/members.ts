import type { Entity } from '../findings';
import { springAt } from '../member-ends';
import { endFreedoms, memberEnds, translations, type Member } from '../model';
import { byId, checkReference, listOf, memberLength, type RuleContext } from './context';

/** Members run between two different nodes, apart, with a section and a material. */
export function checkMembers({ model, findings, nodes }: RuleContext): void {
  const sections = byId(model, 'sections');
  const materials = byId(model, 'materials');
  listOf(model, 'members').forEach((member, i) => {
    const path = `members[${i}]`;
    checkReference(findings, nodes, member.start, `${path}.start`, 'node');
    checkReference(findings, nodes, member.end, `${path}.end`, 'node');
    checkReference(findings, sections, member.section, `${path}.section`, 'section');
    checkReference(findings, materials, member.material, `${path}.material`, 'material');
    if (member.start === member.end && nodes.has(member.start)) {
      findings.fault({
        code: 'one-node',
        path: `${path}.end`,
        value: member.end,
        what: `Member “${String(member.id)}” ends at the node where it begins`,
        expected: 'two different nodes',
        remedy: 'End it at another node, or remove the member',
        subjects: [`member ${String(member.id)}`],
      });
      return;
    }
    checkGaps(findings, member, path);
    const length = memberLength(member, nodes);
    if (length !== undefined && !(length > 1e-9)) {
      findings.fault({
        code: 'zero-length',
        path,
        value: [member.start, member.end],
        what: `Member “${String(member.id)}” has no length`,
        expected: 'two ends apart',
        remedy: 'Move one of its nodes, or remove the member',
        subjects: [`member ${String(member.id)}`],
      });
    }
  });
}

/** A gap is one of a spring. */
function checkGaps(findings: RuleContext['findings'], member: Entity, path: string): void {
  for (const end of memberEnds)
    for (const freedom of endFreedoms) {
      const gap = (member.gaps as Member['gaps'])?.[end]?.[freedom];
      if (gap === undefined || springAt(member as unknown as Member, end, freedom) !== undefined) continue;
      findings.fault({
        code: 'gap',
        path: `${path}.gaps.${end}.${freedom}`,
        value: gap,
        what: `Member “${String(member.id)}” has a gap in ${freedom} at its ${end}, and no spring there`,
        expected: 'a gap before a spring',
        remedy: 'Give the stiffness with which the joint holds when the gap has closed, or remove the gap',
        subjects: [`member ${String(member.id)}`],
      });
    }
}

/** Supports stand on nodes, and are turned in one way. */
export function checkSupports({ model, findings, nodes }: RuleContext): void {
  listOf(model, 'supports').forEach((support, i) => {
    checkReference(findings, nodes, support.node, `supports[${i}].node`, 'node');
    for (const along of translations) {
      const [way, gap] = [(support.oneWay as Entity | undefined)?.[along], (support.gaps as Entity | undefined)?.[along]];
      const said = { path: `supports[${i}]`, subjects: [`node ${String(support.node)}`] };
      const restraint = support[along];
      if (way !== undefined && !(restraint === 'fixed' || Number(restraint) > 0))
        findings.fault({
          ...said,
          code: 'one-way',
          path: `${said.path}.oneWay.${along}`,
          value: way,
          what: `The support at node “${String(support.node)}” is to push one way along ${along}, and does not hold there`,
          expected: `“${along}” held or sprung`,
          remedy: `Let it hold along ${along}, or remove “oneWay”`,
        });
      if (gap !== undefined && way === undefined)
        findings.fault({
          ...said,
          code: 'one-way',
          path: `${said.path}.gaps.${along}`,
          value: gap,
          what: `The support at node “${String(support.node)}” has a gap along ${along}, and holds both ways`,
          expected: 'a gap of a support that pushes one way',
          remedy: 'Say which way it pushes, or remove the gap',
        });
    }
    if (support.angle !== undefined && support.axes !== undefined) {
      findings.fault({
        code: 'two-axes',
        path: `supports[${i}].axes`,
        value: support.axes,
        what: 'A support is turned either by an angle or by axes, not by both',
        expected: 'one of the two',
        remedy: 'Remove “angle” or “axes”',
        subjects: [`node ${String(support.node)}`],
      });
    }
  });
}
