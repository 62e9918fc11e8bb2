import { minus, plus, type Point } from '@rigid-beam/core/model/point';
import { lengthUnit } from '@rigid-beam/core/quantities/display';
import type { WorkPlane } from '@rigid-beam/drawing/projection';
import type { Snap } from '@rigid-beam/drawing/snap';
import type { SheetController } from '../controller';
import { notationOf, readStep } from './read-step';
import type { ToolPointer } from './tool';
import { pointCursor as WORDS } from '../words';

/** What a tool that takes points wants of each. */
export interface PointWish {
  /** Where the way begins whose end is asked for; a first point has none. */
  readonly from: () => Point | undefined;
  /** The steps that the pointer snaps to, metres; the grid's where it is left out. */
  readonly step?: () => number;
  /** The plane on which they lie; the one in use where it is left out. */
  readonly plane?: WorkPlane;
  /** The thing found at a place that was typed. */
  readonly met: (at: Point) => Snap;
  readonly taken: (at: Snap) => void;
}

const PLACE = WORDS.notation;

/** Whether a key begins a place or a way that is typed. */
export const isPlaceKey = (event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey'>): boolean =>
  /^[\d.(t-]$/.test(event.key) && !event.ctrlKey && !event.metaKey && !event.altKey;

/** Where a tool points: led by the pointer, by arrow keys from one step of the grid to the next, or typed. */
export class PointCursor {
  pointed: Snap | undefined;
  private screen: { readonly x: number; readonly y: number };

  constructor(
    private readonly sheet: SheetController,
    private readonly wish: PointWish,
  ) {
    this.screen = { x: sheet.view.camera.width / 2, y: sheet.view.camera.height / 2 };
  }

  move(event: ToolPointer): void {
    this.screen = event;
    const step = this.wish.step?.();
    const { plane } = this.wish;
    this.pointed = this.sheet.snap(event.x, event.y, {
      from: this.wish.from(),
      ...(step !== undefined && { step }),
      ...(plane && { plane }),
    });
  }

  /** True when the key was used: an arrow, Enter, or the first character of a place. */
  key(event: KeyboardEvent): boolean {
    if (this.step(event)) return true;
    if (event.key === 'Enter' && this.pointed) {
      this.wish.taken(this.pointed);
      return true;
    }
    if (!isPlaceKey(event)) return false;
    this.sheet.openTyped({
      left: this.screen.x,
      top: this.screen.y,
      hint: this.wish.from() ? notationOf(this.sheet.editor.state.model.space) : PLACE,
      first: event.key,
      isBegun: true,
      commit: (text) => this.typed(text),
      ...(!this.wish.from() && { label: WORDS.placeOnTheDrawing }),
    });
    event.preventDefault();
    return true;
  }

  /** Arrow keys carry the mark from one point of the grid to the next; with Shift ten at once. */
  private step(event: KeyboardEvent): boolean {
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!way) return false;
    const step = this.wish.step?.() ?? this.sheet.view.step();
    const pixels = Math.max(step * this.sheet.view.camera.scale, LEAST) * (event.shiftKey ? 10 : 1);
    const [x, y] = [this.screen.x + way[0]! * pixels, this.screen.y + way[1]! * pixels];
    this.move({ x, y, type: 'keyboard', shift: false, alt: false });
    event.preventDefault();
    return true;
  }

  private typed(text: string): string | undefined {
    const from = this.wish.from();
    const { model } = this.sheet.editor.state;
    const toward = from && this.pointed ? minus(this.pointed.at, from) : ([1, 0, 0] as const);
    const unit = lengthUnit(model);
    const way = readStep(text, unit, toward, from ? 'way' : 'place', model.space);
    if (!way.ok) return way.reason;
    this.wish.taken(this.wish.met(way.absolute || !from ? way.by : plus(from, way.by)));
    return undefined;
  }
}

/** Pixels that one arrow key moves at least. */
const LEAST = 2;
