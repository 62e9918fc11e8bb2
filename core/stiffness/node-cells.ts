/** Points in cells: those that may lie in a box are found without looking at the others, however they are spread. */
export interface Cells {
  /** Calls `visit` with every point that lies in the box, and with some that lie near it. */
  readonly near: (low: readonly number[], high: readonly number[], visit: (point: number) => void) => void;
}

/** One direction, cut so that every part holds about as many different coordinates: part k begins at `starts[k]`. */
interface Axis {
  readonly starts: Float64Array;
  readonly partOf: (coordinate: number) => number;
}

/** About so many points lie in a cell when they are spread evenly. */
const A_FEW = 2;

/** Puts points (X, Y, Z of each) into cells. Directions in which points share few coordinates, as in storeys and bays, are cut there. */
export function cellsOf(coordinates: Float64Array): Cells {
  const count = coordinates.length / 3;
  const values = [0, 1, 2].map((k) => differentValues(coordinates, k));
  const axes = cutsOf(values, Math.max(1, count / A_FEW));
  const [nx, ny, nz] = axes.map(({ starts }) => starts.length) as [number, number, number];
  const cell = (i: number, j: number, k: number): number => (i * ny + j) * nz + k;
  const own = Int32Array.from({ length: count }, (_, p) => {
    const [i, j, k] = axes.map(({ partOf }, axis) => partOf(coordinates[3 * p + axis]!)) as [number, number, number];
    return cell(i, j, k);
  });
  const first = new Int32Array(nx * ny * nz + 1);
  for (const c of own) first[c + 1]!++;
  for (let c = 0; c + 1 < first.length; c++) first[c + 1]! += first[c]!;
  const next = first.slice();
  const points = new Int32Array(count);
  own.forEach((c, p) => (points[next[c]!++] = p));
  const near: Cells['near'] = (low, high, visit) => {
    const [i0, j0, k0] = axes.map(({ partOf }, axis) => partOf(low[axis]!)) as [number, number, number];
    const [i1, j1, k1] = axes.map(({ partOf }, axis) => partOf(high[axis]!)) as [number, number, number];
    for (let i = i0; i <= i1; i++)
      for (let j = j0; j <= j1; j++)
        // Cells that follow each other in the last direction hold points that do.
        for (let n = first[cell(i, j, k0)]!; n < first[cell(i, j, k1) + 1]!; n++) visit(points[n]!);
  };
  return { near };
}

function differentValues(coordinates: Float64Array, k: number): Float64Array {
  const sorted = Float64Array.from({ length: coordinates.length / 3 }, (_, p) => coordinates[3 * p + k]!).sort();
  return sorted.filter((value, i) => i === 0 || value !== sorted[i - 1]);
}

/** Cuts every direction, into no more than so many cells in all: where one has few different values, the others get more parts. */
function cutsOf(values: readonly Float64Array[], cells: number): Axis[] {
  const axes = new Array<Axis>(3);
  let left = cells;
  [0, 1, 2]
    .sort((a, b) => values[a]!.length - values[b]!.length)
    .forEach((k, done) => {
      const parts = Math.max(1, Math.min(values[k]!.length, Math.round(left ** (1 / (3 - done)))));
      left /= parts;
      axes[k] = axisOf(values[k]!, parts);
    });
  return axes;
}

function axisOf(values: Float64Array, parts: number): Axis {
  const starts = Float64Array.from({ length: parts }, (_, i) => values[Math.floor((i * values.length) / parts)]!);
  const partOf = (coordinate: number): number => {
    let [low, high] = [0, parts - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (starts[middle]! <= coordinate) low = middle;
      else high = middle - 1;
    }
    return low;
  };
  return { starts, partOf };
}
