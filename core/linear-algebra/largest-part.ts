/** The largest size among the parts of a vector. */
export function largestPart(vector: Float64Array): number {
  let size = 0;
  for (let i = 0; i < vector.length; i++) {
    const absolute = Math.abs(vector[i]!);
    if (absolute > size) size = absolute;
  }
  return size;
}
