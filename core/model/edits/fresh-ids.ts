import { lettersOf } from './next-id';

/** Gives one free id after the other, quickly also in large models. */
export class FreshIds {
  private readonly used: Set<string>;
  private n = 0;

  constructor(
    ids: Iterable<string>,
    private readonly style: 'numbers' | 'letters',
  ) {
    this.used = new Set(ids);
  }

  next(): string {
    for (;;) {
      this.n++;
      const id = this.style === 'numbers' ? String(this.n) : lettersOf(this.n);
      if (this.used.has(id)) continue;
      this.used.add(id);
      return id;
    }
  }
}
