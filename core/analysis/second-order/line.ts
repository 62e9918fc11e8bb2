import { freedomOf } from '../../stiffness/assemble';
import { keptEntries } from '../../stiffness/kept-entries';
import { MEMBER_FREEDOMS, type Structure } from '../../stiffness/structure';
import { addToNodes } from '../../stiffness/transformation';
import type { System } from '../factorise';
import type { Leaning } from './leaning';

const N = MEMBER_FREEDOMS;
/** So many times as long as a line is it is believed: further on rounding would be most of it. */
const FURTHEST = 1e4;

/**
 * What the members push their nodes with (6n, nodes' axes) under axial forces near two leanings of the same response, beside the stiffness of the latter: on the line
 * through both, which misses the square of a step, and with the nodes where they are.
 */
export function loadsOnLine(
  { structure: s, matrices }: Pick<System, 'structure' | 'matrices'>,
  [former, latter]: readonly [Leaning, Leaning],
  more: Float64Array,
  displacements: Float64Array,
): Float64Array {
  const loads = latter.loads.slice();
  const joined = { structure: s, transforms: matrices.transforms };
  const push = { values: new Float64Array(N), at: 0 };
  const stiffness = [former.nodal, latter.nodal] as const;
  const [before, after] = [former.pushes, latter.pushes];
  for (let m = 0; m < more.length; m++) {
    const [from, to] = [former.axial.more?.[m] ?? 0, latter.axial.more?.[m] ?? 0];
    if (to === from || (former.leans[m] === 0 && latter.leans[m] === 0)) continue;
    const part = Math.max(-FURTHEST, Math.min((more[m]! - to) / (to - from), FURTHEST));
    for (let i = 0; i < N; i++) push.values[i] = part * (after[N * m + i]! - before[N * m + i]!);
    addToNodes(joined, m, push, loads);
    const change = moreOf(s, m, stiffness, displacements);
    for (let i = 0; i < N; i++) loads[freedomOf(s, m, i)]! += part * change[i]!;
  }
  return loads;
}

/** Of one member how its nodes move, and what they are pushed with (12, nodes' axes). */
const [moved, pushed] = [new Float64Array(N), new Float64Array(N)];

/** (A − B)·d of one member (12, nodes' axes, until the next one): by how much more its block in A pushes its nodes than that in B, when all nodes move so (6n). */
function moreOf(s: Structure, m: number, [A, B]: readonly [Float64Array, Float64Array], d: Float64Array): Float64Array {
  const { width, origins } = keptEntries(s);
  for (let i = 0; i < N; i++) moved[i] = d[freedomOf(s, m, i)]!;
  pushed.fill(0);
  for (let e = 0, from = width * m; e < width; e++, from++) {
    const part = A[from]! - B[from]!;
    if (part === 0) continue;
    const origin = origins[e]!;
    const i = (origin / N) | 0;
    const j = origin - N * i;
    pushed[i]! += part * moved[j]!;
    if (i !== j) pushed[j]! += part * moved[i]!;
  }
  return pushed;
}

/** Adds (A − B)·d of all members to the forces on the nodes (6n, nodes' axes). */
export function addMore(
  s: Structure,
  blocks: readonly [Float64Array, Float64Array],
  d: Float64Array,
  forces: Float64Array,
): void {
  for (let m = 0; m < s.lengths.length; m++) {
    const more = moreOf(s, m, blocks, d);
    for (let i = 0; i < N; i++) forces[freedomOf(s, m, i)]! += more[i]!;
  }
}
