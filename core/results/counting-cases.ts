const known = new WeakMap<Float64Array, readonly number[]>();

/** The cases that count in a sum: those whose factors are not zero. Of thousands of cases a sum mostly has a few. */
export function countingCases(factors: Float64Array): readonly number[] {
  let counting = known.get(factors);
  if (!counting) known.set(factors, (counting = Array.from(factors.keys()).filter((c) => factors[c] !== 0)));
  return counting;
}
