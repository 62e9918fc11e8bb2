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

/** Supports stand on nodes, and are turned in one way. */
export function checkSupports({ model, findings, nodes }: RuleContext): void {
  listOf(model, 'supports').forEach((support, i) => {
    checkReference(findings, nodes, support.node, `supports[${i}].node`, 'node');
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
