/** Numbers up to which room is kept for the next time. */
const KEPT = 1e6;

/**
 * Room for vectors that are needed again and again, each time until the next: as many zeros as asked for, in one buffer. New memory
 * takes the platform several times as long as what is done with short vectors.
 */
export function vectorRoom(): (count: number, length: number) => Float64Array[] {
  let room = new Float64Array(0);
  return (count, length) => {
    const size = count * length;
    const all = size <= room.length ? room.fill(0, 0, size) : new Float64Array(size);
    if (size <= KEPT) room = all;
    return Array.from({ length: count }, (_, i) => all.subarray(i * length, (i + 1) * length));
  };
}

/** Adds a vector, times a factor, to another of the same length. */
export function addTimes(out: Float64Array, other: Float64Array, factor: number): void {
  const { length } = out;
  if (factor !== 0) for (let i = 0; i < length; i++) out[i]! += factor * other[i]!;
}
