import { COORDINATE, ENTRIES, PROPORTION } from '../../limits';
import { listOf, memberLength, type RuleContext } from './context';

const AXES = ['x', 'y', 'z'] as const;

/** Structures lie within stated bounds, and their shortest member is not lost beside their size. */
export function checkExtent({ model, findings, nodes }: RuleContext): void {
  for (const list of ['nodes', 'members', 'loads'] as const) {
    const count = listOf(model, list).length;
    if (count > ENTRIES)
      findings.fault({
        code: 'too-many',
        path: list,
        value: count,
        what: `The model has more ${list} than the ${ENTRIES.toLocaleString('en')} that it may have`,
        expected: `at most ${ENTRIES.toLocaleString('en')}`,
        remedy: 'Split the structure into models of its own',
      });
  }
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  listOf(model, 'nodes').forEach((node, i) =>
    AXES.forEach((axis, k) => {
      const value = node[axis] ?? 0;
      if (typeof value !== 'number') return;
      if (Math.abs(value) > COORDINATE)
        findings.fault({
          code: 'too-far',
          path: `nodes[${i}].${axis}`,
          value,
          what: `Node “${String(node.id)}” lies more than ${COORDINATE / 1e3} km from the origin`,
          expected: `within ${COORDINATE / 1e3} km in each direction`,
          remedy: 'Move the structure to the origin, and look at the unit of its coordinates',
          subjects: [`node ${String(node.id)}`],
        });
      low[k] = Math.min(low[k]!, value);
      high[k] = Math.max(high[k]!, value);
    }),
  );
  const extent = Math.hypot(...high.map((most, k) => most - low[k]!));
  // One member is told, and not thousands of them.
  let shortest: { id: unknown; length: number; i: number } | undefined;
  listOf(model, 'members').forEach((member, i) => {
    const length = memberLength(member, nodes);
    if (length !== undefined && length > 1e-9 && length < (shortest?.length ?? Infinity)) shortest = { id: member.id, length, i };
  });
  if (!shortest || !(extent > PROPORTION * shortest.length)) return;
  findings.fault({
    code: 'out-of-proportion',
    path: `members[${shortest.i}]`,
    value: `${shortest.length} m`,
    what: `Member “${String(shortest.id)}” is too short beside the structure, which extends over ${Number(extent.toPrecision(4))} m: at least ${Number((extent / PROPORTION).toPrecision(3))} m are needed`,
    expected: `at least ${Number((extent / PROPORTION).toPrecision(3))} m`,
    remedy: 'Look for a node that lies far off, or lengthen the member',
    subjects: [`member ${String(shortest.id)}`],
  });
}
