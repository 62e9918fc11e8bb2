import { current, type Draft } from 'immer';
import { counted } from '../../counted';
import { freshIdsOf } from '../edits/fresh-ids';
import { pairOf } from '../edits/repeat';
import { removeDependents } from '../edits/remove-dependents';
import { unfit } from '../edits/unfit';
import type { Member, Model, ModelNode, Support } from '../model';
import type { Notice } from '../notice';
import type { Part } from '../part';
import { COINCIDENT, nodeAt, plus, PointIndex, pointOf, type Point } from '../point';
import { shareLoads } from './share-loads';
import { standingOf } from './frame';
import { matched } from './match';
import { MISSING, type PlacedStructure } from './measures';
import { builtOf } from './placed';
import { structureWords as WORDS } from './words';

/** More of its nodes than this part stand elsewhere: it is not the structure any more that its measures tell. */
const MOST_ODD = 1 / 3;

/** A structure before and after its measures changed; the model as it stands, and where to tell what was lost. */
export interface Reshaping {
  readonly draft: Draft<Model>;
  readonly now: Model;
  readonly before: PlacedStructure;
  readonly after: PlacedStructure;
  readonly tell: (words: string) => void;
}

type Names = (string | undefined)[];

/**
 * A typical structure takes its new measures: what of it is the same is moved and keeps its id with all that hangs on it, what is new is like
 * what stands beside it, what is no more goes with its loads, which is told. Refused where too much of it was changed by hand.
 */
export function reshape({ draft, now, before, after, tell }: Reshaping): Notice | undefined {
  const [was, is] = [builtOf(before), builtOf(after)];
  const refused = (what: string): Notice => unfit('structures', what, WORDS.remedy);
  const nodes = new Map(now.nodes.map((node) => [node.id, node]));
  const members = new Map(now.members.map((member) => [member.id, member]));
  const standing = standingOf(
    was.nodes.map(pointOf),
    before.nodes.map((id) => (nodes.has(id) ? pointOf(nodes.get(id)!) : undefined)),
    before.origin,
  );
  if (standing.odd > MOST_ODD * was.nodes.length) return refused(WORDS.movedByHand(before.id, standing.odd, was.nodes.length));
  const stray = strayMember(was, before, members);
  if (stray !== undefined) return refused(WORDS.divided(before.id, stray));

  const placeOf = { nodes: placesOf(now.nodes), members: placesOf(now.members) };
  const match = matched(after.type, was, is);
  const { nodeIds, memberIds } = freshIdsOf(now);
  const moved = { ...standing, index: new PointIndex<string>(COINCIDENT) };
  const ownNodes = new Set(before.nodes);
  for (const node of now.nodes) if (!ownNodes.has(node.id)) moved.index.add(pointOf(node), node.id);

  // A node that was taken away stays away, and so does what would lead there.
  const names: Names = is.nodes.map((node, j) => {
    const i = match.nodes[j]!;
    const own = i < 0 ? undefined : before.nodes[i]!;
    if (own === MISSING) return undefined;
    const place = plus(moved.toModel(pointOf(node)), i < 0 ? [0, 0, 0] : moved.off[i]!);
    if (own !== undefined) return put(draft, placeOf.nodes.get(own)!, own, place);
    const [met] = moved.index.near(place);
    if (met !== undefined) return met;
    const id = nodeIds.next();
    draft.nodes.push(nodeAt(id, place));
    return id;
  });
  if (standing.odd > 0) tell(WORDS.keepOff(before.id, standing.off.flatMap((one, i) => (isOff(one) ? [before.nodes[i]!] : [])))); // oxfmt-ignore

  // A member that is there already is not doubled.
  const ownMembers = new Set(before.members);
  const there = new Map(now.members.flatMap((one) => (ownMembers.has(one.id) ? [] : [[pairOf(one), one.id] as const])));
  const partNames = new Map(is.nodes.map(({ id }, j) => [id, names[j]]));
  const own: Names = is.members.map((member, j) => {
    const i = match.members[j]!;
    const [start, end] = [partNames.get(member.start), partNames.get(member.end)];
    if (start === undefined || end === undefined) return undefined;
    if (i >= 0) return before.members[i] === MISSING ? undefined : relink(draft, placeOf.members.get(before.members[i]!)!, { start, end, was: was.members[i]!, is: member, nodes: before.nodes, part: was }); // oxfmt-ignore
    const met = there.get(pairOf({ start, end }));
    if (met !== undefined) return met;
    const like = (match.beside.members.get(j) ?? [])
      .map((at) => before.members[match.members[at]!]!)
      .find((id) => members.has(id));
    const { section, material, roll } = members.get(like ?? '') ?? now.members.find(({ id }) => ownMembers.has(id))!;
    const id = memberIds.next();
    draft.members.push({ ...member, id, start, end, section, material, ...(roll !== undefined && { roll }) } as Draft<Member>);
    return id;
  });
  takeSupports(draft, { was, is, match: match.nodes, names, before: before.nodes });
  shareLoads(draft, now, { match, names: { nodes: names, members: own }, before });
  shareGroups(draft, now, { is, match: match.members, own, before });
  removeRest(draft, { before, names, own, tell });
  const entry = draft.structures!.find(({ id }) => id === after.id)!;
  entry.nodes = names.map((id) => id ?? MISSING);
  entry.members = own.map((id) => id ?? MISSING);
  return undefined;
}

