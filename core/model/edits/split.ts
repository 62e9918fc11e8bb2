import type { IntentOf } from './intent';
import type { Draft } from 'immer';
import type { MemberLoad } from '../loads/primitive';
import type { EndReleases, Member, Model } from '../model';
import type { Notice } from '../notice';
import { between, COINCIDENT, nodeAt, PointIndex, pointOf } from '../point';
import { endsOf, lengthOf, placesOf } from '../places';
import { isOnMember } from '../loads/primitive';
import { followMembers, inPlaceOf } from './follow-members';
import { freshIdsOf, type FreshIds } from './fresh-ids';
import { cutLoad } from './stretches';
import { unfit } from './unfit';

/** A member and the places, as parts of its length, where it is to be cut. */
export type Cuts = IntentOf<'split'>['cuts'][number];

/**
 * Cuts members into pieces that are joined rigidly: the first piece keeps the name and the freed start, the last the freed end, and every
 * load is cut with them, so that all results stay as they were. A node that stands at a cut already is joined.
 */
export function split(draft: Draft<Model>, model: Model, all: readonly Cuts[]): Notice | undefined {
  const places = placesOf(model);
  const index = new PointIndex<string>(COINCIDENT);
  for (const [id, at] of places) index.add(at, id);
  const { nodeIds, memberIds } = freshIdsOf(model);
  const loads: MemberLoad[] = [];
  const piecesOfMembers = new Map<string, string[]>();
  const cutMembers = new Set<string>();
  for (const { member: id, at } of all) {
    const order = model.members.findIndex((one) => one.id === id);
    const member = model.members[order];
    if (!member) return unfit('member', `There is no member “${id}”`, 'Choose an existing member');
    if (member.behaviour === 'tensionOnly' || member.behaviour === 'compressionOnly')
      return unfit('member', `Member “${id}” only takes forces of one sign and cannot be cut`, 'Make it a frame member first');
    const length = lengthOf(member, places);
    const cuts = [...new Set(at)].sort((a, b) => a - b).filter((t) => t * length > COINCIDENT && (1 - t) * length > COINCIDENT);
    if (cuts.length === 0) return unfit('at', `Member “${id}” is not cut between its ends`, 'Choose a place inside the member');
    const [from, to] = endsOf(member, places);
    const nodes = cuts.map((t) => {
      const point = between(from, to, t);
      const [met] = index.near(point);
      if (met !== undefined) return met;
      const node = nodeAt(nodeIds.next(), point);
      draft.nodes.push(node);
      places.set(node.id, pointOf(node));
      index.add(pointOf(node), node.id);
      return node.id;
    });
    const pieces = piecesOf(member, nodes, memberIds);
    const stops = [0, ...cuts, 1];
    draft.members[order] = pieces[0]! as Draft<Member>;
    draft.members.push(...(pieces.slice(1) as Draft<Member>[]));
    cutMembers.add(id);
    piecesOfMembers.set(
      id,
      pieces.map((piece) => piece.id),
    );
    for (const load of model.loads) {
      if (!isOnMember(load) || load.member !== id) continue;
      const parts: MemberLoad[] = [];
      pieces.forEach((piece, i) => {
        const part = cutLoad(load, length, stops[i]! * length, stops[i + 1]! * length, piece.id);
        if (part) parts.push(part);
      });
      loads.push(...(inPlaceOf(load, parts) as MemberLoad[]));
    }
    for (const group of draft.groups ?? [])
      if (group.members?.includes(id)) group.members.push(...pieces.slice(1).map((piece) => piece.id));
  }
  if (loads.length > 0 || model.loads.some((load) => isOnMember(load) && cutMembers.has(load.member)))
    draft.loads = [...model.loads.filter((load) => !isOnMember(load) || !cutMembers.has(load.member)), ...loads] as never;
  followMembers(draft, model, { kind: 'split', pieces: piecesOfMembers });
  return undefined;
}

function piecesOf(member: Member, nodes: readonly string[], ids: FreshIds): Member[] {
  const { releases, gaps, offset, behaviour, ...rest } = member;
  const freed = behaviour === 'truss' ? hinged(releases) : releases;
  const stops = [member.start, ...nodes, member.end];
  return stops.slice(1).map((end, i): Member => {
    const side = i === 0 ? 'start' : i === nodes.length ? 'end' : undefined;
    const [release, gap, arm] = side ? [freed?.[side], gaps?.[side], offset?.[side]] : [];
    return {
      ...rest,
      id: i === 0 ? member.id : ids.next(),
      start: stops[i]!,
      end,
      ...(behaviour && behaviour !== 'truss' && { behaviour }),
      ...(side && release && { releases: { [side]: release } }),
      ...(side && gap && { gaps: { [side]: gap } }),
      ...(side && arm && { offset: { [side]: arm } }),
    };
  });
}

/** What a truss member is at its ends: a node in its middle must not be able to move across it, so its pieces are frame members. */
function hinged(releases: Member['releases']): { start: EndReleases; end: EndReleases } {
  return { start: { ...releases?.start, my: 'free', mz: 'free' }, end: { ...releases?.end, rx: 'free', my: 'free', mz: 'free' } };
}
