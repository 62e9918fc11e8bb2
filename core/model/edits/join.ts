import type { Draft } from 'immer';
import type { MemberLoad } from '../loads/primitive';
import type { Member, Model } from '../model';
import type { Notice } from '../notice';
import { cross, minus, size } from '../point';
import { lengthOf, placesOf, type NodePlaces } from '../places';
import { isOnMember } from '../loads/primitive';
import { followMembers } from './follow-members';
import { runThrough, type RunLink } from '../runs';
import { removeDependents } from './remove-dependents';
import { joinedStretches, shiftedLoad } from './stretches';
import { unfit } from './unfit';

/** Sine of the angle by which two members may differ in direction and still be one. */
const STRAIGHT = 1e-6;

/**
 * Joins members that lie in one line, end to end, into one: the reverse of a split. Nothing else may meet, stand on or load a node that
 * goes; sections and materials must be the same and the ends that meet rigid. Loads go along, so that results stay as they were.
 */
export function join(draft: Draft<Model>, before: Model, ids: readonly string[]): Notice | undefined {
  const places = placesOf(before);
  const chosen = before.members.filter(({ id }) => ids.includes(id));
  if (chosen.length < 2) return unfit('members', 'Only members that follow each other can be joined', 'Choose two or more');
  const chain = runThrough(chosen);
  if (!chain) return unfit('members', 'These members do not follow each other end to end', 'Choose one chain of members');
  const first = chosen.find(({ id }) => id === chain[0]!.member.id)!;
  const trouble = troubleOf(before, chain, places);
  if (trouble) return unfit('members', trouble, 'Join only what behaves as one member');
  const model = followMembers(draft, before, { kind: 'joined', members: chain.map(({ member }) => member.id), into: first.id });

  const lengths = chain.map(({ member }) => lengthOf(member, places));
  const length = lengths.reduce((sum, one) => sum + one, 0);
  const loads: MemberLoad[] = [];
  let a = 0;
  chain.forEach(({ member, way }, i) => {
    for (const load of model.loads)
      if (isOnMember(load) && load.member === member.id && (load.type === 'point' || load.type === 'line'))
        loads.push(shiftedLoad(load, { piece: lengths[i]!, from: a, length, member: first.id, way }));
    a += lengths[i]!;
  });
  for (const load of model.loads) {
    if (!isOnMember(load) || load.member !== first.id) continue;
    if (load.type === 'thermal') loads.push(load);
    if (load.type === 'strain') loads.push({ ...load, elongation: (load.elongation * length) / lengths[0]! });
  }

  const last = chain[chain.length - 1]!;
  const [head, tail] = [chain[0]!, last];
  const ends = {
    start: head.way === 'along' ? head.member.start : head.member.end,
    end: tail.way === 'along' ? tail.member.end : tail.member.start,
  };
  const release = [sideOf(head, 'start'), sideOf(tail, 'end')].map(({ member, end }) => member.releases?.[end]);
  const gap = [sideOf(head, 'start'), sideOf(tail, 'end')].map(({ member, end }) => member.gaps?.[end]);
  const arm = [sideOf(head, 'start'), sideOf(tail, 'end')].map(({ member, end }) => member.offset?.[end]);
  const { releases: _, offset: __, gaps: ___, ...rest } = first;
  const joined: Member = {
    ...rest,
    ...ends,
    ...((release[0] ?? release[1]) && {
      releases: { ...(release[0] && { start: release[0] }), ...(release[1] && { end: release[1] }) },
    }),
    ...((gap[0] ?? gap[1]) && { gaps: { ...(gap[0] && { start: gap[0] }), ...(gap[1] && { end: gap[1] }) } }),
    ...((arm[0] ?? arm[1]) && { offset: { ...(arm[0] && { start: arm[0] }), ...(arm[1] && { end: arm[1] }) } }),
  };
  const goneMembers = new Set(chain.slice(1).map(({ member }) => member.id));
  const goneNodes = new Set(innerNodes(chain));
  draft.loads = model.loads.filter((load) => !isOnMember(load) || !ids.includes(load.member)) as never;
  draft.members = model.members
    .filter(({ id }) => !goneMembers.has(id))
    .map((member) => (member.id === first.id ? joined : member)) as never;
  removeDependents(draft, model, 'members', goneMembers);
  draft.nodes = draft.nodes.filter(({ id }) => !goneNodes.has(id));
  removeDependents(draft, model, 'nodes', goneNodes);
  draft.loads.push(...(joinedStretches(loads, length) as Draft<MemberLoad>[]));
  return undefined;
}

