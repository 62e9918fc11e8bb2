import type { Brake } from '../stiffness/assemble';
import { MATRIX_WIDTH, type MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, MEMBER_FREEDOMS, memberCount, nodeCount, type Structure } from '../stiffness/structure';
import { symmetricEigen } from './symmetric-eigen';

const TOLERANCE = 1e-12;
/** Above this the block is safely regular, and its eigenvalues need not be found. */
const SAFE = 1e-6;
const BLOCK = FREEDOMS * FREEDOMS;

/** Motions of single nodes that nothing resists. */
export interface LooseNodes {
  /** 6n: freedoms that nothing stiffens; they are left out of the system. */
  readonly absent: Uint8Array;
  /** Motions along no single freedom, and translations: held by a brake. */
  readonly brakes: readonly Brake[];
}

/**
 * The null vectors of each node's own block of the stiffness matrix. Since K is positive semidefinite, such a vector alone is also a
 * null vector of the whole. The judgement does not depend on how the axes lie: translations share one scale, rotations another.
 */
export function looseNodes(s: Structure, matrices: MemberMatrices): LooseNodes {
  const blocks = nodeBlocks(s, matrices);
  const absent = new Uint8Array(FREEDOMS * nodeCount(s));
  const brakes: Brake[] = [];
  for (let node = 0; node < nodeCount(s); node++) {
    const block = blocks.subarray(BLOCK * node, BLOCK * (node + 1));
    const free = s.active.filter((k) => s.restraints[FREEDOMS * node + k] !== Infinity);
    const scales = scalesOf(block, free);
    const stiff = free.filter((k, i) => {
      if (block[7 * k]! > TOLERANCE * scales[i]!) return true;
      absent[FREEDOMS * node + k] = 1;
      return false;
    });
    if (stiff.length > 0 && !isRegular(block, stiff)) brakes.push(...looseMotions(node, stiff, block));
  }
  return { absent, brakes };
}

/** 36n: the diagonal block of each node, sprung supports included. */
function nodeBlocks(s: Structure, matrices: MemberMatrices): Float64Array {
  const blocks = new Float64Array(BLOCK * nodeCount(s));
  for (let m = 0; m < memberCount(s); m++)
    for (let end = 0; end < 2; end++) {
      const node = s.memberNodes[2 * m + end]!;
      const corner = MATRIX_WIDTH * m + end * (FREEDOMS * MEMBER_FREEDOMS + FREEDOMS);
      for (let i = 0; i < FREEDOMS; i++)
        for (let j = 0; j < FREEDOMS; j++) blocks[BLOCK * node + 6 * i + j]! += matrices.nodal[corner + MEMBER_FREEDOMS * i + j]!;
    }
  s.restraints.forEach((spring, f) => {
    if (spring > 0 && spring !== Infinity) blocks[BLOCK * Math.floor(f / FREEDOMS) + 7 * (f % FREEDOMS)]! += spring;
  });
  return blocks;
}

/** The scale of each freedom: the largest diagonal entry of its kind. */
function scalesOf(block: Float64Array, free: readonly number[]): number[] {
  const largest = (turning: boolean): number =>
    free.reduce((max, k) => (k >= 3 === turning ? Math.max(max, block[7 * k]!) : max), 0);
  const [translation, rotation] = [largest(false), largest(true)];
  return free.map((k) => (k >= 3 ? rotation : translation));
}

/** Whether Cholesky's pivots, each beside its diagonal, stay well above rounding. */
function isRegular(block: Float64Array, free: readonly number[]): boolean {
  const n = free.length;
  const L = new Float64Array(n * n);
  for (let j = 0; j < n; j++) {
    const diagonal = block[7 * free[j]!]!;
    let pivot = diagonal;
    for (let l = 0; l < j; l++) pivot -= L[j * n + l]! ** 2;
    if (!(pivot > SAFE * diagonal)) return false;
    L[j * n + j] = Math.sqrt(pivot);
    for (let i = j + 1; i < n; i++) {
      let sum = block[6 * free[i]! + free[j]!]!;
      for (let l = 0; l < j; l++) sum -= L[i * n + l]! * L[j * n + l]!;
      L[i * n + j] = sum / L[j * n + j]!;
    }
  }
  return true;
}

function looseMotions(node: number, free: readonly number[], block: Float64Array): Brake[] {
  const scale = scalesOf(block, free);
  const size = free.length;
  const scaled = new Float64Array(size * size);
  free.forEach((k, i) => free.forEach((l, j) => (scaled[i * size + j] = block[6 * k + l]! / Math.sqrt(scale[i]! * scale[j]!))));
  const { values, vectors } = symmetricEigen(scaled, size);
  const motions: Brake[] = [];
  values.forEach((value, e) => {
    if (value > TOLERANCE) return;
    const motion = new Float64Array(FREEDOMS);
    free.forEach((k, i) => (motion[k] = vectors[i * size + e]! / Math.sqrt(scale[i]!)));
    const largest = motion.reduce((max, part) => Math.max(max, Math.abs(part)), 0);
    motions.push({
      node,
      motion: motion.map((part) => (Math.abs(part) < 1e-9 * largest ? 0 : part / largest)),
      stiffness: Math.max(...scale),
    });
  });
  return motions;
}
