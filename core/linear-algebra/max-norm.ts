/** The largest size among the parts of a vector. */
export function maxNorm(vector: Float64Array): number {
  let size = 0;
  for (let i = 0; i < vector.length; i++) {
    const absolute = Math.abs(vector[i]!);
    if (absolute > size) size = absolute;
  }
  return size;
}

/** The vector at a largest part of 1; zeros stay zeros. */
export function scaledToOne(vector: Float64Array): Float64Array {
  const size = maxNorm(vector) || 1;
  return vector.map((x) => x / size);
}
