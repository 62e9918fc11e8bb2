import { barsOf } from '@rigid-beam/core/model/loads/bars';
import { axleForces, pushOf, type TrainLoad } from '@rigid-beam/core/model/loads/train-load';
import type { Load, Model } from '@rigid-beam/core/model/model';
import { worldPath, type Item, type Subject } from './display-list';
import { inkOf, type Context } from './load-marks';
import type { AxleOnDeck } from './stacked-loads';

/** A train on a deck: what stands between two nodes is drawn there, and not as what it hands to them. */
export const isOnDeck = (load: Load): load is TrainLoad & { readonly nodes: readonly string[] } =>
  load.type === 'train' && load.nodes !== undefined;

/** The axles of a train on its deck, in one of the cases in which it acts. */
export const axlesOnDeck = (model: Model, load: TrainLoad, caseId: string): readonly AxleOnDeck[] =>
  axleForces(load, barsOf(model)).flatMap(({ on, size }) =>
    'nodes' in on ? [{ type: 'axle', case: caseId, ...on, ...pushOf(load, size) }] : [],
  );

/** Where a part of the way between two nodes is on the drawing; undefined where one of them is not shown. */
export function pointOnBay(
  nodes: Context['nodes'],
  { nodes: [start, end], part }: Pick<AxleOnDeck, 'nodes' | 'part'>,
): { readonly x: number; readonly y: number; readonly depth: number } | undefined {
  const [a, b] = [nodes.get(start), nodes.get(end)];
  if (!a || !b) return undefined;
  const between = (from: number, to: number): number => from + part * (to - from);
  return { x: between(a.x, b.x), y: between(a.y, b.y), depth: between(a.depth, b.depth) };
}

/** The deck itself, as a thin line from node to node. */
export function deckItems(context: Context, { id, nodes }: TrainLoad & { readonly nodes: readonly string[] }): Item[] {
  const subject: Subject = { kind: 'load', id };
  const points = nodes.flatMap((node) => {
    const at = context.nodes.get(node);
    return at ? [at.x, at.y] : [];
  });
  if (points.length < 2 * nodes.length) return [];
  return [worldPath(points, { stroke: inkOf(context, subject), width: 3.2 * context.view.weight, opacity: 0.35, subject })];
}
