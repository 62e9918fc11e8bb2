import type { Camera } from '@rigid-beam/drawing/camera';
import type { Item } from '@rigid-beam/drawing/display-list';
import { sameView } from '@rigid-beam/drawing/ground';
import type { PlacedLabel } from '@rigid-beam/drawing/place-labels';
import type { SheetPart } from '@rigid-beam/drawing/sheet-items';
import type { Steps } from '@rigid-beam/core/steps';
import type { View } from '@rigid-beam/drawing/view';
import type { EditorState } from '../editor/editor-state';

/** What a drawing is of: of the same model and results, in the same view from the same camera, it is the same one. */
export interface Asked {
  readonly drawn: EditorState['drawn'];
  readonly view: View;
  readonly camera: Camera;
}

/** A drawing with its texts in their places. */
export interface DrawnView {
  readonly parts: readonly SheetPart[];
  readonly items: Item[];
  readonly placed: PlacedLabel[];
}

interface Kept {
  readonly asked: Asked;
  readonly made: DrawnView;
  readonly why: keyof typeof MOST;
}

/** A drawing that is being made. */
interface Work {
  readonly asked: Asked;
  readonly steps: Steps<DrawnView>;
  /** Its longest step up to now, milliseconds. */
  longest: number;
}

/** So many drawings stay that were looked at last, and that were made ahead or looked at before. */
const MOST = { 'looked at': 4, ahead: 28 } as const;
/** Milliseconds for which nothing changes before anything is drawn ahead, and for which the pointer stays over a choice. */
const RESTING = { looked: 150, pointed: 20 } as const;
/** Milliseconds of a step that whoever presses a key meanwhile may have to wait; where two drawings in turn have a longer one, no more is made ahead. */
const LONGEST = 100;
/** Milliseconds that must be left of an idle time for one more step. */
const LEFT = 10;

/**
 * The drawings of a model that were looked at last, and those that are likely to be looked at next, which are made while nothing else is to do.
 * One of them is only painted when it is asked for.
 */
export class DrawnAhead {
  private kept: readonly Kept[] = [];
  private resting: ReturnType<typeof setTimeout> | undefined;
  private idle = 0;
  /** What was begun ahead and is not made yet. */
  private begun: Work | undefined;
  /** What may be asked for next, as was told last. */
  private wanted: readonly Asked[] = [];
  /** So many drawings in turn had too long a step; one may, as the first of its kind is not compiled yet. */
  private slow = 0;

  constructor(private readonly make: (asked: Asked) => Steps<DrawnView>) {}

  /** The drawing that is asked for, made where it is not there; what is left of it where it was begun. */
  drawing(asked: Asked): DrawnView {
    let made = this.find(asked);
    if (!made) {
      const work = this.workOn(asked);
      while (!made) made = this.step(work);
    }
    this.keep({ asked, made, why: 'looked at' });
    // A machine that was slow for a moment is tried again with each look.
    this.slow = Math.min(this.slow, 1);
    return made;
  }

  private workOn(asked: Asked): Work {
    if (this.begun && isSame(this.begun.asked, asked)) return this.begun;
    return { asked, steps: this.make(asked), longest: 0 };
  }

  /** One step of it; the drawing, after its last. */
  private step(work: Work): DrawnView | undefined {
    const at = performance.now();
    // What fails is not gone on with.
    this.begun = undefined;
    const { done, value } = work.steps.next();
    work.longest = Math.max(work.longest, performance.now() - at);
    if (!done) {
      this.begun = work;
      return undefined;
    }
    this.slow = work.longest > LONGEST ? this.slow + 1 : 0;
    return value;
  }

  /**
   * What is made ahead does not take the place of what was looked at last; it stays as long as the camera does, as does what was looked at before, and what may be
   * asked for next stays longest.
   */
  private keep(one: Kept): void {
    const { drawn, camera } = one.asked;
    const all = [...this.kept.filter(({ asked, made }) => asked.drawn === drawn && made !== one.made), one];
    const looked = all.filter(({ why }) => why === 'looked at').slice(-MOST['looked at']);
    const ahead = all.filter((each) => each.asked.camera === camera && !looked.includes(each));
    const isWanted = ({ asked }: Kept): boolean => this.wanted.some((each) => isSame(each, asked));
    if (ahead.length > MOST.ahead) {
      const first = ahead.findIndex((each) => !isWanted(each));
      ahead.splice(Math.max(0, first), 1);
    }
    this.kept = [...ahead, ...looked];
  }

  private find(one: Asked): DrawnView | undefined {
    return this.kept.find(({ asked }) => isSame(asked, one))?.made;
  }

  /** Makes what may be asked for next, one after the other, each step when nothing else is to do; `next` is asked as late as that. */
  prepare(next: () => readonly Asked[], after: keyof typeof RESTING = 'looked'): void {
    this.stop();
    // A browser that does not tell when it is idle draws nothing ahead.
    if (!('requestIdleCallback' in globalThis)) return;
    this.resting = setTimeout(() => this.goOn(next), RESTING[after]);
  }

  /** `left`: so many more are begun, whatever becomes of them. */
  private goOn(next: () => readonly Asked[], left: number = MOST.ahead): void {
    this.idle = requestIdleCallback((time) => {
      this.wanted = this.slow > 1 ? [] : next().slice(0, MOST.ahead);
      const asked = this.wanted.find((one) => !this.find(one));
      const work = asked && this.workOn(asked);
      const stays = left - (work === this.begun ? 0 : 1);
      if (!work || stays < 0) return;
      let made = this.step(work);
      while (!made && time.timeRemaining() > LEFT) made = this.step(work);
      if (made) this.keep({ asked, made, why: 'ahead' });
      this.goOn(next, stays);
    });
  }

  /** Forgets all drawings: their texts are measured otherwise from now on. */
  forget(): void {
    this.kept = [];
    this.begun = undefined;
  }

  stop(): void {
    clearTimeout(this.resting);
    if (this.idle !== 0) cancelIdleCallback(this.idle);
    this.idle = 0;
  }
}

const isSame = (one: Asked, other: Asked): boolean =>
  one.view.outcome === other.view.outcome &&
  one.view.quantity === other.view.quantity &&
  one.drawn === other.drawn &&
  one.camera === other.camera &&
  sameView(one.view, other.view);
