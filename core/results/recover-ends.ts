import { condenseLoads, recoverEnds, type Condensed } from '../stiffness/condensation';
import { slotOf } from '../stiffness/load-slots';
import type { MemberLoads } from '../stiffness/equivalent-loads';
import type { MemberMatrices } from '../stiffness/member-matrices';
import { ROW_WIDTH } from '../stiffness/recovery-row';
import { BOWS_V, BOWS_W, FREEDOMS, MEMBER_FREEDOMS, type Structure } from '../stiffness/structure';
import { addToNodes, endDisplacements } from '../stiffness/transformation';
import { DIRECT, INFO_WIDTH, type EndPlaces, type RecoveryKernels } from './recovery-kernels';
import type { Heap } from '../linear-algebra/kernels';

const N = MEMBER_FREEDOMS;

const NO_LOADS = { values: new Float64Array(N) };

/** Numbers of room that one member needs to be recovered by itself: its row, its moves, what it exerts, and its integers. */
export const OWN_WIDTH = ROW_WIDTH + 2 * N + INFO_WIDTH;

/** Where all members lie, and where one of them can be laid as if it stood alone. */
export interface OwnPlaces extends EndPlaces {
  /** OWN_WIDTH numbers. */
  readonly own: number;
}

/** What is solved, and what stands in the memory of the kernels. */
export interface Recovery {
  readonly structure: Structure;
  readonly matrices: MemberMatrices;
  readonly kernels: RecoveryKernels;
  readonly heap: Heap;
  readonly places: OwnPlaces;
  /** 6n, seen in the heap: what the members exert on the nodes. */
  readonly onNodes: Float64Array;
}

/** What lies on the members, and what of the ends of the one that is recovered gives: by freedom (of 12), m or rad. */
export interface OwnLoads {
  readonly loads: MemberLoads;
  readonly giving: readonly (readonly [freedom: number, by: number])[];
}

const d = new Float64Array(N);
const released = new Float64Array(N);

/**
 * End forces, start and forces on the nodes of member m, which something joins to its nodes: the displacements of its own ends are found
 * first, and the kernels see it as a member along the axes with a node at each of them. Where ends are released, the condensed stiffness
 * tells the forces instead, with exact zeros. Returns the largest end force or load.
 */
export function recoverOwnEnds(recovery: Recovery, m: number, displacements: Float64Array, { loads, giving }: OwnLoads): number {
  const { structure: s, matrices, kernels, places, onNodes } = recovery;
  const { numbers, integers } = recovery.heap;
  const condensed = matrices.condensed[m];
  const row = places.own;
  const moves = row + ROW_WIDTH;
  const info = 2 * (moves + 2 * N);
  endDisplacements(s, m, matrices.transforms[m], displacements, d);
  if (condensed) {
    const slot = slotOf(loads, m);
    const onMember = slot < 0 ? NO_LOADS : loads;
    releasedEnds(matrices.local[m]!, condensed, onMember.values, Math.max(slot, 0));
    recoverEnds(condensed, d, onMember.values, Math.max(slot, 0));
  }
  const from = places.table + ROW_WIDTH * m;
  numbers.copyWithin(row, from, from + ROW_WIDTH);
  for (let i = 0; i < 9; i++) numbers[row + i] = i % 4 === 0 ? 1 : 0;
  numbers.set(d, moves);
  integers[info] = 0;
  integers[info + 1] = 1;
  integers[info + 2] = s.bows[m]! | DIRECT;
  const ends = places.ends + N * m;
  const largest = kernels.ends({
    ...{ members: 1, table: row, info, displacements: moves, onNodes: moves + N, plane: places.plane },
    ...{ loadsAt: places.loadsAt + m, loads: places.loads, ends, starts: places.starts + FREEDOMS * m },
  });
  if (condensed) numbers.set(released, ends);
  for (const [freedom, by] of giving) takeBack(s, m, numbers.subarray(places.starts + FREEDOMS * m), freedom, by);
  addToNodes({ structure: s, transforms: matrices.transforms }, m, { values: numbers, at: ends }, onNodes);
  return largest;
}

/** Of a joint that gives, the member's own end lies behind: so does its start, and its chord where it has no bow of its own. */
function takeBack(s: Structure, m: number, start: Float64Array, freedom: number, by: number): void {
  const [hasV, hasW] = [(s.bows[m]! & BOWS_V) !== 0, (s.bows[m]! & BOWS_W) !== 0];
  const isOfChord = (freedom === 5 && !hasV) || (freedom === 4 && !hasW);
  if (freedom < FREEDOMS && !isOfChord) start[freedom]! -= by;
  const across = (freedom % FREEDOMS === freedom ? by : -by) / s.lengths[m]!;
  if (freedom % FREEDOMS === 1 && !hasV) start[5]! += across;
  if (freedom % FREEDOMS === 2 && !hasW) start[4]! -= across;
}

/** f = k·d − p with the condensed stiffness k (144) and loads (12 numbers at `at`): exact zeros where an end is free. */
function releasedEnds(k: Float64Array, condensed: Condensed, loads: Float64Array, at: number): void {
  for (let i = 0; i < N; i++) released[i] = loads[at + i]!;
  condenseLoads(condensed, released);
  for (let i = 0; i < N; i++) {
    let sum = 0;
    for (let j = 0; j < N; j++) sum += k[i * N + j]! * d[j]!;
    released[i] = sum - released[i]!;
  }
}
