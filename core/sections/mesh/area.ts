import type { Loop } from '../path';

/** Sides that a band of the area holds on the average. */
const SIDES = 4;

/**
 * What closed lines enclose, outer ones anticlockwise, holes clockwise. Their sides are kept by level bands, so that a place is held against
 * those of its own band only.
 */
export class Area {
  /** Leftmost, rightmost, lowest and highest. */
  readonly range: readonly [left: number, right: number, low: number, high: number];
  private readonly bands: number[][];
  private readonly height: number;

  constructor(loops: readonly Loop[]) {
    const range: [number, number, number, number] = [Infinity, -Infinity, Infinity, -Infinity];
    for (const loop of loops)
      for (const [i, value] of loop.entries()) {
        const k = i % 2 === 0 ? 0 : 2;
        range[k] = Math.min(range[k], value);
        range[k + 1] = Math.max(range[k + 1]!, value);
      }
    this.range = range;
    const count = Math.max(1, Math.ceil(loops.reduce((sum, loop) => sum + loop.length / 2, 0) / SIDES));
    this.height = (range[3] - range[2]) / count || 1;
    this.bands = Array.from({ length: count }, () => []);
    for (const loop of loops)
      for (let i = 0; i < loop.length; i += 2) {
        const next = (i + 2) % loop.length;
        const [y0, y1] = [loop[i + 1]!, loop[next + 1]!];
        if (y0 === y1) continue;
        const [first, last] = [this.bandAt(Math.min(y0, y1)), this.bandAt(Math.max(y0, y1))];
        for (let band = first; band <= last; band++) this.bands[band]!.push(loop[i]!, y0, loop[next]!, y1);
      }
  }

  private bandAt(y: number): number {
    return Math.max(0, Math.min(this.bands.length - 1, Math.floor((y - this.range[2]) / this.height)));
  }

  /** Whether a place lies in the area: holes run the other way round, so that the turns around it cancel (winding number). */
  holds(z: number, y: number): boolean {
    let turns = 0;
    const sides = this.bands[this.bandAt(y)]!;
    for (let i = 0; i < sides.length; i += 4) {
      const [z0, y0, z1, y1] = [sides[i]!, sides[i + 1]!, sides[i + 2]!, sides[i + 3]!];
      if (y0 <= y === y1 <= y) continue;
      const isLeft = (z1 - z0) * (y - y0) - (z - z0) * (y1 - y0) > 0;
      if (y0 <= y && isLeft) turns++;
      if (y0 > y && !isLeft) turns--;
    }
    return turns > 0;
  }
}
