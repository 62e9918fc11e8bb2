import { FREEDOMS, MEMBER_FREEDOMS, type Structure } from './structure';

const N = MEMBER_FREEDOMS;

/**
 * B, 6 × 6 by rows: d = B·n, the movements of the member's ends in local axes from those of its two nodes in the nodes' own
 * (possibly turned) axes, through rigid arms: u_end = u_node + rz × arm.
 */
export function memberTransformation(s: Structure, m: number): Float64Array {
  const B = new Float64Array(N * N);
  const [c, sn, sense] = [s.directions[3 * m]!, s.directions[3 * m + 1]!, s.directions[3 * m + 2]!];
  const local = [
    [c, sn],
    [-sense * sn, sense * c],
  ] as const;
  for (let end = 0; end < 2; end++) {
    const node = s.memberNodes[2 * m + end]!;
    const [tc, ts] = [s.turns[2 * node]!, s.turns[2 * node + 1]!];
    const [ax, ay] = [s.arms[4 * m + 2 * end]!, s.arms[4 * m + 2 * end + 1]!];
    const o = end * FREEDOMS;
    local.forEach(([x, y], i) => {
      const row = (o + i) * N + o;
      // Global movement = turn · own movement: ux = tc·n0 − ts·n1, uy = ts·n0 + tc·n1.
      B[row] = x * tc + y * ts;
      B[row + 1] = -x * ts + y * tc;
      B[row + 2] = -x * ay + y * ax;
    });
    B[(o + 2) * N + o + 2] = sense;
  }
  return B;
}

/** Bᵀ·k·B */
export function congruence(B: Float64Array, k: Float64Array): Float64Array {
  const kB = new Float64Array(N * N);
  const result = new Float64Array(N * N);
  for (let i = 0; i < N; i++)
    for (let l = 0; l < N; l++) {
      const kil = k[i * N + l]!;
      if (kil !== 0) for (let j = 0; j < N; j++) kB[i * N + j]! += kil * B[l * N + j]!;
    }
  for (let l = 0; l < N; l++)
    for (let i = 0; i < N; i++) {
      const bli = B[l * N + i]!;
      if (bli !== 0) for (let j = 0; j < N; j++) result[i * N + j]! += bli * kB[l * N + j]!;
    }
  return result;
}

/** B·x */
export function apply(B: Float64Array, x: Float64Array): Float64Array {
  const y = new Float64Array(N);
  for (let i = 0; i < N; i++) for (let j = 0; j < N; j++) y[i]! += B[i * N + j]! * x[j]!;
  return y;
}

/** Bᵀ·x */
export function applyTransposed(B: Float64Array, x: Float64Array): Float64Array {
  const y = new Float64Array(N);
  for (let i = 0; i < N; i++) for (let j = 0; j < N; j++) y[j]! += B[i * N + j]! * x[i]!;
  return y;
}
