/** A member is vertical where its horizontal projection is under this part of its length. */
const VERTICAL = 1e-6;

/** Exact for quarter turns, where Math.cos leaves 6e-17. */
export function cosineAndSine(degrees: number): readonly [number, number] {
  const turn = ((degrees % 360) + 360) % 360;
  if (turn % 90 === 0) return QUARTERS[turn / 90]!;
  return [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
}

const QUARTERS: readonly (readonly [number, number])[] = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
];

/**
 * Local x, y, z (9 numbers, by rows) of a member along (dx, dy, dz), right-handed. y is the normal with the greatest upward part;
 * for a vertical member it is global −X, whichever way the member runs. `roll` (degrees, right-handed about x) then turns y and z.
 */
export function memberAxes(dx: number, dy: number, dz: number, roll: number): Float64Array {
  const length = Math.hypot(dx, dy, dz);
  const x = [dx / length, dy / length, dz / length] as const;
  const y = upright(x[0], x[1], x[2]);
  const z = [x[1] * y[2] - x[2] * y[1], x[2] * y[0] - x[0] * y[2], x[0] * y[1] - x[1] * y[0]] as const;
  const axes = new Float64Array(9);
  axes.set(x, 0);
  if (roll === 0) {
    axes.set(y, 3);
    axes.set(z, 6);
  } else {
    const [c, s] = cosineAndSine(roll);
    for (let i = 0; i < 3; i++) {
      axes[3 + i] = c * y[i]! + s * z[i]!;
      axes[6 + i] = c * z[i]! - s * y[i]!;
    }
  }
  // No −0, which would only confuse whoever reads it.
  for (let i = 0; i < 9; i++) axes[i]! += 0;
  return axes;
}

function upright(x: number, y: number, z: number): readonly [number, number, number] {
  const horizontal = Math.hypot(x, z);
  if (horizontal >= VERTICAL) return [(-x * y) / horizontal, horizontal, (-z * y) / horizontal];
  // Global −X, made normal to a member that leans by less than it takes to count.
  const normal = Math.hypot(1 - x * x, x * y, x * z);
  return [(x * x - 1) / normal, (x * y) / normal, (x * z) / normal];
}

/** Rows x, y, z of a support's axes from two vectors: x normalised, y made normal to it. Undefined where they are parallel or zero. */
export function supportAxes(xAxis: readonly number[], yAxis: readonly number[]): Float64Array | undefined {
  const size = Math.hypot(...xAxis);
  if (!(size > 0)) return undefined;
  const x = xAxis.map((part) => part / size);
  const along = x.reduce((sum, part, i) => sum + part * yAxis[i]!, 0);
  const rest = yAxis.map((part, i) => part - along * x[i]!);
  const left = Math.hypot(...rest);
  if (!(left > 1e-9 * Math.hypot(...yAxis))) return undefined;
  const y = rest.map((part) => part / left);
  return Float64Array.of(...x, ...y, x[1]! * y[2]! - x[2]! * y[1]!, x[2]! * y[0]! - x[0]! * y[2]!, x[0]! * y[1]! - x[1]! * y[0]!);
}
