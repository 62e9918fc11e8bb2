/**
 * What its owner lends until it does the next thing, and then writes over. Whoever wants it longer keeps a copy, or is handed it for good; a
 * look that comes too late fails instead of showing another model's numbers.
 */
export class Lent<T> {
  private isOver = false;

  constructor(
    private readonly value: T,
    private readonly copyOf: (value: T) => T,
  ) {}

  /** To be read now. */
  get now(): T {
    if (this.isOver) throw new Error('these results have been written over: they are read before the next update, or kept');
    return this.value;
  }

  /** One's own, for as long as one likes. */
  keep(): T {
    return this.copyOf(this.now);
  }

  /** For the owner alone. */
  end(): void {
    this.isOver = true;
  }
}
