import { worldPath, type Item } from '@rigid-beam/drawing/display-list';
import type { SheetController } from '../controller';
import { inBox } from '../in-box';
import { DragTool } from './drag-tool';
import type { ToolPointer } from './tool';
import { boxTool as WORDS } from '../words';

export const BOX_HINT = WORDS.hint;

/** The box between two places of the sheet: dashed where touching is enough. */
export function boxItems(sheet: SheetController, from: ToolPointer, to: ToolPointer): Item[] {
  const [a, b] = [sheet.view.world(from.x, from.y), sheet.view.world(to.x, to.y)];
  const corners = [a.x, a.y, b.x, a.y, b.x, b.y, a.x, b.y];
  const dash = to.alt ? {} : { dash: [5, 4] };
  return [
    worldPath(corners, { closed: true, stroke: 'selection', fill: 'selection', opacity: 0.12 }),
    worldPath(corners, { closed: true, stroke: 'selection', width: 1.4, ...dash }),
  ];
}

/** Selects what a box touches, or with Alt holds. */
export function selectInBox(sheet: SheetController, from: ToolPointer, to: ToolPointer): void {
  const { editor } = sheet;
  const found = inBox(sheet, from, to, to.alt ? 'inside' : 'touching');
  editor.select(to.shift ? [...editor.state.selection, ...found] : found);
}

/** Draws one box wherever it begins, also over members, and also with a finger, which otherwise moves the paper. */
export class BoxTool extends DragTool {
  readonly name = 'box';
  readonly hint = BOX_HINT;

  protected done(from: ToolPointer, to: ToolPointer): void {
    this.sheet.takeSelect();
    selectInBox(this.sheet, from, to);
  }

  protected drawn(from: ToolPointer, to: ToolPointer): Item[] {
    return boxItems(this.sheet, from, to);
  }
}
