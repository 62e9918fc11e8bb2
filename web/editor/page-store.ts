import { createStore, type StoreApi } from 'zustand/vanilla';

/** Milliseconds after which the page follows in any case: while nothing new is there to be drawn, and while that is being painted. */
const LONGEST = 60;
const PAINTED = 500;

/** What is pressed, typed or pasted. */
const INPUT = ['keydown', 'pointerdown', 'paste'] as const;

/**
 * What the parts of the page beside the sheet see of a state: the sheet goes before the page, since drawing the page anew takes several times
 * as long as solving. All of it is here, in three rules (docs/decisions/033):
 *
 * 1. `wait`: an edit or a choice begins. What changes from now on only the sheet sees.
 * 2. `afterPaint`: once the sheet with it has come to the screen the page follows; in any case after some milliseconds.
 * 3. `beforeInput`: nobody acts on what is late. Before anything that is pressed or typed is heard, the page follows in one go.
 */
export class PageStore<T extends object> {
  readonly store: StoreApi<T>;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly source: StoreApi<T>) {
    this.store = createStore<T>(() => source.getState());
    source.subscribe((state) => {
      if (!this.isWaiting) this.store.setState(state, true);
    });
  }

  get isWaiting(): boolean {
    return this.timer !== undefined;
  }

  wait(): void {
    if (!this.isWaiting) this.waitFor(LONGEST);
  }

  private waitFor(milliseconds: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.catchUp(), milliseconds);
  }

  /** Does some work, then has the page follow, behind the frame after the one that paints the sheet; at once where there are no frames, as in a window that nobody sees. */
  afterPaint(work: () => void = () => undefined): void {
    const follow = (): void => {
      work();
      this.catchUp();
    };
    if (typeof requestAnimationFrame === 'undefined' || document.hidden) return follow();
    if (this.isWaiting) this.waitFor(PAINTED);
    // The first frame paints. When the second begins its picture is on the screen, and need not wait for the page.
    requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(follow)));
  }

  /** `inOneGo`: has what it does drawn before it returns (React's `flushSync`). Returns what ends it. */
  beforeInput(target: EventTarget, inOneGo: (work: () => void) => void): () => void {
    const hear = (): void => {
      if (this.isWaiting) inOneGo(() => this.catchUp());
    };
    for (const kind of INPUT) target.addEventListener(kind, hear, { capture: true });
    return () => {
      for (const kind of INPUT) target.removeEventListener(kind, hear, { capture: true });
    };
  }

  /** The page sees what is there now. */
  catchUp(): void {
    if (!this.isWaiting) return;
    clearTimeout(this.timer);
    this.timer = undefined;
    this.store.setState(this.source.getState(), true);
  }
}
