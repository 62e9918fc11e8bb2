import type { Item } from '@rigid-beam/drawing/display-list';
import type { SheetController } from '../controller';
import { boxItems } from './box-tool';
import type { ToolPointer } from './tool';

/** Pixels by which a press may slip and still be a click. */
const SLACK = 5;

/** A box drawn with a tool in hand: a press that is dragged is meant for all that the box touches, any other for what is pointed at. */
export class BoxDrag {
  private from: ToolPointer | undefined;
  private to: ToolPointer | undefined;

  constructor(private readonly sheet: SheetController) {}

  down(event: ToolPointer): void {
    this.from = event;
    this.to = undefined;
  }

  /** True while a box is drawn. */
  move(event: ToolPointer): boolean {
    // A finger moves the paper.
    if (!this.from || event.type === 'touch') return false;
    if (this.to || Math.hypot(event.x - this.from.x, event.y - this.from.y) > SLACK) this.to = event;
    return this.to !== undefined;
  }

  /** What the press has become: a click, the corners of a box, or nothing where it slipped, or began elsewhere. */
  up(event: ToolPointer): 'click' | 'nothing' | { readonly from: ToolPointer; readonly to: ToolPointer } {
    const { from } = this;
    const isBox = this.move(event);
    this.cancel();
    if (!from) return 'nothing';
    if (isBox) return { from, to: event };
    return Math.hypot(event.x - from.x, event.y - from.y) > SLACK ? 'nothing' : 'click';
  }

  cancel(): void {
    this.from = undefined;
    this.to = undefined;
  }

  get isDrawn(): boolean {
    return this.to !== undefined;
  }

  overlay(): Item[] {
    return this.from && this.to ? boxItems(this.sheet, this.from, this.to) : [];
  }
}
