import { screenX, screenY, type Camera } from './camera';
import { VERTEX, type DisplayList, type Item, type Path } from './display-list';
import { nextStart } from './trace-path';

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
export type Obstacle = Exclude<Met, 'nothing'>;

/** A box that is tried, with cosine and sine of its angle and half the sides of a square round it. */
export interface Probe {
  readonly box: TextBox;
  readonly c: number;
  readonly s: number;
  readonly around: number;
}

export const probeOf = (box: TextBox): Probe => ({
  box,
  c: Math.cos(box.angle),
  s: Math.sin(box.angle),
  around: (box.width + box.height) / 2,
});

const CELL = 28;

/** The cells of a coarse grid over the screen. */
export class Cells {
  readonly columns: number;
  readonly rows: number;

  constructor({ width, height }: Camera) {
    this.columns = Math.max(1, Math.ceil(width / CELL));
    this.rows = Math.max(1, Math.ceil(height / CELL));
  }

  get count(): number {
    return this.columns * this.rows;
  }

  /** The cell at a place, or −1 beside the screen. */
  at(x: number, y: number): number {
    const [i, j] = [Math.floor(x / CELL), Math.floor(y / CELL)];
    return i < 0 || j < 0 || i >= this.columns || j >= this.rows ? -1 : j * this.columns + i;
  }

  /** Visits the cells that a box touches, as much further as a line's half width reaches, until one of them is enough. */
  some({ box, c, s }: Probe, isEnough: (cell: number) => boolean): boolean {
    const w = (Math.abs(c) * box.width + Math.abs(s) * box.height) / 2 + 8;
    const h = (Math.abs(s) * box.width + Math.abs(c) * box.height) / 2 + 8;
    const [left, top] = [Math.max(0, Math.floor((box.x - w) / CELL)), Math.max(0, Math.floor((box.y - h) / CELL))];
    const right = Math.min(this.columns - 1, Math.floor((box.x + w) / CELL));
    const bottom = Math.min(this.rows - 1, Math.floor((box.y + h) / CELL));
    for (let j = top; j <= bottom; j++) for (let i = left; i <= right; i++) if (isEnough(j * this.columns + i)) return true;
    return false;
  }
}

/** Numbers for each line: x1, y1, x2, y2, half its width, and 1 where no text may touch it. */
const LINE = 6;

/** All lines that texts keep off in a list, in pixels, by the cells of a coarse grid over the screen. There are tens of thousands. */
export class LinesByCell {
  /** LINE numbers each. */
  private readonly numbers: Float64Array;
  private count = 0;
  /** By cell: the last of its entries, or −1. By entry: its line, and the entry before it in its cell, or −1. */
  private readonly last: Int32Array;
  private entries: Int32Array;
  private entryCount = 0;

  constructor(
    list: DisplayList,
    camera: Camera,
    private readonly cells = new Cells(camera),
  ) {
    this.last = new Int32Array(cells.count).fill(-1);
    let most = 0;
    for (const item of list) if (keepsOff(item)) most += item.vertices.length / VERTEX;
    this.numbers = new Float64Array(most * LINE);
    // Most of them begin and end in a cell or two.
    this.entries = new Int32Array(4 * most + 2);
    for (const item of list) if (keepsOff(item)) this.addPath(item, camera);
  }

  /** What a box would touch of the lines of a cell, or touches already; what is enough for the one who asks ends the search. */
  met(box: Probe, cell: number, known: Met, enough: Obstacle): Met {
    const { numbers, entries } = this;
    let met = known;
    for (let entry = this.last[cell]!; entry >= 0; entry = entries[2 * entry + 1]!) {
      const at = LINE * entries[2 * entry]!;
      const isHeavy = numbers[at + 5] === 1;
      if ((!isHeavy && met !== 'nothing') || !this.crosses(box, at)) continue;
      met = isHeavy ? 'something heavy' : 'something light';
      if (isHeavy || enough === 'something light') return met;
    }
    return met;
  }

