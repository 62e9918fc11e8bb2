import { maxNorm, scaledToOne } from './max-norm';

/** x −= (x·v / v·v)·v on as many numbers of x as v has, from `at` on: afterwards they are at right angles to v. */
export function orthogonalise(x: Float64Array, v: Float64Array, at = 0): void {
  let [along, size] = [0, 0];
  for (let k = 0; k < v.length; k++) {
    along += x[at + k]! * v[k]!;
    size += v[k]! ** 2;
  }
  if (along !== 0) for (let k = 0; k < v.length; k++) x[at + k]! -= (along / size) * v[k]!;
}

/**
 * The same space by vectors at right angles to each other (Gram and Schmidt), largest part 1. Those of which less than `dependent` is
 * left when the former ones are taken out are left out.
 */
export function atRightAngles(vectors: readonly Float64Array[], dependent = 0): Float64Array[] {
  const done: Float64Array[] = [];
  for (const vector of vectors) {
    const rest = scaledToOne(vector);
    for (const other of done) orthogonalise(rest, other);
    if (maxNorm(rest) > dependent) done.push(scaledToOne(rest));
  }
  return done;
}
