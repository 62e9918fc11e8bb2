import { once } from '../../once';
import { membersByNode } from '../meeting';
import { minus, plus, pointOf, size, type Point } from '../point';
import type { Bars } from './compound-kind';

/** What of a member counts: its nodes, and the arms from them to its ends. */
export interface BarMember {
  readonly id: string;
  readonly start: string;
  readonly end: string;
  readonly offset?: { readonly start?: readonly number[]; readonly end?: readonly number[] };
}

interface Frame {
  readonly members: readonly BarMember[];
  readonly nodes: readonly { readonly id: string; readonly x: number; readonly y: number; readonly z?: number }[];
}

/** Members by id, as loads on several of them see them. */
export const barsOf = ({ members, nodes }: Frame): Bars => found(members, nodes);

const found = once((members: Frame['members'], nodes: Frame['nodes']) =>
  barsFrom(new Map(members.map((member) => [member.id, member])), new Map(nodes.map((node) => [node.id, pointOf(node)]))),
);

/** The same of members whose nodes stand at `places`. */
export function barsFrom(members: ReadonlyMap<string, BarMember>, places: ReadonlyMap<string, Point>): Bars {
  let meeting: ReadonlyMap<string, readonly BarMember[]> | undefined;
  const at = (node: string): readonly BarMember[] => (meeting ??= membersByNode(members.values())).get(node) ?? [];
  const bar = (id: string): ReturnType<Bars> => {
    const { start, end, offset } = members.get(id)!;
    const tip = (node: string, arm: readonly number[] | undefined): Point =>
      plus(places.get(node)!, [arm?.[0] ?? 0, arm?.[1] ?? 0, arm?.[2] ?? 0]);
    const [from, to] = [tip(start, offset?.start), tip(end, offset?.end)];
    return { start, end, from, to, length: size(minus(to, from)), hasArms: offset !== undefined };
  };
  return Object.assign(bar, { places, at });
}
