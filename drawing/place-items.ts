import type { Model } from '@rigid-beam/core/model/model';
import { lengthUnit } from '@rigid-beam/core/quantities/display';
import { showDimension } from './dimension-items';
import type { Label } from './display-list';
import { drawnNodes } from './geometry';
import type { View } from './view';

/** Nodes beyond this many are selected as a crowd: nobody reads where each of them stands. */
const FEW = 6;

/** Where each selected node stands, in the notation in which a place is typed: across by up, in space by forward. */
export function placeItems(model: Model, view: View): Label[] {
  const chosen = new Set(view.selection.flatMap((subject) => (subject.kind === 'node' ? [subject.id] : [])));
  if (chosen.size === 0 || chosen.size > FEW) return [];
  const unit = lengthUnit(model);
  const nodes = drawnNodes(model, view);
  return model.nodes.flatMap(({ id, x, y, z }): Label[] => {
    const node = chosen.has(id) ? nodes.get(id) : undefined;
    if (!node) return [];
    const parts = model.space === 'plane' ? [x, y] : [x, y, z ?? 0];
    return [
      {
        kind: 'label',
        text: parts.map((part) => showDimension(part, unit)).join(' by '),
        x: node.x,
        y: node.y,
        dx: 8 * view.weight,
        dy: 10 * view.weight,
        away: [1, 0.6],
        ink: 'text',
        role: 'value',
        rank: 98,
        subject: { kind: 'node', id },
      },
    ];
  });
}
