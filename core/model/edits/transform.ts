import type { Draft } from 'immer';
import type { Member, Model } from '../model';
import type { Notice } from '../notice';
import { rounded } from '../point';
import { axesOf, carriedMember, carriedMemberLoad, carriedNodeLoad, carriedSupport, isOnMember, placesOf } from './carry';
import { carriedBy, idleMotion, leavesPlane, type Motion } from './motion';
import { unfit } from './unfit';

/**
 * Moves, turns or mirrors nodes with all that stands on them. Members that go along whole keep their section, arms and local loads as
 * they were in the structure; members with one end that stays are stretched.
 */
export function transform(draft: Draft<Model>, model: Model, nodes: readonly string[], motion: Motion): Notice | undefined {
  const trouble = idleMotion(motion) ?? (model.space === 'plane' ? leavesPlane(motion) : undefined);
  if (trouble) return unfit('motion', trouble, 'Give another motion');
  const carried = carriedBy(motion);
  const chosen = new Set(nodes);
  const places = placesOf(model);
  const missing = nodes.find((id) => !places.has(id));
  if (missing !== undefined) return unfit('nodes', `There is no node “${missing}”`, 'Choose an existing node');
  const after = new Map(places);
  for (const node of draft.nodes) {
    if (!chosen.has(node.id)) continue;
    const [x, y, z] = carried.point(places.get(node.id)!).map(rounded) as [number, number, number];
    after.set(node.id, [x, y, z]);
    node.x = x;
    node.y = y;
    if (z !== 0 || node.z !== undefined) node.z = z;
  }
  if (motion.kind === 'move') return undefined;

  const whole = new Map<string, { before: Member; after: Member }>();
  model.members.forEach((member, i) => {
    if (!chosen.has(member.start) || !chosen.has(member.end)) return;
    const next = carriedMember(member, axesOf(member, places, model.space), after, model.space, carried);
    whole.set(member.id, { before: member, after: next });
    if (next.roll !== member.roll || next.offset) draft.members[i] = next as Draft<Member>;
  });
  model.loads.forEach((load, i) => {
    if (isOnMember(load)) {
      const member = whole.get(load.member);
      if (!member) return;
      const axes = [axesOf(member.before, places, model.space), axesOf(member.after, after, model.space)] as const;
      draft.loads[i] = carriedMemberLoad(load, ...axes, carried) as Draft<typeof load>;
    } else if (load.type === 'node' && chosen.has(load.node)) draft.loads[i] = carriedNodeLoad(load, carried);
  });
  model.supports.forEach((support, i) => {
    if (chosen.has(support.node)) draft.supports[i] = carriedSupport(support, carried) as Draft<typeof support>;
  });
  return undefined;
}
