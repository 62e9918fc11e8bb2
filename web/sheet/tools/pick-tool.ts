import { distance, type Point } from '@rigid-beam/core/model/point';
import { lengthUnit } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { worldPath, type Item } from '@rigid-beam/drawing/display-list';
import { seenPoint, type WorkPlane } from '@rigid-beam/drawing/projection';
import type { SheetController } from '../controller';
import { PointCursor } from './point-cursor';
import { snapItems } from './snap-items';
import type { Tool, ToolPointer } from './tool';
import { pickTool as WORDS } from '../words';

const BY_KEYS = WORDS.hint;

interface PickOptions {
  /** What is shown while the mark moves, for a preview. */
  readonly hovered?: ((points: readonly Point[]) => void) | undefined;
  /** The pointer has gone, or the tool was put down: what was shown goes too. */
  readonly left?: () => void;
  /** The grid does not catch the mark: a picture has its own lines. */
  readonly free?: true;
  /** Another plane than the one in use. */
  readonly plane?: WorkPlane;
}

/** Takes one point of the drawing after the other and hands them over once there are enough. Escape steps back. */
export class PickTool implements Tool {
  readonly name = 'pick';
  readonly cursor = 'crosshair';
  readonly takesPlaces = true;
  private readonly points: Point[] = [];
  private readonly mark: PointCursor;
  private readonly hovered: PickOptions['hovered'];
  private readonly left: PickOptions['left'];

  constructor(
    private readonly sheet: SheetController,
    /** What each point is, in a sentence; there are as many points. */
    private readonly asked: readonly string[],
    private readonly picked: (points: readonly Point[]) => void,
    { hovered, left, free, plane }: PickOptions = {},
  ) {
    this.hovered = hovered;
    this.left = left;
    this.mark = new PointCursor(sheet, {
      from: () => this.points.at(-1),
      met: (at) => ({ kind: 'grid', at, on: [], words: '' }),
      taken: ({ at }) => this.take(at),
      ...(free && { step: () => 1 / sheet.view.camera.scale }),
      ...(plane && { plane }),
    });
  }

  get hint(): string {
    const asked = this.asked[this.points.length];
    return asked === undefined ? '' : `${asked} ${BY_KEYS}`;
  }

  move(event: ToolPointer): void {
    this.mark.move(event);
    this.show();
  }

  up(event: ToolPointer): void {
    this.move(event);
    if (this.mark.pointed) this.take(this.mark.pointed.at);
  }

  key(event: KeyboardEvent): boolean {
    if (event.key === 'Escape' && this.points.length > 0) {
      this.points.pop();
      this.sheet.say(this.hint);
      return true;
    }
    const used = this.mark.key(event);
    if (used) this.show();
    return used;
  }

  away(): void {
    this.left?.();
  }

  leave(): void {
    this.left?.();
  }

  private show(): void {
    if (this.mark.pointed) this.hovered?.([...this.points, this.mark.pointed.at]);
  }

  private take(at: Point): void {
    this.points.push(at);
    if (this.points.length < this.asked.length) {
      this.sheet.say(this.hint);
      this.sheet.refresh('overlay');
      return;
    }
    this.sheet.takeSelect();
    this.picked(this.points);
  }

  overlay(): Item[] {
    const { pointed } = this.mark;
    if (!pointed) return [];
    const marks = snapItems(pointed, this.sheet);
    const from = this.points.at(-1);
    if (!from) return marks;
    const { projection } = this.sheet.view.seen();
    const [[x1, y1], [x2, y2]] = [seenPoint(projection, from), seenPoint(projection, pointed.at)];
    const unit = lengthUnit(this.sheet.editor.state.model);
    return [
      worldPath([x1, y1, x2, y2], { stroke: 'selection', width: 1.6, dash: [6, 4] }),
      ...marks,
      {
        kind: 'label',
        text: showQuantity(distance(from, pointed.at), unit, 5),
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
