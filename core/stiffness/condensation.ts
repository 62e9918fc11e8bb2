import { MEMBER_FREEDOMS } from './structure';

const N = MEMBER_FREEDOMS;

/** One released freedom, eliminated: its index, its spring, and row and pivot of the stiffness at that moment. */
interface Elimination {
  readonly freedom: number;
  readonly spring: number;
  readonly row: Float64Array;
  /** row[freedom] + spring */
  readonly pivot: number;
}

/** The stiffness that the nodes feel, and what is needed to go back to the member's own ends. */
export interface Condensed {
  readonly stiffness: Float64Array;
  readonly eliminations: readonly Elimination[];
  /** A freedom whose release lets the member move by itself, held here; -1 when there is none. */
  readonly loose: number;
}

/**
 * Static condensation of released ends. Freedom r of the member's end moves by d_r, its node by n_r, and a spring s_r
 * (0 when free) joins the two: (k_rr + s_r) d_r = s_r n_r − Σ k_rj d_j + p_r. The freedoms are eliminated one after the other.
 * `releases`: 6 stiffnesses, Infinity where fixed.
 */
export function condense(stiffness: Float64Array, releases: Float64Array): Condensed {
  let k = stiffness;
  const eliminations: Elimination[] = [];
  let loose = -1;
  for (let r = 0; r < N; r++) {
    const spring = releases[r]!;
    if (spring === Infinity) continue;
    const original = stiffness[r * N + r]!;
    const own = k[r * N + r]!;
    // What is left beside the spring is only rounding: nothing holds the member in this freedom.
    const holds = own > 1e-12 * original;
    if (!holds && spring === 0) loose = r;
    const row = holds ? k.slice(r * N, r * N + N) : new Float64Array(N);
    if (!holds) row[r] = 0;
    const pivot = row[r]! + spring;
    eliminations.push({ freedom: r, spring, row, pivot: pivot > 0 ? pivot : 1 });
    k = eliminated(k, stiffness, row, r, spring, pivot > 0 ? pivot : 1);
  }
  return { stiffness: k, eliminations, loose };
}

function eliminated(
  k: Float64Array,
  original: Float64Array,
  row: Float64Array,
  r: number,
  spring: number,
  pivot: number,
): Float64Array {
  const next = new Float64Array(N * N);
  for (let i = 0; i < N; i++) {
    for (let j = 0; j < N; j++) {
      if (i === r && j === r) next[i * N + j] = (spring * row[r]!) / pivot;
      else if (i === r) next[i * N + j] = (spring * row[j]!) / pivot;
      else if (j === r) next[i * N + j] = (spring * row[i]!) / pivot;
      else next[i * N + j] = k[i * N + j]! - (row[i]! * row[j]!) / pivot;
    }
  }
  // Cancellation leaves rounding where exactly nothing is meant; a false stiffness would hide a mechanism.
  for (let i = 0; i < N; i++) {
    if (i === r || next[i * N + i]! > 1e-12 * original[i * N + i]!) continue;
    for (let j = 0; j < N; j++) next[i * N + j] = next[j * N + i] = 0;
  }
  return next;
}

/** Loads on the member's ends become loads on the nodes: p_j −= row_j p_r / pivot, p_r = s_r p_r / pivot. In place. */
export function condenseLoads(c: Condensed, p: Float64Array): void {
  for (const { freedom, spring, row, pivot } of c.eliminations) {
    const pr = p[freedom]!;
    if (pr === 0) continue;
    for (let j = 0; j < N; j++) if (j !== freedom) p[j]! -= (row[j]! * pr) / pivot;
    p[freedom] = (spring * pr) / pivot;
  }
}

/**
 * Movements of the nodes (local axes) become movements of the member's own ends. In place; `p` are the equivalent loads before
 * condensation.
 */
export function recoverEnds(c: Condensed, d: Float64Array, p: Float64Array): void {
  if (c.eliminations.length === 0) return;
  // Each elimination saw the loads as the ones before it had left them.
  const loads = p.slice();
  const seen: number[] = [];
  for (const { freedom, spring, row, pivot } of c.eliminations) {
    const pr = loads[freedom]!;
    seen.push(pr);
    for (let j = 0; j < N; j++) if (j !== freedom) loads[j]! -= (row[j]! * pr) / pivot;
    loads[freedom] = (spring * pr) / pivot;
  }
  for (let e = c.eliminations.length - 1; e >= 0; e--) {
    const { freedom, spring, row, pivot } = c.eliminations[e]!;
    let sum = spring * d[freedom]! + seen[e]!;
    for (let j = 0; j < N; j++) if (j !== freedom) sum -= row[j]! * d[j]!;
    d[freedom] = sum / pivot;
  }
}