  /** Whether a line, with its width and a little air, meets a box: it is cut in the box's own axes. */
  private crosses({ box, c, s, around }: Probe, at: number): boolean {
    const { numbers } = this;
    // Most lines of a cell pass by: they lie on one side of a square round the box, however that is turned.
    const air = numbers[at + 4]! + AIR;
    const reach = around + air;
    const [ax, ay] = [numbers[at]! - box.x, numbers[at + 1]! - box.y];
    const [bx, by] = [numbers[at + 2]! - box.x, numbers[at + 3]! - box.y];
    if ((ax < -reach && bx < -reach) || (ax > reach && bx > reach)) return false;
    if ((ay < -reach && by < -reach) || (ay > reach && by > reach)) return false;
    const [w, h] = [box.width / 2 + air, box.height / 2 + air - 1];
    return cuts(c * ax + s * ay, c * ay - s * ax, c * bx + s * by, c * by - s * bx, w, h);
  }

  private addPath({ vertices, parts, starts, closed, width = 1, stroke, texts }: Path, camera: Camera): void {
    const half = stroke ? width / 2 : 0;
    const heavy = texts === 'keep off' ? 1 : 0;
    const count = vertices.length / VERTEX;
    let [firstX, firstY, lastX, lastY] = [0, 0, 0, 0];
    let begins = 0;
    for (let v = 0, line = 0; v < count; v++) {
      const i = v * VERTEX;
      const x = screenX(camera, vertices[i]!) + vertices[i + 2]!;
      const y = screenY(camera, vertices[i + 1]!) - vertices[i + 3]!;
      if (v === begins) {
        if (closed && v > 0) this.add(lastX, lastY, firstX, firstY, half, heavy);
        firstX = x;
        firstY = y;
        begins = nextStart(v, line++, parts, starts);
      } else this.add(lastX, lastY, x, y, half, heavy);
      lastX = x;
      lastY = y;
    }
    if (closed) this.add(lastX, lastY, firstX, firstY, half, heavy);
  }

  private add(...[x1, y1, x2, y2, half, heavy]: [number, number, number, number, number, number]): void {
    const [dx, dy] = [x2 - x1, y2 - y1];
    // Cell by cell along the line: a long slanted one crosses few of those that its box covers.
    const steps = Math.min(200, Math.max(1, Math.ceil(Math.sqrt(dx * dx + dy * dy) / (CELL / 2))));
    let before = -1;
    for (let k = 0; k <= steps; k++) {
      const t = k / steps;
      const cell = this.cells.at(x1 + t * dx, y1 + t * dy);
      if (cell < 0 || cell === before) continue;
      this.enter(cell);
      before = cell;
    }
    if (before < 0) return;
    const at = LINE * this.count++;
    const { numbers } = this;
    numbers[at] = x1;
    numbers[at + 1] = y1;
    numbers[at + 2] = x2;
    numbers[at + 3] = y2;
    numbers[at + 4] = half;
    numbers[at + 5] = heavy;
  }

  private enter(cell: number): void {
    const at = 2 * this.entryCount;
    if (at === this.entries.length) {
      const more = new Int32Array(2 * at);
      more.set(this.entries);
      this.entries = more;
    }
    this.entries[at] = this.count;
    this.entries[at + 1] = this.last[cell]!;
    this.last[cell] = this.entryCount++;
  }
}

const keepsOff = (item: Item): item is Path => item.kind === 'path' && item.texts !== undefined && item.texts !== 'over it';

/** Pixels between a text and what it keeps off. */
const AIR = 1.5;

/** Whether the line from a to b meets the box of half sizes w and h about the origin: there is a part of it that is within in both axes (Liang and Barsky). */
function cuts(...[ax, ay, bx, by, w, h]: [number, number, number, number, number, number]): boolean {
  const [dx, dy] = [bx - ax, by - ay];
  // A line along an axis is within in the other all the way or nowhere: from −∞ to ∞, or not at all.
  const [left, right] = [(-w - ax) / dx, (w - ax) / dx];
  const [below, above] = [(-h - ay) / dy, (h - ay) / dy];
  const low = Math.max(0, Math.min(left, right), Math.min(below, above));
  const high = Math.min(1, Math.max(left, right), Math.max(below, above));
  return low <= high;
}
