import type { Draft } from 'immer';
import { isCompound } from '../loads/compound';
import { barsFrom } from '../loads/bars';
import type { Load, Member, Model } from '../model';
import type { Notice } from '../notice';
import { rounded } from '../point';
import { axesOf, carriedMember, carriedMemberLoad, carriedNodeLoad, carriedSupport } from './carry';
import { placesOf, type NodePlaces } from '../places';
import { isOnMember } from '../loads/primitive';
import { carriedCompound, type CarriedBar } from './carry-compound';
import { carriedBy, type Carried, idleMotion, leavesPlane, type Motion } from './motion';
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

  const whole = new Map<string, CarriedBar & { readonly after: Member }>();
  model.members.forEach((member, i) => {
    if (!chosen.has(member.start) || !chosen.has(member.end)) return;
    const next = carriedMember(member, axesOf(member, places, model.space), after, model.space, carried);
    const [from, to] = [axesOf(member, places, model.space), axesOf(next, after, model.space)];
    whole.set(member.id, { id: member.id, from, to, after: next });
    if (next.roll !== member.roll || next.offset) draft.members[i] = next as Draft<Member>;
  });
  carryLoads(draft, model, chosen, whole, { places, after, carried });
  model.supports.forEach((support, i) => {
    if (chosen.has(support.node)) draft.supports[i] = carriedSupport(support, carried) as Draft<typeof support>;
  });
  return undefined;
}

/** Loads of members that go along whole turn with them; of the others only what is said in global directions of nodes. */
function carryLoads(
  draft: Draft<Model>,
  model: Model,
  nodes: ReadonlySet<string>,
  whole: ReadonlyMap<string, CarriedBar & { readonly after: Member }>,
  { places, after, carried }: { readonly places: NodePlaces; readonly after: NodePlaces; readonly carried: Carried },
): void {
  const members = new Map(model.members.map((member) => [member.id, whole.get(member.id)?.after ?? member]));
  const bars = {
    before: barsFrom(new Map(model.members.map((member) => [member.id, member])), places),
    after: barsFrom(members, after),
  };
  const things = { bars: whole, nodes: new Map([...nodes].map((id) => [id, id])) };
  const next = model.loads.map((load): readonly Load[] => {
    if (isCompound(load)) return carriedCompound(load, things, carried, bars, 'stay');
    if (load.type === 'node') return [nodes.has(load.node) ? carriedNodeLoad(load, carried) : load];
    const bar = isOnMember(load) && whole.get(load.member);
    return [bar ? carriedMemberLoad(load, bar.from, bar.to, carried) : load];
  });
  if (next.some((loads, i) => loads.length !== 1 || loads[0] !== model.loads[i])) draft.loads = next.flat() as Draft<Load>[];
}
