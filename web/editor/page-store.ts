import { createStore, type StoreApi } from 'zustand/vanilla';

/** Milliseconds after which the page follows in any case. */
const LONGEST = 60;

/**
 * What the parts of the page beside the sheet see of a state. After an edit or a choice they wait until the sheet has been painted with it:
 * drawing the page anew takes several times as long as solving. Nobody acts on what is late: see `catchUp`.
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

  /** The page sees what is there now: after the sheet, or before anything that is pressed or typed is heard. */
  catchUp(): void {
    if (!this.isWaiting) return;
    clearTimeout(this.timer);
    this.timer = undefined;
    this.store.setState(this.source.getState(), true);
  }
}
