import type { Point } from './point';

type Segment = readonly [Point, Point];

/** Finds lines whose boxes overlap, by the cells of a grid of the usual length of a line. */
export class SegmentIndex {
  private readonly cells = new Map<string, number[]>();
  private readonly cell: number;

  constructor(private readonly segments: readonly Segment[]) {
    const lengths = segments.map(([a, b]) => Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2])).sort((p, q) => p - q);
    this.cell = Math.max(lengths[Math.floor(lengths.length / 2)] ?? 1, 1e-3);
    segments.forEach((segment, i) => {
      for (const key of this.keys(segment)) {
        const there = this.cells.get(key);
        if (there) there.push(i);
        else this.cells.set(key, [i]);
      }
    });
  }

  /** Every line (by its place in the list) that may come within `reach` of this one. */
  near(segment: Segment, reach: number): Set<number> {
    const found = new Set<number>();
    for (const key of this.keys(segment, reach)) for (const i of this.cells.get(key) ?? []) found.add(i);
    return found;
  }

  /** Pairs of lines that may touch, each once. */
  *pairs(reach: number): Generator<readonly [number, number]> {
    for (let i = 0; i < this.segments.length; i++) for (const j of this.near(this.segments[i]!, reach)) if (j > i) yield [i, j];
  }

  private *keys([a, b]: Segment, reach = 0): Generator<string> {
    const range = (k: 0 | 1 | 2): [number, number] => [
      Math.floor((Math.min(a[k], b[k]) - reach) / this.cell),
      Math.floor((Math.max(a[k], b[k]) + reach) / this.cell),
    ];
    const [x, y, z] = [range(0), range(1), range(2)];
    for (let i = x[0]; i <= x[1]; i++)
      for (let j = y[0]; j <= y[1]; j++) for (let k = z[0]; k <= z[1]; k++) yield `${i},${j},${k}`;
  }
}