const sideOf = ({ member, way }: RunLink, side: 'start' | 'end'): { member: Member; end: 'start' | 'end' } => ({
  member,
  end: way === 'along' ? side : side === 'start' ? 'end' : 'start',
});

const innerNodes = (chain: readonly RunLink[]): string[] =>
  chain.slice(1).map((link) => sideOf(link, 'start').member[sideOf(link, 'start').end]);

function troubleOf(model: Model, chain: readonly RunLink[], places: NodePlaces): string | undefined {
  const { member: first } = chain[0]!;
  const inner = new Set(innerNodes(chain));
  const members = new Set(chain.map(({ member }) => member.id));
  const direction = minus(places.get(first.end)!, places.get(first.start)!);
  for (const link of chain) {
    const { member } = link;
    if (member.section !== first.section || member.material !== first.material)
      return `Members “${first.id}” and “${member.id}” differ in section or material`;
    if ((member.roll ?? 0) !== (first.roll ?? 0)) return `Members “${first.id}” and “${member.id}” differ in their roll`;
    if ((member.behaviour ?? 'frame') !== 'frame') return `Member “${member.id}” is hinged at its ends`;
    const along = minus(places.get(member.end)!, places.get(member.start)!);
    if (size(cross(direction, along)) > STRAIGHT * size(direction) * size(along))
      return `Members “${first.id}” and “${member.id}” do not lie in one line`;
    for (const side of ['start', 'end'] as const) {
      const { end } = sideOf(link, side);
      if (!inner.has(member[end])) continue;
      if (member.releases?.[end] && Object.values(member.releases[end]).some((held) => held !== 'fixed'))
        return `Member “${member.id}” is not rigid where it meets the next`;
      if (member.offset?.[end]?.some((part) => part !== 0)) return `Member “${member.id}” has an arm where it meets the next`;
    }
  }
  const other = model.members.find(({ id, start, end }) => !members.has(id) && (inner.has(start) || inner.has(end)));
  if (other) return `Member “${other.id}” meets the others where they would be joined`;
  const support = model.supports.find(({ node }) => inner.has(node));
  if (support) return `Node “${support.node}”, which would go, is supported`;
  const load = model.loads.find((one) => 'node' in one && inner.has(one.node));
  if (load && 'node' in load) return `Node “${load.node}”, which would go, carries a load`;
  return uneven(model, chain);
}

/** Temperature and lack of fit hold for a member as a whole: pieces that differ in them stay pieces. */
function uneven(model: Model, chain: readonly RunLink[]): string | undefined {
  const places = placesOf(model);
  const strains = chain.map(({ member }) =>
    model.loads
      .filter((load) => isOnMember(load) && load.member === member.id && (load.type === 'thermal' || load.type === 'strain'))
      .map((load) => {
        const { member: _, ...rest } = load as MemberLoad;
        const perMetre = rest.type === 'strain' && {
          elongation: Number((rest.elongation / lengthOf(member, places)).toPrecision(9)),
        };
        return JSON.stringify({ ...rest, ...perMetre });
      })
      .sort()
      .join(),
  );
  return strains.every((one) => one === strains[0]) ? undefined : 'The members differ in their temperature or lack of fit';
}
