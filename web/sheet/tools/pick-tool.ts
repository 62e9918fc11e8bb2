import { distance, type Point } from '@rigid-beam/core/model/point';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { worldPath, type Item } from '@rigid-beam/drawing/display-list';
import { seenPoint } from '@rigid-beam/drawing/projection';
import type { Snap } from '@rigid-beam/drawing/snap';
import type { SheetController } from '../controller';
import { snapItems } from './snap-items';
import type { Tool, ToolPointer } from './tool';

/** Takes one point of the drawing after the other and hands them over once there are enough. Escape steps back. */
export class PickTool implements Tool {
  readonly name = 'pick';
  readonly cursor = 'crosshair';
  private readonly points: Point[] = [];
  private pointed: Snap | undefined;

  constructor(
    private readonly sheet: SheetController,
    /** What each point is, in a sentence; there are as many points. */
    private readonly asked: readonly string[],
    private readonly picked: (points: readonly Point[]) => void,
    /** What is shown while the pointer moves, for a preview. */
    private readonly hovered?: (points: readonly Point[]) => void,
    /** `free`: the grid does not catch the pointer; a picture has its own lines. */
    private readonly how: 'caught' | 'free' = 'caught',
  ) {}

  get hint(): string {
    return this.asked[this.points.length] ?? '';
  }

  move(event: ToolPointer): void {
    this.pointed = this.sheet.snap(event.x, event.y, {
      from: this.points.at(-1),
      ...(this.how === 'free' && { step: 1 / this.sheet.camera.scale }),
    });
    if (this.pointed) this.hovered?.([...this.points, this.pointed.at]);
  }

  up(event: ToolPointer): void {
    this.move(event);
    if (!this.pointed) return;
    this.points.push(this.pointed.at);
    if (this.points.length < this.asked.length) {
      this.sheet.say(this.hint);
      return;
    }
    this.sheet.takeSelect();
    this.picked(this.points);
  }

  key(event: KeyboardEvent): boolean {
    if (event.key !== 'Escape' || this.points.length === 0) return false;
    this.points.pop();
    this.sheet.say(this.hint);
    return true;
  }

  overlay(): Item[] {
    if (!this.pointed) return [];
    const marks = snapItems(this.pointed, this.sheet);
    const from = this.points.at(-1);
    if (!from) return marks;
    const { projection } = this.sheet.seen();
    const [[x1, y1], [x2, y2]] = [seenPoint(projection, from), seenPoint(projection, this.pointed.at)];
    const unit = { ...defaultDisplay, ...this.sheet.editor.state.model.display }.length;
    return [
      worldPath([x1, y1, x2, y2], { stroke: 'selection', width: 1.6, dash: [6, 4] }),
      ...marks,
      {
        kind: 'label',
        text: showQuantity(distance(from, this.pointed.at), unit, 5),
        x: (x1 + x2) / 2,
        y: (y1 + y2) / 2,
        dx: 0,
        dy: 4,
        away: [0, 1],
        ink: 'text',
        role: 'extreme',
        rank: Infinity,
      },
    ];
  }
}
