import type { Model } from '@rigid-beam/core/model/model';
import { isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { barLabels, barsOf } from './axial-items';
import type { DrawnQuantity } from './diagram-items';
import { diagramLabels } from './diagram-labels';
import { governingValues, largestOf } from './diagram-scale';
import { worldPath, type Item } from './display-list';
import { drawnQuantityOf } from './drawn-scale';
import { drawnMembers } from './geometry';
import { placeOn, readingItems } from './reading-items';
import { isBars, type View } from './view';

/**
 * What is said of a member for as long as it is pointed at: its name with its section, and all values of the quantity that is drawn; `at`
 * a place of the drawing, in metres, also the value there.
 */
export function pointedItems(
  model: Model,
  solution: Solution | undefined,
  view: View,
  id: string,
  at?: readonly [x: number, y: number],
): Item[] {
  const member = drawnMembers(model, view).find((one) => one.id === id);
  if (!member) return [];
  const { x1, y1, x2, y2 } = member;
  const { section } = model.members[member.index]!;
  const items: Item[] = [
    worldPath([x1, y1, x2, y2], { stroke: 'selection', width: 7 * view.weight, opacity: 0.35 }),
    {
      kind: 'label',
      text: `${id} · ${section}`,
      ...{ x: (x1 + x2) / 2, y: (y1 + y2) / 2, dx: 0, dy: -8, away: [0, -1] },
      ...{ ink: 'text', role: 'load', rank: 100 },
    },
  ];
  const { outcome, quantity } = view;
  if (!solution?.outcomes[outcome] || quantity === 'none' || !isReady(solution, outcome, quantity)) return items;
  const governing = governingValues(solution, outcome, quantity);
  if (!governing) return items;
  const own = { ...view, pointed: id };
  const read = (drawn: DrawnQuantity): Item[] => (at ? readingItems(model, drawn, member, placeOn(member, ...at)) : []);
  if (isBars(view)) {
    const bars = barsOf(solution, outcome, [member], largestOf(governing));
    return [
      ...items,
      ...barLabels(model, bars, [member], governing, own),
      ...read({ solution, outcome, quantity, metresPerUnit: 0 }),
    ];
  }
  const drawn = drawnQuantityOf(model, solution, view);
  return drawn ? [...items, ...diagramLabels(model, drawn, [member], governing, own), ...read(drawn)] : items;
}