/** Where entries stand in their list. */
const placesOf = (entries: readonly { readonly id: string }[]): ReadonlyMap<string, number> =>
  new Map(entries.map(({ id }, i) => [id, i]));

const isOff = (one: Point): boolean => one.some((part) => part !== 0);

/** A member that does not join the nodes any more that the structure joins by it. */
function strayMember(was: Part, { nodes, members }: PlacedStructure, there: ReadonlyMap<string, Member>): string | undefined {
  const names = new Map(was.nodes.map(({ id }, i) => [id, nodes[i]!]));
  const at = was.members.findIndex(({ start, end }, i) => {
    const own = there.get(members[i]!);
    if (!own) return false;
    const wanted = [names.get(start), names.get(end)];
    return !(wanted.includes(own.start) && wanted.includes(own.end));
  });
  return at < 0 ? undefined : members[at];
}

function put(draft: Draft<Model>, at: number, id: string, place: Point): string {
  const { x, y, z } = nodeAt(id, place);
  const node = draft.nodes[at]! as ModelNode & { x: number; y: number; z?: number };
  node.x = x;
  node.y = y;
  if (z !== undefined || node.z !== undefined) node.z = z ?? 0;
  return id;
}

interface Relinked {
  readonly start: string;
  readonly end: string;
  readonly was: Member;
  readonly is: Member;
  readonly nodes: readonly string[];
  readonly part: Part;
}

/** Makes a member join other nodes, in the sense in which it runs by now; what its type says of its ends follows where nobody changed it. */
function relink(draft: Draft<Model>, at: number, { start, end, was, is, nodes, part }: Relinked): string {
  const member = draft.members[at]! as Record<string, unknown> & { start: string; end: string };
  const first = nodes[part.nodes.findIndex((node) => node.id === was.start)];
  const isTurned = member.start !== first;
  [member.start, member.end] = isTurned ? [end, start] : [start, end];
  for (const key of ['behaviour', 'releases'] as const) {
    const isOwn = JSON.stringify(member[key]) !== JSON.stringify(was[key]);
    if (isOwn || JSON.stringify(was[key]) === JSON.stringify(is[key])) continue;
    if (is[key] === undefined) Reflect.deleteProperty(member, key);
    else member[key] = is[key];
  }
  return member.id as string;
}

interface Supporting {
  readonly was: Part;
  readonly is: Part;
  readonly match: readonly number[];
  readonly names: Names;
  readonly before: readonly string[];
}

