/**
 * A basis of the same space that shows its parts: the vectors of `first` are kept, `others` are reduced by them and among
 * themselves (Gauss–Jordan with full pivoting), which separates motions that have nothing to do with each other. Vectors that
 * `first` already spans vanish. `complete`: the others span all that `first` does.
 */
export function separated(first: readonly Float64Array[], others: readonly Float64Array[], complete = true): Float64Array[] {
  const rest = others.map((v) => scaled(v.slice()));
  for (const known of orthogonalPivots(first)) for (const v of rest) subtract(v, known.vector, v[known.pivot]!);
  const done: Float64Array[] = [];
  const expected = complete ? others.length - first.length : others.length;
  while (done.length < expected) {
    let [best, pivot, size] = [-1, -1, 0];
    rest.forEach((v, i) => {
      const at = largestAt(v);
      if (Math.abs(v[at]!) > size) [best, pivot, size] = [i, at, Math.abs(v[at]!)];
    });
    if (best < 0 || size < 1e-7) break;
    const [chosen] = rest.splice(best, 1) as [Float64Array];
    const unit = chosen.map((x) => x / chosen[pivot]!);
    for (const list of [rest, done]) for (const v of list) subtract(v, unit, v[pivot]!);
    done.push(unit);
  }
  return done.map((v) => v.map((x) => (Math.abs(x) < 1e-9 ? 0 : x)));
}

/** The vectors, each reduced by the ones before, with a place where it is 1 and the later ones are 0. */
function orthogonalPivots(vectors: readonly Float64Array[]): { vector: Float64Array; pivot: number }[] {
  const rest = vectors.map((v) => v.slice());
  return rest.map((v, i) => {
    const pivot = largestAt(v);
    const vector = v.map((x) => x / v[pivot]!);
    for (const later of rest.slice(i + 1)) subtract(later, vector, later[pivot]!);
    return { vector, pivot };
  });
}

function largestAt(v: Float64Array): number {
  let at = 0;
  for (let i = 1; i < v.length; i++) if (Math.abs(v[i]!) > Math.abs(v[at]!)) at = i;
  return at;
}

function scaled(v: Float64Array): Float64Array {
  const size = Math.abs(v[largestAt(v)]!) || 1;
  return v.map((x) => x / size);
}

function subtract(v: Float64Array, other: Float64Array, factor: number): void {
  if (factor !== 0) for (let i = 0; i < v.length; i++) v[i]! -= factor * other[i]!;
}
