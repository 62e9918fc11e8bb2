/** Numbers that look random and come again with the same seed, so that what went wrong can be repeated (mulberry32). */
export class Random {
  constructor(private state: number) {}

  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  }

  below(count: number): number {
    return Math.floor(this.next() * count);
  }

  of<T>(all: readonly T[]): T {
    return all[this.below(all.length)]!;
  }
}
