import { once } from '@rigid-beam/core/once';
import type { Camera } from './camera';
import type { DisplayList } from './display-list';
import { Cells, LinesByCell, probeOf, type Met, type Obstacle, type TextBox } from './lines-by-cell';

/** The lines of a list that comes again. */
const linesOf = once((list: DisplayList, camera: Camera) => new LinesByCell(list, camera));

/** Lines of a drawing and texts that have their places. */
export class Obstacles {
  private readonly cells: Cells;
  private readonly lines: readonly LinesByCell[];
  private readonly boxes: TextBox[] = [];
  /** By cell: the boxes that touch it. */
  private readonly boxCells: number[][];

  /** Lists of a drawing; `isKept`: one that comes again. */
  constructor(parts: readonly { readonly items: DisplayList; readonly isKept: boolean }[], camera: Camera) {
    this.cells = new Cells(camera);
    this.boxCells = Array.from({ length: this.cells.count }, () => []);
    this.lines = parts.map(({ items, isKept }) => (isKept ? linesOf(items, camera) : new LinesByCell(items, camera, this.cells)));
  }

  /** A text has its place. */
  addBox(box: TextBox): void {
    const index = this.boxes.push(box) - 1;
    this.cells.some(probeOf(box), (cell) => {
      this.boxCells[cell]!.push(index);
      return false;
    });
  }

  /** What a box would touch: the heaviest of it, or the first of it that is enough for the one who asks. */
  met(box: TextBox, enough: Obstacle): Met {
    const probe = probeOf(box);
    let met: Met = 'nothing';
    this.cells.some(probe, (cell) => {
      if (this.boxCells[cell]!.some((index) => overlap(box, this.boxes[index]!))) met = 'something heavy';
      for (const lines of this.lines) {
        if (met === 'something heavy' || met === enough) return true;
        met = lines.met(probe, cell, met, enough);
      }
      return met === 'something heavy' || met === enough;
    });
    return met;
  }
}

/** Whether two boxes overlap, by the axes of both. */
export function overlap(a: TextBox, b: TextBox): boolean {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  for (const { angle } of a.angle === b.angle ? [a] : [a, b])
    for (const [ux, uy] of [
      [Math.cos(angle), Math.sin(angle)],
      [-Math.sin(angle), Math.cos(angle)],
    ] as const) {
      const reach = (box: TextBox): number =>
        Math.abs(ux * Math.cos(box.angle) + uy * Math.sin(box.angle)) * (box.width / 2 + 1) +
        Math.abs(uy * Math.cos(box.angle) - ux * Math.sin(box.angle)) * (box.height / 2);
      if (Math.abs(ux * dx + uy * dy) >= reach(a) + reach(b)) return false;
    }
  return true;
}
