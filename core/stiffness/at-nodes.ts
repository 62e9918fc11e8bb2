import { keptEntries } from './kept-entries';
import { MEMBER_FREEDOMS, type Structure } from './structure';

const N = MEMBER_FREEDOMS;
const whole = new Float64Array(N * N);

/** Adds Bᵀ·k·B of member m (k: symmetric, 12 × 12 by rows) to what is kept of it among all (`nodal`, as `MemberMatrices` has it). */
export function addAtNodes(s: Structure, m: number, B: Float64Array | undefined, k: Float64Array, nodal: Float64Array): void {
  const { width, origins } = keptEntries(s);
  if (B) throughEnds(B, k, whole);
  else throughAxes(s.axes, 9 * m, k, whole);
  for (let e = 0, at = width * m; e < width; e++, at++) nodal[at]! += whole[origins[e]!]!;
}

/**
 * The lower triangle of Rᵀ·k·R, 3 × 3 blocks of k one by one; of those on the diagonal all. Written out, since it runs for each member in every round of
 * what is found by iteration.
 */
function throughAxes(axes: Float64Array, r: number, k: Float64Array, result: Float64Array): void {
  const xX = axes[r]!;
  const xY = axes[r + 1]!;
  const xZ = axes[r + 2]!;
  const yX = axes[r + 3]!;
  const yY = axes[r + 4]!;
  const yZ = axes[r + 5]!;
  const zX = axes[r + 6]!;
  const zY = axes[r + 7]!;
  const zZ = axes[r + 8]!;
  for (let I = 0; I < 4; I++)
    for (let J = 0; J <= I; J++) {
      const x = 3 * I * N + 3 * J;
      const y = x + N;
      const z = y + N;
      const xXof = k[x]! * xX + k[x + 1]! * yX + k[x + 2]! * zX;
      const xYof = k[x]! * xY + k[x + 1]! * yY + k[x + 2]! * zY;
      const xZof = k[x]! * xZ + k[x + 1]! * yZ + k[x + 2]! * zZ;
      const yXof = k[y]! * xX + k[y + 1]! * yX + k[y + 2]! * zX;
      const yYof = k[y]! * xY + k[y + 1]! * yY + k[y + 2]! * zY;
      const yZof = k[y]! * xZ + k[y + 1]! * yZ + k[y + 2]! * zZ;
      const zXof = k[z]! * xX + k[z + 1]! * yX + k[z + 2]! * zX;
      const zYof = k[z]! * xY + k[z + 1]! * yY + k[z + 2]! * zY;
      const zZof = k[z]! * xZ + k[z + 1]! * yZ + k[z + 2]! * zZ;
      result[x] = xX * xXof + yX * yXof + zX * zXof;
      result[x + 1] = xX * xYof + yX * yYof + zX * zYof;
      result[x + 2] = xX * xZof + yX * yZof + zX * zZof;
      result[y] = xY * xXof + yY * yXof + zY * zXof;
      result[y + 1] = xY * xYof + yY * yYof + zY * zYof;
      result[y + 2] = xY * xZof + yY * yZof + zY * zZof;
      result[z] = xZ * xXof + yZ * yXof + zZ * zXof;
      result[z + 1] = xZ * xYof + yZ * yYof + zZ * zYof;
      result[z + 2] = xZ * xZof + yZ * yZof + zZ * zZof;
    }
}

/** The lower triangle of Bᵀ·k·B, 12 × 12 by rows. Only what is not zero is carried, which is little in a member without releases. */
function throughEnds(B: Float64Array, k: Float64Array, result: Float64Array): void {
  const kB = new Float64Array(N * N);
  result.fill(0);
  for (let i = 0; i < N; i++)
    for (let l = 0; l < N; l++) {
      const kil = k[i * N + l]!;
      if (kil === 0) continue;
      const end = l < 6 ? 0 : 6;
      for (let j = 0; j < 6; j++) kB[i * N + end + j]! += kil * B[6 * l + j]!;
    }
  for (let l = 0; l < N; l++) {
    const end = l < 6 ? 0 : 6;
    for (let i = 0; i < 6; i++) {
      const part = B[6 * l + i]!;
      if (part !== 0) for (let j = 0; j <= end + i; j++) result[(end + i) * N + j]! += part * kB[l * N + j]!;
    }
  }
}
