import type { Item } from '@rigid-beam/drawing/display-list';
import type { SheetController } from '../controller';
import type { Tool, ToolPointer } from './tool';

/** A tool that draws from one place of the sheet to another, wherever it begins. */
export abstract class DragTool implements Tool {
  readonly cursor = 'crosshair';
  abstract readonly name: string;
  abstract readonly hint: string;
  private from: ToolPointer | undefined;
  private to: ToolPointer | undefined;

  constructor(protected readonly sheet: SheetController) {}

  /** What is done when the pointer is let go. */
  protected abstract done(from: ToolPointer, to: ToolPointer): void;
  /** What is seen meanwhile. */
  protected abstract drawn(from: ToolPointer, to: ToolPointer): Item[];

  down(event: ToolPointer): void {
    this.from = event;
    this.to = event;
  }

  move(event: ToolPointer): void {
    if (this.from) this.to = event;
  }

  up(event: ToolPointer): void {
    const { from } = this;
    this.from = undefined;
    if (from) this.done(from, event);
  }

  cancel(): void {
    this.from = undefined;
  }

  overlay(): Item[] {
    return this.from && this.to ? this.drawn(this.from, this.to) : [];
  }
}
