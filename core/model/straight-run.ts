import { membersByNode } from './meeting';
import type { Member, Model } from './model';
import { endsOf, placesOf } from './places';
import { dot, minus, size, times, type Point } from './point';

/** Degrees up to which a member goes on straight. */
const STRAIGHT = 2;

/** What tells, for a member, those that go on straight from its ends, and itself: a beam over its supports, a chord, a column over its storeys. `degrees`: the kink that it may have at a node. */
export function straightRuns(model: Pick<Model, 'nodes' | 'members'>, degrees = STRAIGHT): (id: string) => string[] {
  const least = Math.cos((degrees * Math.PI) / 180);
  const places = placesOf(model);
  const at = membersByNode(model.members);
  const wayFrom = (member: Member, node: string): Point => {
    const [from, to] = endsOf(member, places);
    const way = member.start === node ? minus(to, from) : minus(from, to);
    return times(way, 1 / size(way));
  };
  const members = new Map(model.members.map((member) => [member.id, member]));
  return (id) => {
    const run = new Set([id]);
    const follow = (from: Member, node: string): void => {
      let [last, end] = [from, node];
      for (;;) {
        const back = wayFrom(last, end);
        const straight = (member: Member): number => -dot(back, wayFrom(member, end));
        const next = (at.get(end) ?? [])
          .filter((member) => !run.has(member.id) && straight(member) >= least)
          .sort((a, b) => straight(b) - straight(a))[0];
        if (!next) return;
        run.add(next.id);
        end = next.start === end ? next.end : next.start;
        last = next;
      }
    };
    const member = members.get(id);
    if (!member) return [];
    follow(member, member.end);
    follow(member, member.start);
    return [...run];
  };
}
