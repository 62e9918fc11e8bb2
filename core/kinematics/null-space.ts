import { scaledToOne } from '../linear-algebra/max-norm';
import { addTimes } from '../linear-algebra/vectors';

/**
 * A basis of the same space that shows its parts: the vectors of `first` are kept, `others` are reduced by them and among
 * themselves (Gauss–Jordan with full pivoting), which separates motions that have nothing to do with each other. Vectors that
 * `first` already spans vanish. `spanned`: how much of what `first` spans the others do. `leads`: places that pivots are taken from before all
 * others, so that vectors without them come out as such.
 */
export function separated(
  first: readonly Float64Array[],
  others: readonly Float64Array[],
  spanned: 'all' | 'some' = 'all',
  leads?: (place: number) => boolean,
): Float64Array[] {
  const rest = others.map((v) => scaledToOne(v));
  for (const known of orthogonalPivots(first, leads)) for (const v of rest) addTimes(v, known.vector, -v[known.pivot]!);
  const done: Float64Array[] = [];
  const expected = spanned === 'all' ? others.length - first.length : others.length;
  while (done.length < expected) {
    const found = (leads && pivotIn(rest, leads)) ?? pivotIn(rest);
    if (!found) break;
    const { best, pivot } = found;
    const [chosen] = rest.splice(best, 1) as [Float64Array];
    const unit = chosen.map((x) => x / chosen[pivot]!);
    for (const list of [rest, done]) for (const v of list) addTimes(v, unit, -v[pivot]!);
    done.push(unit);
  }
  return done;
}

/** Less than this is left of a vector that the others span. */
const LEFT = 1e-7;

/** The largest part of some vectors, at some places; undefined where only rounding is left. */
function pivotIn(
  vectors: readonly Float64Array[],
  counts?: (place: number) => boolean,
): { best: number; pivot: number } | undefined {
  let [best, pivot, size] = [-1, -1, LEFT];
  vectors.forEach((v, i) => {
    const at = largestAt(v, counts);
    if (at >= 0 && Math.abs(v[at]!) > size) [best, pivot, size] = [i, at, Math.abs(v[at]!)];
  });
  return best < 0 ? undefined : { best, pivot };
}

/** The vectors, each reduced by the ones before, with a place where it is 1 and the later ones are 0. */
function orthogonalPivots(
  vectors: readonly Float64Array[],
  leads?: (place: number) => boolean,
): { vector: Float64Array; pivot: number }[] {
  const rest = vectors.map((v) => scaledToOne(v));
  return rest.map((v, i) => {
    const { pivot } = (leads && pivotIn([v], leads)) ?? { pivot: largestAt(v) };
    const vector = v.map((x) => x / v[pivot]!);
    for (const later of rest.slice(i + 1)) addTimes(later, vector, -later[pivot]!);
    return { vector, pivot };
  });
}

function largestAt(v: Float64Array, counts?: (place: number) => boolean): number {
  let at = -1;
  for (let i = 0; i < v.length; i++) if ((at < 0 || Math.abs(v[i]!) > Math.abs(v[at]!)) && (!counts || counts(i))) at = i;
  return at;
}
