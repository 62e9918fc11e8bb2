/** Milliseconds of one way there and back, and how often it goes before it rests where it is largest. */
const PERIOD = 1800;
const TIMES = 8;

/** How far a deflection that moves has come: from nothing to all of it and back, a few times; at rest at once for those who want less motion. */
export class Sway {
  private begun: number | undefined;
  private of: unknown;

  constructor(private readonly now: () => number = () => performance.now()) {}

  /** `of`: what deflects; anything else begins anew. */
  phase(of: unknown, how: 'moving' | 'still'): { readonly phase: number; readonly goesOn: boolean } {
    if (of !== this.of || this.begun === undefined) {
      this.of = of;
      this.begun = this.now();
    }
    const times = (this.now() - this.begun) / PERIOD;
    const goesOn = how === 'moving' && times < TIMES + 0.5;
    return { phase: goesOn ? (1 - Math.cos(2 * Math.PI * times)) / 2 : 1, goesOn };
  }

  stop(): void {
    this.begun = undefined;
  }
}
