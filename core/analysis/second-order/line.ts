import { keptEntries, type KeptEntries } from '../../stiffness/kept-entries';
import { FREEDOMS, MEMBER_FREEDOMS, type Structure } from '../../stiffness/structure';
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
  const kept = keptEntries(s);
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
    pushed.fill(0);
    addMoreOf(kept, m, stiffness, nodesOf(s, m, displacements));
    for (let i = 0; i < N; i++) loads[nodeFreedom(s, m, i)]! += part * pushed[i]!;
  }
  return loads;
}

/** Where the i-th of the 12 freedoms of both nodes of a member stands among those of all nodes. */
const nodeFreedom = (s: Structure, m: number, i: number): number =>
  i < FREEDOMS ? FREEDOMS * s.memberNodes[2 * m]! + i : FREEDOMS * s.memberNodes[2 * m + 1]! + i - FREEDOMS;

/** Of one member how its nodes move, and what they are pushed with (12, nodes' axes). */
const [moved, pushed] = [new Float64Array(N), new Float64Array(N)];

function nodesOf(s: Structure, m: number, nodes: Float64Array): Float64Array {
  for (let i = 0; i < N; i++) moved[i] = nodes[nodeFreedom(s, m, i)]!;
  return moved;
}

/** Adds (A − B)·d of one member to `pushed`: by how much more its block in A pushes than that in B, when its nodes move so. */
function addMoreOf(
  { width, origins }: KeptEntries,
  m: number,
  [A, B]: readonly [Float64Array, Float64Array],
  d: Float64Array,
): void {
  for (let e = 0, from = width * m; e < width; e++, from++) {
    const part = A[from]! - B[from]!;
    if (part === 0) continue;
    const origin = origins[e]!;
    const i = (origin / N) | 0;
    const j = origin - N * i;
    pushed[i]! += part * d[j]!;
    if (i !== j) pushed[j]! += part * d[i]!;
  }
}

/** Adds (A − B)·d of all members: by how much more such blocks A push the nodes than others, B, when these move so (both 6n, nodes' axes). */
export function addMore(
  s: Structure,
  blocks: readonly [Float64Array, Float64Array],
  d: Float64Array,
  forces: Float64Array,
): void {
  const kept = keptEntries(s);
  for (let m = 0; m < s.lengths.length; m++) {
    pushed.fill(0);
    addMoreOf(kept, m, blocks, nodesOf(s, m, d));
    for (let i = 0; i < N; i++) forces[nodeFreedom(s, m, i)]! += pushed[i]!;
  }
}
