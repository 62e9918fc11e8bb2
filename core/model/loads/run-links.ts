import type { Entity } from '../findings';
import { checkReference, type RuleContext } from '../rules/context';
import type { Bar, Bars } from './compound-kind';

/** A member of the run, and the metres of the run that it covers. */
export interface Link {
  readonly member: string;
  readonly way: 'along' | 'against';
  readonly from: number;
  readonly to: number;
}

type Ends = Pick<Bar, 'start' | 'end'>;

/** Which way each member lies in the run; the place of the first that does not meet the one before it where they do not connect. */
function waysOf(ends: readonly Ends[]): readonly Link['way'][] | number {
  const [first, second] = ends;
  if (!first) return [];
  const isMet = (node: string): boolean => !second || second.start === node || second.end === node;
  if (!isMet(first.end) && !isMet(first.start)) return 1;
  let at = isMet(first.end) ? first.start : first.end;
  const ways: Link['way'][] = [];
  for (const [i, { start, end }] of ends.entries()) {
    if (start !== at && end !== at) return i;
    ways.push(start === at ? 'along' : 'against');
    at = start === at ? end : start;
  }
  return ways;
}

export function linksOf(members: readonly string[], bars: Bars): Link[] {
  const found = members.map(bars);
  const ways = waysOf(found);
  if (typeof ways === 'number') throw new Error('a run of members that do not connect passed the check');
  let end = 0;
  return members.map((member, i) => ({ member, way: ways[i]!, from: end, to: (end += found[i]!.length) }));
}

export const lengthOf = (links: readonly Link[]): number => links.at(-1)?.to ?? 0;

/** Whether the members of a load follow each other, each once; they themselves where they do. */
export function checkRun(context: RuleContext, load: Entity, path: string): readonly Entity[] | undefined {
  if (!Array.isArray(load.members)) return undefined;
  const members = load.members as unknown[];
  const { findings } = context;
  members.forEach((member, i) => checkReference(findings, context.members, member, `${path}.members[${i}]`, 'member'));
  const found = members.map((member) => context.members.get(member));
  if (!found.every((member) => member !== undefined)) return undefined;
  const fault = (i: number, code: string, what: string, remedy: string): undefined =>
    findings.fault({
      code,
      path: `${path}.members[${i}]`,
      value: members[i],
      what,
      expected: 'members that follow each other, each of them once',
      remedy,
      subjects: [`load ${String(load.id)}`, `member ${String(members[i])}`],
    });
  const seen = new Set<unknown>();
  const twice = members.findIndex((member) => seen.size === seen.add(member).size);
  if (twice >= 0)
    return fault(twice, 'member-twice', `Member “${String(members[twice])}” stands twice in this load`, 'Name it once');
  const ways = waysOf(found as unknown as Ends[]);
  if (typeof ways === 'number') {
    const [before, here] = [String(members[ways - 1]), String(members[ways])];
    return fault(
      ways,
      'broken-chain',
      `Members “${before}” and “${here}” of this load do not meet`,
      'Name the members in their order along one line',
    );
  }
  return found;
}

/** The members of a run where some of them were divided. */
export const splitRun = (links: readonly Link[], pieces: ReadonlyMap<string, readonly string[]>): string[] =>
  links.flatMap(({ member, way }) => {
    const own = pieces.get(member) ?? [member];
    return way === 'along' ? own : own.toReversed();
  });

/** The members of a run where some that follow each other became one, and which way that lies in it; undefined where they do not follow each other there. */
export function joinedRun(
  run: readonly string[],
  { members, into }: { readonly members: readonly string[]; readonly into: string },
): { readonly members: readonly string[]; readonly way: Link['way'] } | undefined {
  const at = run.findIndex((member) => members.includes(member));
  const there = run.slice(at, at + members.length).join('\n');
  const isAlong = there === members.join('\n');
  if (!isAlong && there !== members.toReversed().join('\n')) return undefined;
  return { members: [...run.slice(0, at), into, ...run.slice(at + members.length)], way: isAlong ? 'along' : 'against' };
}
