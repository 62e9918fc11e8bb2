import { screenX, screenY, type Camera } from './camera';
import { once } from '@rigid-beam/core/once';
import { VERTEX, type DisplayList } from './display-list';

/** A box on the screen, turned about its middle; pixels, `angle` in radians, clockwise as the screen's y points down. */
export interface TextBox {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly angle: number;
}

/** What a text meets where it would stand. */
export type Met = 'nothing' | 'something light' | 'something heavy';

const CELL = 28;
/** Pixels up to which a line counts as short, and from where a text is said to its furthest place, with its own size and a short line. */
const SHORT = 60;
const REACH = 260;
/** Numbers for each line: x1, y1, x2, y2, half its width, and 1 where no text may touch it. */
const LINE = 6;

/** Of a line: half its width, and 1 where no text may touch it. */
interface Keeps {
  half: number;
  heavy: number;
}
type VisitLine = (x1: number, y1: number, x2: number, y2: number, keeps: Keeps) => void;

/** All lines that texts keep off in a list, in pixels. */
function eachLine(list: DisplayList, camera: Camera, visit: VisitLine): void {
  const keeps: Keeps = { half: 0, heavy: 0 };
  for (const item of list) {
    if (item.kind !== 'path' || !item.texts || item.texts === 'over it') continue;
    const { vertices, parts, closed, width = 1, stroke, texts } = item;
    const part = (parts ?? Infinity) * VERTEX;
    keeps.half = stroke ? width / 2 : 0;
    keeps.heavy = texts === 'keep off' ? 1 : 0;
    let [firstX, firstY, lastX, lastY] = [0, 0, 0, 0];
    for (let i = 0; i < vertices.length; i += VERTEX) {
      const x = screenX(camera, vertices[i]!) + vertices[i + 2]!;
      const y = screenY(camera, vertices[i + 1]!) - vertices[i + 3]!;
      if (i === 0 || i % part === 0) {
        if (closed && i > 0) visit(lastX, lastY, firstX, firstY, keeps);
        [firstX, firstY] = [x, y];
      } else visit(lastX, lastY, x, y, keeps);
      [lastX, lastY] = [x, y];
    }
    if (closed) visit(lastX, lastY, firstX, firstY, keeps);
  }
}

const cellsOver = (pixels: number): number => Math.max(1, Math.ceil(pixels / CELL));

/** Lines, LINE numbers each; of each that is short in which cell it begins, else −1. */
interface KnownLines {
  readonly lines: Float64Array;
  readonly shortIn: Int32Array;
}

/** All lines that texts keep off in a list that comes again. */
export const linesOf = once((list: DisplayList, camera: Camera): KnownLines => {
  const [columns, rows] = [cellsOver(camera.width), cellsOver(camera.height)];
  const lines: number[] = [];
  const shortIn: number[] = [];
  eachLine(list, camera, (x1, y1, x2, y2, { half, heavy }) => {
    const [i, j] = [Math.floor(x1 / CELL), Math.floor(y1 / CELL)];
    const isThere = i >= 0 && j >= 0 && i < columns && j < rows;
    shortIn.push(isThere && Math.hypot(x2 - x1, y2 - y1) < SHORT ? j * columns + i : -1);
    lines.push(x1, y1, x2, y2, half, heavy);
  });
  return { lines: Float64Array.from(lines), shortIn: Int32Array.from(shortIn) };
});

/** Lines of a drawing and texts that have their places, by the cells of a coarse grid over the screen. */
export class Obstacles {
  private readonly columns: number;
  private readonly rows: number;
  private readonly lines: number[] = [];
  private readonly lineCells: number[][];
  private readonly keeps: Keeps = { half: 0, heavy: 0 };
  private readonly boxes: TextBox[] = [];
  private readonly boxCells: number[][];

  /** 1 for cells in which a text may come to stand, or through which a short line may come from there. */
  private readonly wanted: Uint8Array;

  /** `texts`: where texts ask for a place, x, y, …; what stands far from all of them is not looked at. */
  constructor({ width, height }: Camera, texts: readonly number[]) {
    this.columns = cellsOver(width);
    this.rows = cellsOver(height);
    const cells = (): number[][] => Array.from({ length: this.columns * this.rows }, () => []);
    this.lineCells = cells();
    this.boxCells = cells();
    this.wanted = new Uint8Array(this.columns * this.rows);
    for (let k = 0; k < texts.length; k += 2) this.want(texts[k]!, texts[k + 1]!);
  }

  private want(x: number, y: number): void {
    const from = (at: number): number => Math.max(0, Math.floor((at - REACH) / CELL));
    const to = (at: number, last: number): number => Math.min(last, Math.floor((at + REACH) / CELL));
    for (let j = from(y); j <= to(y, this.rows - 1); j++)
      this.wanted.fill(1, j * this.columns + from(x), j * this.columns + to(x, this.columns - 1) + 1);
  }

  /** All that texts keep off in a list. */
  addPaths(list: DisplayList, camera: Camera): void {
    eachLine(list, camera, (x1, y1, x2, y2, keeps) => this.addLine(x1, y1, x2, y2, keeps));
  }

