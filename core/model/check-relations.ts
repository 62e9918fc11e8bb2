import { memberEnds } from './model';
import { isObject, type Entity, type Findings } from './read-fields';
import { outOfPlane } from './schema';

interface Context {
  readonly model: Entity;
  readonly findings: Findings;
  readonly nodes: ReadonlyMap<unknown, Entity>;
  readonly members: ReadonlyMap<unknown, Entity>;
}

/** Rules between the entries of a model: duplicates, references, lengths, positions, planes, combinations. */
export function checkRelations(model: Entity, findings: Findings): void {
  const context: Context = { model, findings, nodes: byId(model, 'nodes'), members: byId(model, 'members') };
  checkDuplicates(context);
  checkMembers(context);
  checkSupports(context);
  checkLoads(context);
  checkCombinations(context);
  checkGroups(context);
  if (model.space === 'plane') checkPlane(context);
}

const listOf = (model: Entity, name: string): Entity[] => (Array.isArray(model[name]) ? (model[name] as Entity[]) : []);
const byId = (model: Entity, list: string): Map<unknown, Entity> => new Map(listOf(model, list).map((item) => [item.id, item]));
const number = (value: unknown, otherwise = 0): number => (typeof value === 'number' ? value : otherwise);

function checkDuplicates({ model, findings }: Context): void {
  const lists: [string, string, string][] = [
    ['materials', 'id', 'material'],
    ['sections', 'id', 'section'],
    ['nodes', 'id', 'node'],
    ['members', 'id', 'member'],
    ['supports', 'node', 'support of node'],
    ['groups', 'id', 'group'],
  ];
  for (const [list, key, word] of lists) {
    const seen = new Set<unknown>();
    listOf(model, list).forEach((item, i) => {
      noteDuplicate(findings, seen, item[key], `${list}[${i}].${key}`, word);
    });
  }
  const outcomes = new Set<unknown>();
  for (const list of ['cases', 'combinations']) {
    listOf(model, list).forEach((item, i) =>
      noteDuplicate(findings, outcomes, item.id, `${list}[${i}].id`, 'case or combination'),
    );
  }
}

function noteDuplicate(findings: Findings, seen: Set<unknown>, id: unknown, path: string, word: string): void {
  if (id === undefined) return;
  if (seen.has(id)) {
    findings.fault({
      code: 'duplicate-id',
      path,
      value: id,
      what: `There is already a ${word} “${String(id)}”`,
      expected: 'an id used once',
      remedy: 'Rename or remove one of the two',
      subjects: [`${word} ${String(id)}`],
    });
  }
  seen.add(id);
}

function checkReference(findings: Findings, known: ReadonlyMap<unknown, Entity>, id: unknown, path: string, word: string): void {
  if (id === undefined || known.has(id)) return;
  findings.fault({
    code: 'broken-reference',
    path,
    value: id,
    what: `There is no ${word} “${String(id)}”`,
    expected: `the id of a ${word}`,
    remedy: `Name an existing ${word}, or add “${String(id)}”`,
    subjects: [`${word} ${String(id)}`],
  });
}

