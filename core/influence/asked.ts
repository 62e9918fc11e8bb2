import { oneSidedIn } from '../model/loads/one-sided';
import type { System } from '../analysis/factorise';
import { isPinEnded } from '../model/behaviour';
import type { Model } from '../model/model';
import { isFault, type Notice } from '../model/notice';
import { minus, pointOf, size, dot, type Point } from '../model/point';
import { straightRuns } from '../model/straight-run';
import type { Effect } from './effect';
import { influenceLines, isLines } from './influence';
import type { InfluenceLine } from '../results/travelling/line';
import { DOWN, pathAcross, pathOver, type Path } from '../results/travelling/path';
import { readEffect } from './read-effect';

/** An influence line as somebody asks for it, by names. */
export interface InfluenceAsked {
  /** As `readEffect` takes it. */
  readonly effect: string;
  /** Members along which the load travels, or nodes across which a deck carries it; where neither is said, the way that one would mean. */
  readonly over?: readonly string[] | undefined;
  readonly across?: readonly string[] | undefined;
  /** Where it pushes, of length 1, global; down where it is not said. */
  readonly direction?: Point | undefined;
}

export interface InfluenceFound {
  readonly effect: Effect;
  readonly path: Path;
  readonly line: InfluenceLine;
}

export const isFound = (found: InfluenceFound | readonly Notice[]): found is InfluenceFound => 'line' in found;

const NO_LINES =
  'With members or supports that act one way, and joints with gaps, there are no influence lines: what a load brings about depends on what else acts. Let them act both ways, and close the gaps.';

/** The influence line that is asked for; or why there is none. `system`: the factorised equations of this very model. */
export function influenceOf(model: Model, system: System, asked: InfluenceAsked): InfluenceFound | readonly Notice[] {
  if (oneSidedIn(model).length > 0) return [{ code: 'one-sided', severity: 'error', message: NO_LINES, subjects: [] }];
  const { structure } = system;
  const effect = readEffect(asked.effect, model, structure);
  if (isNotice(effect)) return [effect];
  const direction = asked.direction ?? DOWN;
  const path = asked.across
    ? pathAcross(model, asked.across, direction)
    : pathOver(model, structure, asked.over ?? usualWay(model, effect, direction), direction);
  if (isNotice(path)) return [path];
  const lines = influenceLines(system, [effect], path);
  return isLines(lines) ? { effect, path, line: lines[0]! } : lines;
}

const isNotice = (one: Effect | Path | Notice): one is Notice => 'code' in one && isFault(one);

/** Sine of the angle with the load from which on a member lies across it. */
const ACROSS = 0.7;

/** The members that one would mean: the straight run of what is asked of, or, where that lies along the load, the longest one across it. */
export function usualWay(model: Model, effect: Effect, direction: Point): string[] {
  const places = new Map(model.nodes.map((node) => [node.id, pointOf(node)]));
  const isAcross = ({ start, end }: Model['members'][number]): boolean => {
    const way = minus(places.get(end)!, places.get(start)!);
    return Math.abs(dot(way, direction)) <= Math.sqrt(1 - ACROSS ** 2) * size(way);
  };
  const lengths = new Map(model.members.map(({ id, start, end }) => [id, size(minus(places.get(end)!, places.get(start)!))]));
  const lengthOf = (run: readonly string[]): number => run.reduce((sum, id) => sum + lengths.get(id)!, 0);
  const straightRun = straightRuns(model);
  const longest = (members: Model['members']): string[] => {
    const seen = new Set<string>();
    let [best, most]: [string[], number] = [[], 0];
    for (const { id } of members) {
      if (seen.has(id)) continue;
      const run = straightRun(id);
      for (const one of run) seen.add(one);
      const length = lengthOf(run);
      if (length > most * (1 + 1e-9)) [best, most] = [run, length];
    }
    return best;
  };
  const own =
    effect.kind === 'along'
      ? [model.members[effect.member]!]
      : model.members.filter(({ start, end }) => [start, end].includes(model.nodes[effect.node]!.id));
  // A bar of a truss carries what others are loaded with.
  const near = longest(own.filter((member) => isAcross(member) && !isPinEnded(member)));
  if (near.length > 0) return near;
  const any = longest(model.members.filter(isAcross));
  return any.length > 0 ? any : longest(own);
}
