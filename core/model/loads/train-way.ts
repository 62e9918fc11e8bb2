import { minus, size } from '../point';
import type { Bars } from './compound-kind';
import { linksOf, type Link } from './run-links';

/** What carries a train: the members of one run in their order, or the nodes on which a deck rests. */
export interface TrainWay {
  readonly members?: readonly string[];
  readonly nodes?: readonly string[];
}

/** A stretch of a deck, metres along it: straight between two nodes, to which it hands what stands on it as a simple beam does. */
export interface Bay {
  readonly nodes: readonly [string, string];
  readonly from: number;
  readonly to: number;
}

/** Where on what carries it a place of a way lies: metres from a member's start, or the part of a bay that is behind it. */
export type PlaceOnWay =
  | { readonly member: string; readonly at: number }
  | { readonly nodes: readonly [string, string]; readonly part: number };

/** Metres by which an axle may miss the end of a way and still stands on it: what rounding makes of a place. */
export const SLACK = 1e-7;

/** Whether a place along a way of `length` metres is on it, and not beside it. */
export const isOnWay = (s: number, length: number): boolean => s >= -SLACK && s <= length + SLACK;

export const baysOf = (nodes: readonly string[], { places }: Bars): readonly Bay[] => {
  let end = 0;
  return nodes.slice(1).map((node, i) => ({
    nodes: [nodes[i]!, node],
    from: end,
    to: (end += size(minus(places.get(node)!, places.get(nodes[i]!)!))),
  }));
};

/** The stretches of a way in their order, of a sound model. */
export const stretchesOf = ({ members, nodes = [] }: TrainWay, bars: Bars): readonly (Link | Bay)[] =>
  members ? linksOf(members, bars) : baysOf(nodes, bars);

/** Where a place of a way lies; nowhere beside it. */
export function placeOnWay(stretches: readonly (Link | Bay)[], s: number): PlaceOnWay | undefined {
  const last = stretches.at(-1);
  if (!last || !isOnWay(s, last.to)) return undefined;
  const { from, to, ...on } = stretches.find((one) => s <= one.to) ?? last;
  const at = Math.min(Math.max(s - from, 0), to - from);
  if ('nodes' in on) return { nodes: on.nodes, part: at / (to - from) };
  return { member: on.member, at: on.way === 'along' ? at : to - from - at };
}
