import type { Model } from '@rigid-beam/core/model/model';

/** Something that is said of a member or of a node. */
interface Said {
  /** Ids of the nodes it is said at: both ends of a member, or one node. */
  readonly nodes: readonly string[];
  readonly text: string;
  /** Of its run this one says it. */
  readonly speaks?: boolean;
}

/** Things with the same text that touch each other in a node, run by run, in their order. Cost: near linear. */
function runsOf<T extends Said>(all: readonly T[]): T[][] {
  const leader = all.map((_, i) => i);
  const find = (i: number): number => {
    let top = i;
    while (leader[top] !== top) top = leader[top]!;
    while (leader[i] !== top) [leader[i], i] = [top, leader[i]!];
    return top;
  };
  const at = new Map<string, number>();
  all.forEach(({ nodes, text }, i) => {
    for (const node of nodes) {
      const key = `${node} ${text}`;
      const other = at.get(key);
      if (other === undefined) at.set(key, i);
      else leader[find(i)] = find(other);
    }
  });
  const runs = new Map<number, number[]>();
  all.forEach((_, i) => {
    const run = runs.get(find(i));
    if (run) run.push(i);
    else runs.set(find(i), [i]);
  });
  return [...runs.values()].map((run) => run.map((i) => all[i]!));
}

/** Equal things beside each other are said once: of each run the one that speaks says it, else the one in its middle, for all `alike`. */
export const saidOnce = <T extends Said>(all: readonly T[]): (T & { readonly alike: readonly T[] })[] =>
  runsOf(all).map((alike) => ({
    ...(alike.find(({ speaks }) => speaks) ?? alike[Math.floor((alike.length - 1) / 2)]!),
    alike,
  }));

/** For things said of nodes: with each node those beside it that say the same, so that a row of them is one run. */
export function withNeighbours<T extends { readonly node: string; readonly text: string }>(
  { members }: Model,
  all: readonly T[],
): (T & Said)[] {
  const texts = new Map(all.map(({ node, text }) => [node, text]));
  const links = new Map<string, string[]>();
  members.forEach(({ id, start, end }) => {
    if (texts.get(start) === undefined || texts.get(start) !== texts.get(end)) return;
    for (const node of [start, end]) {
      const found = links.get(node);
      if (found) found.push(`member ${id}`);
      else links.set(node, [`member ${id}`]);
    }
  });
  return all.map((one) => ({ ...one, nodes: [`node ${one.node}`, ...(links.get(one.node) ?? [])] }));
}
