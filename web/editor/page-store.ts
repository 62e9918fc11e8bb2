import { createStore, type StoreApi } from 'zustand/vanilla';

/** Milliseconds after which the page follows in any case. */
const LONGEST = 60;

/** What is pressed, typed or pasted. */
const INPUT = ['keydown', 'pointerdown', 'paste'] as const;

/**
 * What the parts of the page beside the sheet see of a state: the sheet goes before the page, since drawing the page anew takes several times
 * as long as solving. All of it is here, in three rules (docs/decisions/033):
 *
 * 1. `wait`: an edit or a choice begins. What changes from now on only the sheet sees.
 * 2. `afterPaint`: once the sheet is painted with it the page follows; in any case after some milliseconds.
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
    this.timer ??= setTimeout(() => this.catchUp(), LONGEST);
  }

  /** Does some work, then has the page follow, behind the next frame; at once where there are no frames, as in a window that nobody sees. */
  afterPaint(work: () => void = () => undefined): void {
    const follow = (): void => {
      work();
      this.catchUp();
    };
    if (typeof requestAnimationFrame === 'undefined' || document.hidden) return follow();
    requestAnimationFrame(() => setTimeout(follow));
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