  /** The same of lines that are found already. */
  addLines({ lines, shortIn }: KnownLines): void {
    for (let k = 0, at = 0; k < shortIn.length; k++, at += LINE) {
      const cell = shortIn[k]!;
      if (cell >= 0 && this.wanted[cell] === 0) continue;
      this.keeps.half = lines[at + 4]!;
      this.keeps.heavy = lines[at + 5]!;
      this.addLine(lines[at]!, lines[at + 1]!, lines[at + 2]!, lines[at + 3]!, this.keeps);
    }
  }

  private addLine(x1: number, y1: number, x2: number, y2: number, { half, heavy }: Keeps): void {
    const [dx, dy] = [x2 - x1, y2 - y1];
    const length = Math.sqrt(dx * dx + dy * dy);
    const begins = this.cellAt(x1, y1);
    if (length < SHORT && begins >= 0 && this.wanted[begins] === 0) return;
    const index = this.lines.length / LINE;
    let isSeen = false;
    // Cell by cell along the line: a long slanted one crosses few of those that its box covers.
    const steps = Math.min(200, Math.max(1, Math.ceil(length / (CELL / 2))));
    let before = -1;
    for (let k = 0; k <= steps; k++) {
      const t = k / steps;
      const cell = this.cellAt(x1 + t * dx, y1 + t * dy);
      if (cell < 0 || cell === before) continue;
      this.lineCells[cell]!.push(index);
      before = cell;
      isSeen = true;
    }
    if (isSeen) this.lines.push(x1, y1, x2, y2, half, heavy);
  }

  private cellAt(x: number, y: number): number {
    const [i, j] = [Math.floor(x / CELL), Math.floor(y / CELL)];
    return i < 0 || j < 0 || i >= this.columns || j >= this.rows ? -1 : j * this.columns + i;
  }

  /** A text has its place. */
  addBox(box: TextBox): void {
    const index = this.boxes.push(box) - 1;
    this.eachCell(box, (cell) => void this.boxCells[cell]!.push(index));
  }

  /** What a box would touch. */
  met(box: TextBox): Met {
    let light = false;
    let heavy = false;
    this.eachCell(box, (cell) => {
      if (heavy) return;
      for (const index of this.boxCells[cell]!) if (overlap(box, this.boxes[index]!)) heavy = true;
      if (heavy) return;
      for (const index of this.lineCells[cell]!) {
        const isHeavy = this.lines[index * LINE + 5] === 1;
        if ((!isHeavy && light) || !this.crosses(box, index)) continue;
        if (isHeavy) {
          heavy = true;
          return;
        }
        light = true;
      }
    });
    return heavy ? 'something heavy' : light ? 'something light' : 'nothing';
  }

  /** Whether a line, with its width and a little air, meets a box: it is cut in the box's own axes. */
  private crosses({ x, y, width, height, angle }: TextBox, index: number): boolean {
    const at = index * LINE;
    // Most lines of a cell pass by: they lie on one side of a square round the box, however that is turned.
    const reach = (width + height) / 2 + this.lines[at + 4]! + AIR;
    const [x1, y1, x2, y2] = [this.lines[at]!, this.lines[at + 1]!, this.lines[at + 2]!, this.lines[at + 3]!];
    if (x1 < x - reach && x2 < x - reach) return false;
    if (x1 > x + reach && x2 > x + reach) return false;
    if (y1 < y - reach && y2 < y - reach) return false;
    if (y1 > y + reach && y2 > y + reach) return false;
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    const [ax, ay, bx, by] = [x1 - x, y1 - y, x2 - x, y2 - y];
    const air = this.lines[at + 4]! + AIR;
    return cuts([c * ax + s * ay, c * ay - s * ax], [c * bx + s * by, c * by - s * bx], width / 2 + air, height / 2 + air - 1);
  }

  private eachCell(box: TextBox, visit: (cell: number) => void): void {
    const [c, s] = [Math.abs(Math.cos(box.angle)), Math.abs(Math.sin(box.angle))];
    // As much further as a line's half width reaches.
    const [w, h] = [(c * box.width + s * box.height) / 2 + 8, (s * box.width + c * box.height) / 2 + 8];
    const from = [Math.max(0, Math.floor((box.x - w) / CELL)), Math.max(0, Math.floor((box.y - h) / CELL))] as const;
    const to = [
      Math.min(this.columns - 1, Math.floor((box.x + w) / CELL)),
      Math.min(this.rows - 1, Math.floor((box.y + h) / CELL)),
    ] as const;
    for (let j = from[1]; j <= to[1]; j++) for (let i = from[0]; i <= to[0]; i++) visit(j * this.columns + i);
  }
}

/** Pixels between a text and what it keeps off. */
const AIR = 1.5;

type Pair = readonly [number, number];

/** Whether the line from a to b meets the box of these half sizes about the origin (Liang and Barsky). */
function cuts([ax, ay]: Pair, [bx, by]: Pair, w: number, h: number): boolean {
  let [low, high] = [0, 1];
  const clip = (p: number, q: number): boolean => {
    if (p === 0) return q >= 0;
    const t = q / p;
    if (p < 0) low = Math.max(low, t);
    else high = Math.min(high, t);
    return low <= high;
  };
  const [dx, dy] = [bx - ax, by - ay];
  return clip(-dx, ax + w) && clip(dx, w - ax) && clip(-dy, ay + h) && clip(dy, h - ay);
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
