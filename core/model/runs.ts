import type { Member, Model } from './model';
import { placesOf } from './places';

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
  const chosen = model.members.filter(({ id }) => ids.includes(id));
  const links = chosen.length > 0 ? runThrough(chosen) : undefined;
  const [first, last] = [links?.[0], links?.at(-1)];
  if (!links || !first || !last) return undefined;
  const places = placesOf(model);
  const from = places.get(first.way === 'along' ? first.member.start : first.member.end)!;
  const to = places.get(last.way === 'along' ? last.member.end : last.member.start)!;
  const isTurned = to[0] < from[0] - 1e-6 || (Math.abs(to[0] - from[0]) <= 1e-6 && to[1] < from[1]);
  if (!isTurned) return links;
  return links.toReversed().map(({ member, way }) => ({ member, way: way === 'along' ? 'against' : 'along' }));
}
