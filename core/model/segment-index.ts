import Flatbush from 'flatbush';
import { axisNames, type Point } from './point';

type Segment = readonly [Point, Point];

/**
 * Finds lines whose boxes overlap. The tree of boxes has two directions: those in which the lines have the most different places, so that
 * a row along any axis is told apart; the third is looked at afterwards. What it costs does not depend on how far things lie.
 */
export class SegmentIndex {
  private readonly tree: Flatbush | undefined;
  private readonly axes: readonly [number, number, number];

  constructor(private readonly segments: readonly Segment[]) {
    this.axes = axesByPlaces(segments);
    if (segments.length === 0) return;
    const [u, v] = this.axes;
    this.tree = new Flatbush(segments.length);
    for (const [a, b] of segments)
      this.tree.add(Math.min(a[u]!, b[u]!), Math.min(a[v]!, b[v]!), Math.max(a[u]!, b[u]!), Math.max(a[v]!, b[v]!));
    this.tree.finish();
  }

  /** Every line (by its place in the list) that may come within `reach` of this one, in the order of the list. */
  near([a, b]: Segment, reach: number): number[] {
    if (!this.tree) return [];
    const [u, v, w] = this.axes;
    const [low, high] = [Math.min(a[w]!, b[w]!) - reach, Math.max(a[w]!, b[w]!) + reach];
    const overlaps = (i: number): boolean => {
      const [p, q] = this.segments[i]!;
      return Math.max(p[w]!, q[w]!) >= low && Math.min(p[w]!, q[w]!) <= high;
    };
    return this.tree
      .search(
        Math.min(a[u]!, b[u]!) - reach,
        Math.min(a[v]!, b[v]!) - reach,
        Math.max(a[u]!, b[u]!) + reach,
        Math.max(a[v]!, b[v]!) + reach,
        overlaps,
      )
      .sort((i, j) => i - j);
  }

  /** Pairs of lines that may touch, each once. */
  *pairs(reach: number): Generator<readonly [number, number]> {
    for (let i = 0; i < this.segments.length; i++) for (const j of this.near(this.segments[i]!, reach)) if (j > i) yield [i, j];
  }
}

/** The directions, that with the most different places first. */
function axesByPlaces(segments: readonly Segment[]): readonly [number, number, number] {
  const places = axisNames.map((_, k) => new Set(segments.map(([a, b]) => (a[k]! + b[k]!).toPrecision(6))).size);
  return [0, 1, 2].sort((a, b) => places[b]! - places[a]!) as [number, number, number];
}