/** Supports of nodes that are new, or are held otherwise by the new measures; what was changed or taken away by hand stays so. */
function takeSupports(draft: Draft<Model>, { was, is, match, names, before }: Supporting): void {
  const bare = (support: Support | undefined): string => {
    const { node: _, ...rest } = support ?? { node: '' };
    return JSON.stringify(Object.fromEntries(Object.entries(rest).sort(([a], [b]) => (a < b ? -1 : 1))));
  };
  const ofPart = ({ supports = [] }: Part): ReadonlyMap<string, Support> => new Map(supports.map((one) => [one.node, one]));
  const [had, has] = [ofPart(was), ofPart(is)];
  const gone: number[] = [];
  const places = new Map(draft.supports.map(({ node }, at) => [node, at]));
  is.nodes.forEach((node, j) => {
    const id = names[j];
    if (id === undefined) return;
    const i = match[j]!;
    const old = i < 0 ? undefined : had.get(was.nodes[i]!.id);
    const next = has.get(node.id);
    const at = places.get(id) ?? -1;
    const isNew = i < 0 || before[i] !== id;
    const there = at < 0 ? undefined : draft.supports[at];
    if (isNew ? there !== undefined : bare(there as Support | undefined) !== bare(old)) return;
    if (bare(old) === bare(next) && !isNew) return;
    if (next === undefined) {
      if (at >= 0) gone.push(at);
    } else if (at >= 0) draft.supports[at] = { ...next, node: id } as Draft<Support>;
    else draft.supports.push({ ...next, node: id } as Draft<Support>);
  });
  for (const at of gone.sort((a, b) => b - a)) draft.supports.splice(at, 1);
}

interface Grouping {
  readonly is: Part;
  readonly match: readonly number[];
  readonly own: Names;
  readonly before: PlacedStructure;
}

/** New members join the groups in which all those of their kind are that were there. */
function shareGroups(draft: Draft<Model>, now: Model, { is, match, own, before }: Grouping): void {
  const groups = now.groups ?? [];
  const order = placesOf(is.members);
  for (const { members: kind = [] } of is.groups ?? []) {
    const places = kind.map((id) => order.get(id)!);
    const old = places.flatMap((j) => (match[j]! >= 0 && own[j] !== undefined ? [before.members[match[j]!]!] : []));
    const fresh = places.flatMap((j) => (match[j]! < 0 && own[j] !== undefined ? [own[j]!] : []));
    if (old.length === 0 || fresh.length === 0) continue;
    groups.forEach(({ members: named = [] }, g) => {
      const all = new Set(named);
      if (old.every((id) => all.has(id))) draft.groups![g]!.members!.push(...fresh);
    });
  }
}

interface Leaving {
  readonly before: PlacedStructure;
  readonly names: Names;
  readonly own: Names;
  readonly tell: (words: string) => void;
}

/** What of the structure is no more goes with what hangs on it; a node at which something else stands stays. */
function removeRest(draft: Draft<Model>, { before, names, own, tell }: Leaving): void {
  const kept = { nodes: new Set(names), members: new Set(own) };
  const gone = before.members.filter((id) => id !== MISSING && !kept.members.has(id));
  const loads = draft.loads.length;
  if (gone.length > 0) {
    const model = current(draft) as Model;
    const all = new Set(gone);
    draft.members = draft.members.filter(({ id }) => !all.has(id));
    removeDependents(draft, model, 'members', all);
  }
  const used = new Set(draft.members.flatMap(({ start, end }) => [start, end]));
  const leaving = before.nodes.filter((id) => id !== MISSING && !kept.nodes.has(id));
  const held = leaving.filter((id) => used.has(id));
  const free = new Set(leaving.filter((id) => !used.has(id)));
  if (free.size > 0) {
    const model = current(draft) as Model;
    draft.nodes = draft.nodes.filter(({ id }) => !free.has(id));
    removeDependents(draft, model, 'nodes', free);
  }
  const lost = loads - draft.loads.length;
  if (lost > 0) tell(WORDS.lost(before.id, counted(gone.length, 'member'), counted(lost, 'load')));
  if (held.length > 0) tell(WORDS.stay(held.join(', ')));
}
