import { worldPath, type Item } from '@rigid-beam/drawing/display-list';
import type { SheetController } from '../controller';
import { inBox } from '../in-box';
import type { Tool, ToolPointer } from './tool';
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
export class BoxTool implements Tool {
  readonly name = 'box';
  readonly cursor = 'crosshair';
  readonly hint = BOX_HINT;
  private from: ToolPointer | undefined;
  private to: ToolPointer | undefined;

  constructor(private readonly sheet: SheetController) {}

  down(event: ToolPointer): void {
    this.from = event;
    this.to = event;
  }

  move(event: ToolPointer): void {
    if (this.from) this.to = event;
  }

  up(event: ToolPointer): void {
    const { from } = this;
    if (!from) return;
    this.sheet.takeSelect();
    selectInBox(this.sheet, from, event);
  }

  cancel(): void {
    this.from = undefined;
  }

  overlay(): Item[] {
    return this.from && this.to ? boxItems(this.sheet, this.from, this.to) : [];
  }
}
