import type { Camera } from '@rigid-beam/drawing/camera';
import type { Item } from '@rigid-beam/drawing/display-list';
import { sameView } from '@rigid-beam/drawing/ground';
import type { PlacedLabel } from '@rigid-beam/drawing/place-labels';
import type { SheetPart } from '@rigid-beam/drawing/sheet-items';
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

/** So many drawings stay that were looked at last, and that were made ahead. */
const MOST = { 'looked at': 4, ahead: 9 } as const;
/** Milliseconds for which nothing changes before anything is drawn ahead, and for which the pointer stays over a choice. */
const RESTING = { looked: 150, pointed: 20 } as const;
/** Where a drawing takes longer, milliseconds, only the likeliest is made ahead, or none: whoever presses a key meanwhile waits for it. */
const [LONG, LONGEST] = [50, 100];

/**
 * The drawings of a model that were looked at last, and those that are likely to be looked at next, which are made while nothing else is to do.
 * One of them is only painted when it is asked for.
 */
export class DrawnAhead {
  private kept: readonly Kept[] = [];
  private resting: ReturnType<typeof setTimeout> | undefined;
  private idle = 0;
  private took = 0;

  constructor(private readonly make: (asked: Asked) => DrawnView) {}

  /** The drawing that is asked for, made where it is not there. */
  drawing(asked: Asked, why: Kept['why'] = 'looked at'): DrawnView {
    const known = this.find(asked);
    const begun = performance.now();
    const made = known ?? this.make(asked);
    if (!known) this.took = performance.now() - begun;
    this.keep({ asked, made, why });
    return made;
  }

  /** What is made ahead does not take the place of what was looked at. */
  private keep(one: Kept): void {
    const others = this.kept.filter(({ asked, made }) => asked.drawn === one.asked.drawn && made !== one.made);
    const of = (why: Kept['why']): readonly Kept[] => [...others, one].filter((each) => each.why === why).slice(-MOST[why]);
    this.kept = [...of('ahead'), ...of('looked at')];
  }

  private find({ drawn, view, camera }: Asked): DrawnView | undefined {
    return this.kept.find(({ asked }) => asked.drawn === drawn && asked.camera === camera && sameView(asked.view, view))?.made;
  }

  /** Makes what may be asked for next, one after the other, each when nothing else is to do; `next` is asked as late as that. */
  prepare(next: () => readonly Asked[], after: keyof typeof RESTING = 'looked'): void {
    this.stop();
    // A browser that does not tell when it is idle draws nothing ahead.
    if (!('requestIdleCallback' in globalThis)) return;
    this.resting = setTimeout(() => this.goOn(next), RESTING[after]);
  }

  /** `left`: so many more are made, whatever becomes of them. */
  private goOn(next: () => readonly Asked[], left: number = MOST.ahead): void {
    this.idle = requestIdleCallback(() => {
      const count = this.took > LONGEST ? 0 : this.took > LONG ? 1 : MOST.ahead;
      const missing = next()
        .slice(0, count)
        .find((asked) => !this.find(asked));
      if (!missing) return;
      this.drawing(missing, 'ahead');
      if (left > 1) this.goOn(next, left - 1);
    });
  }

  /** Forgets all drawings: their texts are measured otherwise from now on. */
  forget(): void {
    this.kept = [];
  }

  stop(): void {
    clearTimeout(this.resting);
    if (this.idle !== 0) cancelIdleCallback(this.idle);
    this.idle = 0;
  }
}