function checkMembers({ model, findings, nodes }: Context): void {
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

/** Length between the offset ends in metres; undefined while a node is missing or unreadable. */
function memberLength(member: Entity, nodes: ReadonlyMap<unknown, Entity>): number | undefined {
  const start = nodes.get(member.start);
  const end = nodes.get(member.end);
  if (!start || !end || [start.x, start.y, end.x, end.y].some((value) => typeof value !== 'number')) return undefined;
  const offset = isObject(member.offset) ? member.offset : {};
  const arm = (side: string, axis: number): number =>
    Array.isArray(offset[side]) ? number((offset[side] as unknown[])[axis]) : 0;
  return Math.hypot(
    ...['x', 'y', 'z'].map((axis, i) => number(end[axis]) + arm('end', i) - number(start[axis]) - arm('start', i)),
  );
}

function checkSupports({ model, findings, nodes }: Context): void {
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

function checkLoads(context: Context): void {
  const { model, findings, nodes, members } = context;
  const cases = byId(model, 'cases');
  const supports = new Map(listOf(model, 'supports').map((support) => [support.node, support]));
  listOf(model, 'loads').forEach((load, i) => {
    const path = `loads[${i}]`;
    checkReference(findings, cases, load.case, `${path}.case`, 'case');
    if ('node' in load) checkReference(findings, nodes, load.node, `${path}.node`, 'node');
    if ('member' in load) checkReference(findings, members, load.member, `${path}.member`, 'member');
    if (load.type === 'settlement') checkSettlement(findings, load, supports.get(load.node), path);
    if (load.type === 'point') checkPosition(context, load, load.at, `${path}.at`);
    if (load.type === 'line') checkStretch(context, load, path);
    const member = members.get(load.member);
    if (load.type === 'point' && member?.behaviour === 'truss' && number(load.mx) !== 0) {
      findings.fault({
        code: 'torque-on-truss',
        path: `${path}.mx`,
        value: load.mx,
        what: `Member “${String(load.member)}” is a truss member and cannot carry a couple about its own axis`,
        expected: '0',
        remedy: 'Make the member a frame member, or remove the couple',
        subjects: [`member ${String(load.member)}`],
      });
    }
  });
}

function checkSettlement(findings: Findings, load: Entity, support: Entity | undefined, path: string): void {
  for (const freedom of ['ux', 'uy', 'uz', 'rx', 'ry', 'rz']) {
    if (number(load[freedom]) === 0) continue;
    const restraint = support?.[freedom] ?? 'free';
    if (restraint !== 'free' && restraint !== 0) continue;
    findings.fault({
      code: 'settlement-on-free',
      path: `${path}.${freedom}`,
      value: load[freedom],
      what: `Node “${String(load.node)}” is not held in ${freedom}, so no movement can be imposed there`,
      expected: 'a fixed or sprung freedom',
      remedy: 'Fix that freedom of the support, or remove the settlement',
      subjects: [`node ${String(load.node)}`],
    });
  }
}

/** The furthest position that a load may have: 1 as a ratio, the member's length as a length. */
const furthest = ({ members, nodes }: Context, load: Entity): number | undefined => {
  if (load.measure !== 'length') return 1;
  const member = members.get(load.member);
  return member && memberLength(member, nodes);
};

function checkPosition(context: Context, load: Entity, at: unknown, path: string): void {
  const limit = furthest(context, load);
  if (typeof at !== 'number' || limit === undefined) return;
  if (at >= 0 && at <= limit * (1 + 1e-9)) return;
  context.findings.fault({
    code: 'position-outside',
    path,
    value: at,
    what: `The load lies outside member “${String(load.member)}”`,
    expected: load.measure === 'length' ? `0 to ${limit} m` : 'a ratio from 0 to 1',
    remedy: `Give a position between 0 and ${limit}`,
    subjects: [`member ${String(load.member)}`],
  });
}

function checkStretch(context: Context, load: Entity, path: string): void {
  const [from, to] = [load.from, load.to];
  if (!isObject(from) || !isObject(to)) return;
  checkPosition(context, load, from.at, `${path}.from.at`);
  checkPosition(context, load, to.at, `${path}.to.at`);
  const limit = furthest(context, load);
  if (limit === undefined || number(from.at, 0) <= number(to.at, limit)) return;
  context.findings.fault({
    code: 'stretch-backwards',
    path: `${path}.from.at`,
    value: from.at,
    what: 'The load begins behind its own end',
    expected: 'from.at not greater than to.at',
    remedy: 'Swap the two positions',
    subjects: [`member ${String(load.member)}`],
  });
}

function checkCombinations({ model, findings }: Context): void {
  const combinations = byId(model, 'combinations');
  const known = new Map([...byId(model, 'cases'), ...combinations]);
  const partsOf = (combination: Entity | undefined): string[] => {
    if (Array.isArray(combination?.of)) return combination.of as string[];
    return isObject(combination?.factors) ? Object.keys(combination.factors) : [];
  };
  const circular = findCircular(combinations, partsOf);
  listOf(model, 'combinations').forEach((combination, i) => {
    const path = `combinations[${i}].${combination.type === 'sum' ? 'factors' : 'of'}`;
    partsOf(combination).forEach((part, k) => {
      const at = combination.type === 'sum' ? `${path}.${part}` : `${path}[${k}]`;
      checkReference(findings, known, part, at, 'case or combination');
      if (combination.type === 'sum' && combinations.get(part)?.type === 'envelope') {
        findings.fault({
          code: 'sum-of-envelope',
          path: at,
          value: part,
          what: `“${part}” is an envelope, and a sum can only add cases and other sums`,
          expected: 'a case or a sum',
          remedy: 'Name the cases or sums themselves, and make an envelope of the sums',
        });
      }
    });
    if (circular.has(combination.id)) {
      findings.fault({
        code: 'circular-combination',
        path,
        value: partsOf(combination),
        what: `The combination “${String(combination.id)}” refers to itself`,
        expected: 'cases, or combinations that do not lead back here',
        remedy: 'Remove the part that leads back',
        subjects: [`combination ${String(combination.id)}`],
      });
    }
  });
}

/** Ids of combinations that can be reached from themselves; an explicit stack, since chains in a file may be long. */
function findCircular(combinations: ReadonlyMap<unknown, Entity>, partsOf: (c: Entity | undefined) => string[]): Set<unknown> {
  const circular = new Set<unknown>();
  const state = new Map<unknown, 'open' | 'done'>();
  for (const root of combinations.keys()) {
    const stack: { id: unknown; next: number }[] = state.has(root) ? [] : [{ id: root, next: 0 }];
    if (stack.length > 0) state.set(root, 'open');
    while (stack.length > 0) {
      const top = stack[stack.length - 1]!;
      const part = partsOf(combinations.get(top.id))[top.next++];
      if (part === undefined) {
        state.set(top.id, 'done');
        stack.pop();
      } else if (state.get(part) === 'open') {
        for (let i = stack.length - 1; i >= 0; i--) {
          circular.add(stack[i]!.id);
          if (stack[i]!.id === part) break;
        }
      } else if (combinations.has(part) && !state.has(part)) {
        state.set(part, 'open');
        stack.push({ id: part, next: 0 });
      }
    }
  }
  return circular;
}

function checkGroups({ model, findings, nodes, members }: Context): void {
  listOf(model, 'groups').forEach((group, i) => {
    const parts = [
      ['nodes', nodes, 'node'],
      ['members', members, 'member'],
    ] as const;
    for (const [list, known, word] of parts)
      listOf(group, list).forEach((id, k) => checkReference(findings, known, id, `groups[${i}].${list}[${k}]`, word));
  });
}

function checkPlane({ model, findings }: Context): void {
  const refuse = (item: unknown, keys: readonly string[] | undefined, path: string): void => {
    if (!isObject(item) || !keys) return;
    for (const key of keys) {
      const value = item[key];
      if (value === undefined || value === 0 || value === 'free') continue;
      findings.fault({
        code: 'out-of-plane',
        path: `${path}.${key}`,
        value,
        what: `“${key}” leads out of the plane of this model`,
        expected: '0 or "free" in a plane model',
        remedy: 'Remove it, or make this a space model',
      });
    }
  };
  listOf(model, 'nodes').forEach((node, i) => refuse(node, outOfPlane.nodes, `nodes[${i}]`));
  listOf(model, 'supports').forEach((support, i) => refuse(support, outOfPlane.supports, `supports[${i}]`));
  listOf(model, 'members').forEach((member, i) => {
    for (const end of memberEnds) {
      const releases = isObject(member.releases) ? member.releases : {};
      // Fixed is the default of a member's end, so it leads nowhere; anything else out of the plane does.
      const freed = isObject(releases[end])
        ? Object.fromEntries(Object.entries(releases[end]).filter(([, v]) => v !== 'fixed'))
        : {};
      refuse(freed, outOfPlane.releases, `members[${i}].releases.${end}`);
      const arm = isObject(member.offset) ? (member.offset as Entity)[end] : undefined;
      if (Array.isArray(arm)) refuse({ '2': arm[2] }, ['2'], `members[${i}].offset.${end}`);
    }
    if (number(member.roll) % 90 !== 0) {
      findings.fault({
        code: 'roll-in-plane',
        path: `members[${i}].roll`,
        value: member.roll,
        what: 'In a plane model a member can only stand upright or lie on its side',
        expected: 'a multiple of 90 degrees',
        remedy: 'Write 0 or 90',
        subjects: [`member ${String(member.id)}`],
      });
    }
  });
  listOf(model, 'loads').forEach((load, i) => {
    refuse(load, outOfPlane[String(load.type)], `loads[${i}]`);
    if (load.type !== 'line') return;
    refuse(load.from, outOfPlane.intensity, `loads[${i}].from`);
    refuse(load.to, outOfPlane.intensity, `loads[${i}].to`);
  });
}
