import type { IntentOf } from './intent';
import { isCompound, kindOfLoad } from '../loads/compound';
import type { Draft } from 'immer';
import type { Group, Load, Member, Model, Support } from '../model';
import type { Notice } from '../notice';
import type { PlacedStructure } from '../structures/measures';
import { COINCIDENT, nodeAt, plus, PointIndex, pointOf } from '../point';
import { pairOf } from './repeat';
import { freshIdsOf } from './fresh-ids';
import { freeName } from './next-id';
import { unfit } from './unfit';

/**
 * Puts a part into the model, its origin at `at`. Its nodes and members get free ids in their order; nodes that meet existing ones join
 * them, members and supports that are there already are not doubled. With a `structure` it is remembered as one, whose measures may change later.
 */
export function insert(draft: Draft<Model>, model: Model, { part, at, structure }: IntentOf<'insert'>): Notice | undefined {
  const index = new PointIndex<string>(COINCIDENT);
  for (const node of model.nodes) index.add(pointOf(node), node.id);
  const { nodeIds, memberIds } = freshIdsOf(model);
  const nodes = new Map<string, string>();
  for (const node of part.nodes) {
    const place = plus(pointOf(node), at);
    let [id] = index.near(place);
    if (id === undefined) {
      id = nodeIds.next();
      draft.nodes.push(nodeAt(id, place));
      index.add(place, id);
    }
    nodes.set(node.id, id);
  }
  const lost = [...part.members.flatMap(({ start, end }) => [start, end]), ...(part.supports ?? []).map(({ node }) => node)].find(
    (id) => !nodes.has(id),
  );
  if (lost !== undefined) return unfit('part', `The part has no node “${lost}”`, 'Give every node that it names');
  const there = new Map(model.members.map((member) => [pairOf(member), member.id]));
  const members = new Map<string, string>();
  for (const member of part.members) {
    const placed = { ...member, start: nodes.get(member.start)!, end: nodes.get(member.end)! };
    const met = there.get(pairOf(placed));
    const id = met ?? memberIds.next();
    members.set(member.id, id);
    if (met === undefined) draft.members.push({ ...placed, id } as Draft<Member>);
  }
  const supported = new Set(model.supports.map(({ node }) => node));
  for (const support of part.supports ?? []) {
    const node = nodes.get(support.node)!;
    if (!supported.has(node)) draft.supports.push({ ...support, node } as Draft<Support>);
    supported.add(node);
  }
  for (const load of part.loads ?? []) {
    // The ids of a part hold among themselves only: its loads get new ones as well.
    const names = { node: (id: string) => nodes.get(id)!, member: (id: string) => members.get(id)! };
    const { id: _, ...renamed } = {
      ...(isCompound(load) ? kindOfLoad(load).renamed(load, names) : load),
      ...('node' in load && { node: nodes.get(load.node) }),
      ...('member' in load && { member: members.get(load.member) }),
    };
    draft.loads.push(renamed as unknown as Draft<Load>);
  }
  if (part.groups && part.groups.length > 0) addGroups(draft, part.groups, nodes, members);
  if (structure)
    (draft.structures ??= []).push({
      ...structure,
      id: freeName(
        String(structure.id),
        (draft.structures ?? []).map(({ id }) => id),
      ),
      origin: [...at],
      nodes: part.nodes.map(({ id }) => nodes.get(id)!),
      members: part.members.map(({ id }) => members.get(id)!),
    } as Draft<PlacedStructure>);
  return undefined;
}

function addGroups(
  draft: Draft<Model>,
  groups: readonly Group[],
  nodes: ReadonlyMap<string, string>,
  members: ReadonlyMap<string, string>,
): void {
  const names = (draft.groups ?? []).map(({ id }) => id);
  draft.groups ??= [];
  for (const group of groups) {
    const id = freeName(group.id, names);
    names.push(id);
    draft.groups.push({
      id,
      ...(group.nodes && { nodes: group.nodes.flatMap((one) => nodes.get(one) ?? []) }),
      ...(group.members && { members: group.members.flatMap((one) => members.get(one) ?? []) }),
    });
  }
}
