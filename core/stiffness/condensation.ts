import { MEMBER_FREEDOMS } from './structure';

const N = MEMBER_FREEDOMS;
/** What is left of a stiffness below this part of its first value is rounding. */
const NOTHING = 1e-12;

/** One released freedom, eliminated: its index, its spring, and row and pivot of the stiffness at that moment. */
interface Elimination {
  readonly freedom: number;
  readonly spring: number;
  readonly row: Float64Array;
  /** row[freedom] + spring */
  readonly pivot: number;
}

/** What is needed to bring loads to the nodes and to go back to the member's own ends. */
export interface Condensed {
  readonly eliminations: readonly Elimination[];
  /** Freedoms whose release lets the member move by itself; held here. */
  readonly loose: readonly number[];
}

/**
 * Static condensation of released ends, in place on k (12 × 12 by rows). Freedom r of the member's end moves by d_r, its
 * node by n_r, and a spring s_r (0 when free) joins the two: (k_rr + s_r) d_r = s_r n_r − Σ k_rj d_j + p_r. The freedoms are
 * eliminated one after the other. `releases`: 12 stiffnesses at `from`, Infinity where fixed. Undefined when nothing is released.
 */
export function condense(k: Float64Array, releases: Float64Array, from: number): Condensed | undefined {
  let first: Float64Array | undefined;
  const eliminations: Elimination[] = [];
  const loose: number[] = [];
  for (let r = 0; r < N; r++) {
    const spring = releases[from + r]!;
    if (spring === Infinity) continue;
    first ??= diagonalOf(k);
    const own = k[r * N + r]!;
    // What is left beside the spring is only rounding: nothing holds the member in this freedom.
    const holds = Math.abs(own) > NOTHING * first[r]!;
    if (!holds && spring === 0) loose.push(r);
    const row = holds ? k.slice(r * N, r * N + N) : new Float64Array(N);
    const pivot = row[r]! + spring || 1;
    const elimination = { freedom: r, spring, row, pivot };
    eliminations.push(elimination);
    eliminate(k, first, elimination);
  }
  return eliminations.length === 0 ? undefined : { eliminations, loose };
}

const diagonalOf = (k: Float64Array): Float64Array => Float64Array.from({ length: N }, (_, i) => Math.abs(k[i * N + i]!));

/** `first`: the sizes of the diagonal before anything was eliminated; beyond a critical axial force what is left may be negative. */
function eliminate(k: Float64Array, first: Float64Array, { freedom: r, spring, row, pivot }: Elimination): void {
  for (let i = 0; i < N; i++) {
    if (i === r || row[i] === 0) continue;
    const part = row[i]! / pivot;
    for (let j = 0; j < N; j++) if (j !== r) k[i * N + j]! -= part * row[j]!;
  }
  for (let j = 0; j < N; j++) k[r * N + j] = k[j * N + r] = (spring * row[j]!) / pivot;
  // Cancellation leaves rounding where exactly nothing is meant; a false stiffness would hide a mechanism.
  for (let i = 0; i < N; i++) {
    if (i === r || Math.abs(k[i * N + i]!) > NOTHING * first[i]!) continue;
    for (let j = 0; j < N; j++) k[i * N + j] = k[j * N + i] = 0;
  }
}

/** Loads on the member's ends become loads on the nodes: p_j −= row_j p_r / pivot, p_r = s_r p_r / pivot. In place, at `at`. */
export function condenseLoads(c: Condensed, p: Float64Array, at = 0): void {
  for (const { freedom, spring, row, pivot } of c.eliminations) {
    const pr = p[at + freedom]!;
    if (pr === 0) continue;
    for (let j = 0; j < N; j++) if (j !== freedom) p[at + j]! -= (row[j]! * pr) / pivot;
    p[at + freedom] = (spring * pr) / pivot;
  }
}

/**
 * Displacements of the nodes (local axes) become displacements of the member's own ends. In place on d (12); `p` (12 numbers at `at`) are
 * the equivalent loads before condensation.
 */
export function recoverEnds(c: Condensed, d: Float64Array, p: Float64Array, at = 0): void {
  // Each elimination saw the loads as the ones before it had left them.
  const loads = p.slice(at, at + N);
  const seen: number[] = [];
  for (const { freedom, spring, row, pivot } of c.eliminations) {
    const pr = loads[freedom]!;
    seen.push(pr);
    if (pr === 0) continue;
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

/** How a member's own ends move (12, local) when it moves in a freedom that its releases leave loose, its nodes being at rest. */
export function looseEnds(c: Condensed, loose: number): Float64Array {
  const d = new Float64Array(N);
  for (const { freedom, row, pivot } of [...c.eliminations].reverse())
    d[freedom] = freedom === loose ? 1 : -row.reduce((sum, k, j) => (j === freedom ? sum : sum + k * d[j]!), 0) / pivot;
  return d;
}
