import type { Model } from '@rigid-beam/core/model/model';
import { isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { barLabels, barsOf } from './axial-items';
import { governingValues, largestOf } from './diagram-scale';
import { worldPath, type Item } from './display-list';
import { drawnMembers } from './geometry';
import { scaleOfDiagram } from './sheet-items';
import { valueLabels } from './value-labels';
import type { View } from './view';

/** What is said of a member for as long as it is pointed at: its name with its section, and all values of the quantity that is drawn. */
export function pointedItems(model: Model, solution: Solution | undefined, view: View, id: string): Item[] {
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
  const governing =
    solution?.outcomes[view.outcome] && view.quantity !== 'none'
      ? governingValues(solution, view.outcome, view.quantity)
      : undefined;
  if (!solution || !governing || view.quantity === 'none' || !isReady(solution, view.outcome, view.quantity)) return items;
  const own = { ...view, pointed: id };
  if (view.quantity === 'N' && view.axial === 'bars')
    return [
      ...items,
      ...barLabels(model, barsOf(solution, view.outcome, [member], largestOf(governing)), [member], governing, own),
    ];
  const { metresPerUnit } = scaleOfDiagram(model, solution, view);
  const drawn = { solution, outcome: view.outcome, quantity: view.quantity, metresPerUnit };
  return metresPerUnit === 0 ? items : [...items, ...valueLabels(model, drawn, [member], governing, own)];
}
