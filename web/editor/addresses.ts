import type { PageStore } from './page-store';

/** The browser's own back and forth, as far as it is needed here. */
export interface Visited {
  readonly current: () => string;
  readonly push: (address: string) => void;
}

const ofBrowser: Visited = {
  current: () => window.location.search,
  push: (address) => window.history.pushState(null, '', address),
};

/**
 * Addresses of the places that one goes to, each a step of back and forth. They go with the page, behind the sheet: to note one takes a
 * browser as long as a small drawing.
 */
export class Addresses {
  private readonly coming: string[] = [];

  constructor(
    page: PageStore<object>,
    private readonly visited = ofBrowser,
  ) {
    page.store.subscribe(() => this.push());
  }

  /** One goes to a place; before its page follows. */
  add(address: string): void {
    this.coming.push(address);
  }

  private push(): void {
    for (const address of this.coming.splice(0)) if (address !== this.visited.current()) this.visited.push(address);
  }
}
