type Numbers = Float64Array | Int32Array | Uint8Array;

/** Whether two lists hold the very same numbers, in all places or in those from…to. */
export function sameNumbers(a: Numbers, b: Numbers, from = 0, to = Math.max(a.length, b.length)): boolean {
  if (a === b) return true;
  // Each kind by a loop of its own: one loop for all of them is many times slower.
  if (a instanceof Float64Array && b instanceof Float64Array) return sameFloats(a, b, from, to);
  if (a instanceof Int32Array && b instanceof Int32Array) return sameIntegers(a, b, from, to);
  for (let i = from; i < to; i++) if (a[i] !== b[i]) return false;
  return true;
}

function sameFloats(a: Float64Array, b: Float64Array, from: number, to: number): boolean {
  for (let i = from; i < to; i++) if (a[i] !== b[i]) return false;
  return true;
}

function sameIntegers(a: Int32Array, b: Int32Array, from: number, to: number): boolean {
  for (let i = from; i < to; i++) if (a[i] !== b[i]) return false;
  return true;
}
