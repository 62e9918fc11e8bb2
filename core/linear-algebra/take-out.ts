/** x −= (x·v / v·v)·v on as many numbers of x as v has, from `at` on: afterwards they are at right angles to v. */
export function takeOut(x: Float64Array, v: Float64Array, at = 0): void {
  let [along, size] = [0, 0];
  for (let k = 0; k < v.length; k++) {
    along += x[at + k]! * v[k]!;
    size += v[k]! ** 2;
  }
  if (along !== 0) for (let k = 0; k < v.length; k++) x[at + k]! -= (along / size) * v[k]!;
}
