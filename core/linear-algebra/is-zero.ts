const known = new WeakMap<Float64Array, boolean>();

/** Whether a list holds nothing but zeros. It is looked through once: for lists that are not written to any more. */
export function isZero(list: Float64Array): boolean {
  let answer = known.get(list);
  if (answer === undefined) known.set(list, (answer = list.every((value) => value === 0)));
  return answer;
}
