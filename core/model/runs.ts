import { membersByNode } from './meeting';
import type { Member, Model } from './model';
import { placesOf, type NodePlaces } from './places';

/** A member in a run of members that follow each other. */
export interface RunLink {
  readonly member: Member;
  /** Whether the member runs the way of the run, which is the way of its first member. */
  readonly way: 'along' | 'against';
}

/** The members in their order from end to end, or undefined where they do not follow each other. */
export function runThrough(members: readonly Member[]): RunLink[] | undefined {
  const rest = [...members];
  const chain: RunLink[] = [{ member: rest.shift()!, way: 'along' }];
  let [from, to] = [chain[0]!.member.start, chain[0]!.member.end];
  while (rest.length > 0) {
    const i = rest.findIndex(({ start, end }) => [start, end].some((id) => id === from || id === to));
    if (i < 0) return undefined;
    const [member] = rest.splice(i, 1) as [Member];
    if (member.start === to) {
      chain.push({ member, way: 'along' });
      to = member.end;
    } else if (member.end === to) {
      chain.push({ member, way: 'against' });
      to = member.start;
    } else if (member.end === from) {
      chain.unshift({ member, way: 'along' });
      from = member.start;
    } else {
      chain.unshift({ member, way: 'against' });
      from = member.end;
    }
  }
  return from === to ? undefined : chain;
}

/**
 * Some members of a model in their order along the run that they make, from its lower left end; undefined where they do not follow
 * each other.
 */
export const runOf = (model: Model, ids: readonly string[]): string[] | undefined =>
  linksOf(model, ids)?.map(({ member }) => member.id);

/** The same with the way in which each of them runs. */
export function linksOf(model: Model, ids: readonly string[]): RunLink[] | undefined {
  const wanted = new Set(ids);
  const chosen = model.members.filter(({ id }) => wanted.has(id));
  const links = chosen.length > 0 ? runThrough(chosen) : undefined;
  return links && fromLowerLeft(links, placesOf(model));
}

function fromLowerLeft(links: readonly RunLink[], places: NodePlaces): RunLink[] {
  const [first, last] = [links[0]!, links.at(-1)!];
  const from = places.get(first.way === 'along' ? first.member.start : first.member.end)!;
  const to = places.get(last.way === 'along' ? last.member.end : last.member.start)!;
  const isTurned = to[0] < from[0] - 1e-6 || (Math.abs(to[0] - from[0]) <= 1e-6 && to[1] < from[1]);
  if (!isTurned) return [...links];
  return links.toReversed().map(({ member, way }) => ({ member, way: way === 'along' ? 'against' : 'along' }));
}

/** Some members in runs, each from its lower left end: as many as it takes where they do not all follow each other. */
export function linksThrough(members: readonly Member[], places: NodePlaces): readonly (readonly RunLink[])[] {
  const at = membersByNode(members);
  const rest = new Set(members);
  const runs: (readonly RunLink[])[] = [];
  while (rest.size > 0) {
    const [first] = rest;
    // All that hangs together with the first one: a set gives what is put into it on the way.
    const found = new Set([first!]);
    for (const { start, end } of found) for (const node of [start, end]) for (const member of at.get(node)!) found.add(member);
    const together = [...found];
    for (const member of together) rest.delete(member);
    const links = runThrough(together);
    runs.push(links ? fromLowerLeft(links, places) : together.map((member) => ({ member, way: 'along' })));
  }
  return runs;
}
