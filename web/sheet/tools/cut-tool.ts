import { worldPath, type Item } from '@rigid-beam/drawing/display-list';
import { plus, times, type Point } from '@rigid-beam/core/model/point';
import { cutTool as WORDS } from '../words';
import { DragTool } from './drag-tool';
import type { ToolPointer } from './tool';

/** Pixels under which a line is none. */
const SHORT = 6;

/** Draws the line along which the structure is cut. */
export class CutTool extends DragTool {
  readonly name = 'cut';
  readonly hint = WORDS.hint;

  protected done(from: ToolPointer, to: ToolPointer): void {
    if (Math.hypot(to.x - from.x, to.y - from.y) < SHORT) return;
    const { right, up, toward } = this.sheet.view.seen().projection;
    const point = ({ x, y }: ToolPointer): Point => {
      const at = this.sheet.view.world(x, y);
      return plus(times(right, at.x), times(up, at.y));
    };
    this.sheet.takeSelect();
    this.sheet.editor.cut({ kind: 'line', from: point(from), to: point(to), toward, side: 'one' });
  }

  protected drawn(from: ToolPointer, to: ToolPointer): Item[] {
    const [a, b] = [this.sheet.view.world(from.x, from.y), this.sheet.view.world(to.x, to.y)];
    return [worldPath([a.x, a.y, b.x, b.y], { stroke: 'selection', width: 1.5, dash: [9, 4, 2, 4] })];
  }
}
