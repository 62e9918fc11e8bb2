import { symbolPath, type Item } from '@rigid-beam/drawing/display-list';
import { seenPoint } from '@rigid-beam/drawing/projection';
import type { Snap } from '@rigid-beam/drawing/snap';
import { circle } from '@rigid-beam/drawing/structure-items';
import type { SheetController } from '../controller';

/** What the pointer means, marked and named before the click: a ring on anything that is there already, a cross on free paper. */
export function snapItems(snap: Snap, sheet: SheetController): Item[] {
  const [x, y] = seenPoint(sheet.view.seen().projection, snap.at);
  const isFree = snap.kind === 'grid' || snap.kind === 'grid line';
  const mark = symbolPath(x, y, isFree ? [-6, 0, 6, 0, 0, 0, 0, -6, 0, 6] : circle(7), {
    stroke: 'selection',
    width: 1.6,
    ...(!isFree && { closed: true }),
  });
  if (snap.words === '') return [mark];
  return [
    mark,
    { kind: 'label', text: snap.words, x, y, dx: 12, dy: -12, away: [1, -1], ink: 'text', role: 'value', rank: Infinity },
  ];
}
