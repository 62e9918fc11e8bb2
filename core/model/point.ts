/** X, Y, Z in metres, or the parts of a vector. */
export type Point = readonly [number, number, number];

export { axisKeys as axisNames, type AxisKey as AxisName } from '../quantities/axis-names';

export const ORIGIN: Point = [0, 0, 0];
/** What stands somewhere; without z in the plane Z = 0. */
interface Placed {
  readonly x: number;
  readonly y: number;
  readonly z?: number;
}
export const pointOf = ({ x, y, z }: Placed): Point => [x, y, z ?? 0];
export const plus = (a: Point, b: Point): Point => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const minus = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const times = (a: Point, factor: number): Point => [a[0] * factor, a[1] * factor, a[2] * factor];
export const dot = (a: Point, b: Point): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Point, b: Point): Point => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const size = (a: Point): number => Math.hypot(a[0], a[1], a[2]);
export const distance = (a: Point, b: Point): number => size(minus(a, b));
/** a + t (b − a) */
export const between = (a: Point, b: Point, t: number): Point => plus(a, times(minus(b, a), t));

/** Sums of typed dimensions must not leave 7.199999999999999; a nanometre is nothing that is built. */
export const rounded = (x: number): number => Number(x.toFixed(9)) + 0;

/** A node at a point. Nodes of the plane Z = 0 are written without z, as in a plane model. */
export const nodeAt = (id: string, [x, y, z]: Point): Placed & { readonly id: string } => ({
  id,
  x: rounded(x),
  y: rounded(y),
  ...(rounded(z) !== 0 && { z: rounded(z) }),
});

/** Nodes nearer than this, in metres, are one. */
export const COINCIDENT = 1e-6;

/** Finds points near a point by the cells of a cubic grid, in time that does not grow with their number. */
export class PointIndex<T> {
  private readonly cells = new Map<string, { readonly at: Point; readonly what: T }[]>();

  /** `reach`: the distance within which points are found, metres. */
  constructor(private readonly reach: number) {}

  add(at: Point, what: T): void {
    const key = this.cell(at).join();
    const cell = this.cells.get(key);
    if (cell) cell.push({ at, what });
    else this.cells.set(key, [{ at, what }]);
  }

  /** Everything within reach, nearest first. */
  near(at: Point): T[] {
    const found: { readonly far: number; readonly what: T }[] = [];
    const [i, j, k] = this.cell(at).map(neighbours);
    for (const a of i!)
      for (const b of j!)
        for (const c of k!)
          for (const one of this.cells.get(`${a},${b},${c}`) ?? []) {
            const far = distance(one.at, at);
            if (far <= this.reach) found.push({ far, what: one.what });
          }
    return found.sort((p, q) => p.far - q.far).map(({ what }) => what);
  }

  private cell(at: Point): number[] {
    return at.map((part) => Math.floor(part / this.reach));
  }
}

/** A cell and those beside it. So far out that counting stops there is only the one. */
const neighbours = (cell: number): readonly number[] =>
  Number.isSafeInteger(cell - 1) && Number.isSafeInteger(cell + 1) ? [cell - 1, cell, cell + 1] : [cell];
