import { recoverEnds } from './condensation';
import { keptEntries } from './kept-entries';
import type { MemberMatrices } from './member-matrices';
import { FREEDOMS, MEMBER_FREEDOMS, memberCount, type Structure } from './structure';
import { toNodes } from './transformation';

const N = MEMBER_FREEDOMS;

/** Writes a matrix of member m, 12 × 12 by rows, of its own ends in local axes, into zeros. */
export type LocalMatrix = (m: number, k: Float64Array) => void;

/**
 * What a symmetric matrix of the members' own ends gives to their nodes, laid out as the stiffness in `MemberMatrices`: hinges and springs
 * let the ends follow the nodes as they do in statics (Guyan, Reduction of stiffness and mass matrices, AIAA Journal 3, 1965), then
 * everything is turned into the nodes' axes.
 */
export function memberBlocks(s: Structure, { condensed, transforms }: MemberMatrices, local: LocalMatrix): Float64Array {
  const { width, origins } = keptEntries(s);
  const members = memberCount(s);
  const nodal = new Float64Array(width * members);
  const k = new Float64Array(N * N);
  const whole = new Float64Array(N * N);
  for (let m = 0; m < members; m++) {
    k.fill(0);
    local(m, k);
    const released = condensed[m];
    toNodes(s, m, transforms[m], released ? reduced(k, released) : k, whole);
    for (let e = 0; e < width; e++) nodal[width * m + e] = whole[origins[e]!]!;
  }
  return nodal;
}

const NOTHING = new Float64Array(N);

/** Tᵀ·k·T, where T takes movements of the nodes to those of the member's own ends. */
function reduced(k: Float64Array, released: NonNullable<MemberMatrices['condensed'][number]>): Float64Array {
  const T = Array.from({ length: N }, (_, j) => {
    const d = new Float64Array(N);
    d[j] = 1;
    recoverEnds(released, d, NOTHING);
    return d;
  });
  const kT = T.map((d) => Float64Array.from(d, (_, i) => d.reduce((sum, part, l) => sum + k[N * i + l]! * part, 0)));
  const result = new Float64Array(N * N);
  for (let i = 0; i < N; i++)
    for (let j = 0; j < N; j++) result[N * i + j] = T[i]!.reduce((sum, part, l) => sum + part * kT[j]![l]!, 0);
  return result;
}

/** Adds (A − B)·d: by how much more such blocks A push the nodes than others, B, when these move so (both 6n, nodes' axes). */
export function addMore(
  s: Structure,
  [A, B]: readonly [Float64Array, Float64Array],
  d: Float64Array,
  forces: Float64Array,
): void {
  const { width, origins } = keptEntries(s);
  const places = new Int32Array(N);
  for (let m = 0; m < memberCount(s); m++) {
    for (let i = 0; i < N; i++)
      places[i] = FREEDOMS * s.memberNodes[2 * m + (i < FREEDOMS ? 0 : 1)]! + (i < FREEDOMS ? i : i - FREEDOMS);
    for (let e = 0; e < width; e++) {
      const part = A[width * m + e]! - B[width * m + e]!;
      if (part === 0) continue;
      const origin = origins[e]!;
      const i = (origin / N) | 0;
      const [row, column] = [places[i]!, places[origin - N * i]!];
      forces[row]! += part * d[column]!;
      if (row !== column) forces[column]! += part * d[row]!;
    }
  }
}
