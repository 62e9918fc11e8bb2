export type Vector = readonly [number, number, number];
/** x, y and z of a member or a support, each in global components. */
export type Axes = readonly [Vector, Vector, Vector];

export const add = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const size = (a: Vector): number => Math.sqrt(dot(a, a));
export const scaled = (a: Vector, s: number): Vector => [a[0] * s, a[1] * s, a[2] * s];
export const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/** Axes of a member by the words of the model format: y points upwards as far as it can, along −X where the member is vertical. */
export function localAxes(along: Vector, roll: number): Axes {
  const x = scaled(along, 1 / size(along));
  const up: Vector = Math.hypot(x[0], x[2]) < 1e-6 ? [-1, 0, 0] : [0, 1, 0];
  const rest = minus(up, scaled(x, dot(up, x)));
  const y = scaled(rest, 1 / size(rest));
  const z = cross(x, y);
  const [c, s] = [Math.cos((roll * Math.PI) / 180), Math.sin((roll * Math.PI) / 180)];
  return [x, add(scaled(y, c), scaled(z, s)), add(scaled(z, c), scaled(y, -s))];
}
