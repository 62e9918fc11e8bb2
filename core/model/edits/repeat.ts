import type { Draft } from 'immer';
import { barsFrom } from '../loads/bars';
import type { Load, Member, Model, ModelNode } from '../model';
import type { Notice } from '../notice';
import { loadKey } from '../loads/load-key';
import { COINCIDENT, nodeAt, PointIndex, pointOf } from '../point';
import { axesOf, carriedMember, carriedMemberLoad, carriedNodeLoad, carriedSupport } from './carry';
import { placesOf } from '../places';
import { isCompound } from '../loads/compound';
import { isOnMember } from '../loads/primitive';
import { carriedCompound, type CarriedBar } from './carry-compound';
import { isOn, restsOn, withoutId } from './follow-members';
import type { IntentOf } from './intent';
import { freshIdsOf } from './fresh-ids';
import { carriedBy, idleMotion, leavesPlane } from './motion';
import { unfit } from './unfit';

export type Repetition = Omit<IntentOf<'repeat'>, 'type'>;

const MOST = 1000;

/**
 * Copies nodes and members `times` times, each copy one motion further. A copy that meets an existing node joins it, a member that is
 * there already is not doubled, a force that stands there already is left out, and nothing is laid on itself. `say` hears what was left out.
 */
export function repeat(draft: Draft<Model>, model: Model, intent: Repetition, say: (words: string) => void): Notice | undefined {
  const { motion, times } = intent;
  const trouble = idleMotion(motion) ?? (model.space === 'plane' ? leavesPlane(motion) : undefined);
  if (trouble) return unfit('motion', trouble, 'Give another motion');
  if (!Number.isInteger(times) || times < 1 || times > MOST)
    return unfit('times', `A part is repeated 1 to ${MOST} times`, 'Give a whole number');
  if (motion.kind === 'mirror' && times > 1) return unfit('times', 'A mirror makes one copy', 'Repeat it once');

  const places = placesOf(model);
  const members = model.members.filter(({ id }) => intent.members.includes(id));
  const ids = [...new Set([...intent.nodes, ...members.flatMap(({ start, end }) => [start, end])])];
  const missing = ids.find((id) => !places.has(id)) ?? intent.members.find((id) => !members.some((one) => one.id === id));
  if (missing !== undefined) return unfit('nodes', `There is no “${missing}” to repeat`, 'Choose existing nodes and members');
  if (ids.length === 0) return unfit('nodes', 'Nothing is chosen to be repeated', 'Choose nodes or members');

  const index = new PointIndex<string>(COINCIDENT);
  for (const [id, at] of places) index.add(at, id);
  const { nodeIds, memberIds } = freshIdsOf(model);
  const joined = new Set(model.members.map(pairOf));
  const supported = new Set(model.supports.map(({ node }) => node));
  const axes = new Map(members.map((member) => [member.id, axesOf(member, places, model.space)]));
  const loads = intent.loads === 'copied' ? model.loads : [];
  const originals = new Map(model.members.map((member) => [member.id, member]));
  const made: { members: Member[]; nodes: ModelNode[] } = { members: [], nodes: [] };
  const groups = new Map<string, string[]>();
  const noteGroups = (list: 'nodes' | 'members', from: string, to: string): void => {
    for (const group of model.groups ?? []) {
      if (!group[list]?.includes(from)) continue;
      const key = `${list} ${group.id}`;
      groups.set(key, [...(groups.get(key) ?? []), to]);
    }
  };
  const there = new Set(model.loads.map(loadKey));
  let doubled = 0;
  let nextId = memberIds.next();
  const add = (member: Member): boolean => {
    if (member.start === member.end || joined.has(pairOf(member))) return false;
    joined.add(pairOf(member));
    made.members.push(member);
    nextId = memberIds.next();
    return true;
  };

  const standing = new Set(model.nodes.map(({ id }) => id));
  let before = new Map(ids.map((id) => [id, id]));
  for (let n = 1; n <= times; n++) {
    const carried = carriedBy(motion, n);
    const copies = new Map<string, string>();
    const copiesOf = copies;
    for (const id of ids) {
      const at = carried.point(places.get(id)!);
      const [met] = index.near(at);
      let copy = met;
      if (copy === undefined) {
        copy = nodeIds.next();
        const node = nodeAt(copy, at);
        made.nodes.push(node);
        places.set(copy, pointOf(node));
        index.add(at, copy);
        noteGroups('nodes', id, copy);
      }
      copies.set(id, copy);
    }
    const bars = new Map<string, CarriedBar>();
    const copied = new Map<string, Member>();
    for (const member of members) {
      const id = nextId;
      const moved = { ...member, id, start: copies.get(member.start)!, end: copies.get(member.end)! };
      if (moved.start === moved.end) continue;
      const copy = carriedMember(moved, axes.get(member.id)!, places, model.space, carried);
      if (!add(copy)) continue;
      noteGroups('members', member.id, id);
      const after = axesOf(copy, places, model.space);
      bars.set(member.id, { id, from: axes.get(member.id)!, to: after });
      copied.set(id, copy);
      for (const load of loads)
        if (isOnMember(load) && load.member === member.id)
          draft.loads.push(
            withoutId({ ...carriedMemberLoad(load, axes.get(member.id)!, after, carried), member: id }) as Draft<Load>,
          );
    }
    if (loads.some(isCompound)) {
      const both = { before: barsFrom(originals, places), after: barsFrom(copied, places) };
      const on = new Set(bars.keys());
      for (const load of loads) {
        if (!isOn(load, on, both.before) && !restsOn(load, copiesOf, standing)) continue;
        const copies = carriedCompound(load, { bars, nodes: copiesOf }, carried, both, 'leave out');
        draft.loads.push(...(copies.map(withoutId) as Draft<Load>[]));
      }
    }
    for (const load of loads) {
      const copy = load.type === 'node' || load.type === 'settlement' ? copies.get(load.node) : undefined;
      if (copy === undefined || copy === (load as { node: string }).node) continue;
      // A settlement needs a support to be imposed on.
      if (load.type === 'settlement' && intent.supports === 'left') continue;
      const moved = { ...(load.type === 'node' ? carriedNodeLoad(load, carried) : load), node: copy } as Load;
      // On a node that was there before, the very same load would count twice.
      if (places.has(copy) && there.has(loadKey(moved))) {
        doubled++;
        continue;
      }
      draft.loads.push(withoutId(moved) as Draft<Load>);
    }
    if (intent.supports === 'copied')
      for (const support of model.supports) {
        const copy = copies.get(support.node);
        if (copy === undefined || supported.has(copy)) continue;
        supported.add(copy);
        draft.supports.push({ ...carriedSupport(support, carried), node: copy } as Draft<typeof support>);
      }
    if (intent.link)
      for (const id of ids) {
        if (supported.has(id)) continue;
        add({ id: nextId, start: before.get(id)!, end: copies.get(id)!, ...intent.link });
      }
    before = copies;
  }
  if (made.nodes.length + made.members.length === 0)
    return unfit('motion', 'Every copy would lie on what is already there', 'Give another motion');
  if (doubled > 0)
    say(
      doubled === 1
        ? 'One force or settlement was not copied: the same one stands on its node already.'
        : `${doubled} forces or settlements were not copied: the same ones stand on their nodes already.`,
    );
  draft.nodes.push(...made.nodes);
  draft.members.push(...(made.members as Draft<Member>[]));
  for (const group of draft.groups ?? [])
    for (const list of ['nodes', 'members'] as const) {
      const more = groups.get(`${list} ${group.id}`);
      if (more) group[list] = [...(group[list] ?? []), ...more];
    }
  return undefined;
}

/** The same for a member and for its reverse. */
export const pairOf = ({ start, end }: Pick<Member, 'start' | 'end'>): string =>
  start < end ? JSON.stringify([start, end]) : JSON.stringify([end, start]);
