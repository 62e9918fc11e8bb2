import type { Brake } from '../stiffness/assemble';
import { MATRIX_WIDTH, type MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, MEMBER_FREEDOMS, nodeCount, type Structure } from '../stiffness/structure';
import { symmetricEigen } from './symmetric-eigen';

const TOLERANCE = 1e-12;
/** Above this the block is safely regular, and its eigenvalues need not be found. */
const SAFE = 1e-6;

/** Motions of single nodes that nothing resists. */
export interface LooseNodes {
  /** 6n: freedoms that nothing stiffens; they are left out of the system. */
  readonly absent: Uint8Array;
  /** Motions along no single freedom, and translations: held by a brake. */
  readonly brakes: readonly Brake[];
}

/** The loose nodes of a structure that differs in nothing but what concerns some nodes. */
export interface FormerLoose {
  readonly loose: LooseNodes;
  readonly nodes: ReadonlySet<number>;
}

/**
 * The null vectors of each node's own block of the stiffness matrix. Since K is positive semidefinite, such a vector alone is also a
 * null vector of the whole. The judgement does not depend on how the axes lie: translations share one scale, rotations another.
 * `members`: those at each node. What `former` has of other nodes than its own is taken over.
 */
export function looseNodes(
  s: Structure,
  matrices: MemberMatrices,
  members: readonly (readonly number[])[],
  former?: FormerLoose,
): LooseNodes {
  const absent = former?.loose.absent.slice() ?? new Uint8Array(FREEDOMS * nodeCount(s));
  const brakes = former?.loose.brakes.filter(({ node }) => !former.nodes.has(node)) ?? [];
  const block = new Float64Array(FREEDOMS * FREEDOMS);
  const look = (node: number): void => {
    writeBlock(s, matrices, node, members[node]!, block);
    const free = s.active.filter((k) => s.restraints[FREEDOMS * node + k] !== Infinity);
    const scales = scalesOf(block, free);
    const stiff = free.filter((k, i) => {
      const isStiff = block[7 * k]! > TOLERANCE * scales[i]!;
      absent[FREEDOMS * node + k] = isStiff ? 0 : 1;
      return isStiff;
    });
    if (stiff.length > 0 && !isRegular(block, stiff)) brakes.push(...looseMotions(node, stiff, block));
  };
  if (former) former.nodes.forEach(look);
  else for (let node = 0; node < nodeCount(s); node++) look(node);
  return { absent, brakes: former ? brakes.sort((a, b) => a.node - b.node) : brakes };
}

/** The diagonal block of a node (36), sprung supports included. */
function writeBlock(
  s: Structure,
  { nodal }: MemberMatrices,
  node: number,
  members: readonly number[],
  block: Float64Array,
): void {
  block.fill(0);
  for (const m of members) {
    const end = s.memberNodes[2 * m] === node ? 0 : 1;
    const corner = MATRIX_WIDTH * m + end * (FREEDOMS * MEMBER_FREEDOMS + FREEDOMS);
    for (const i of s.active) for (const j of s.active) block[FREEDOMS * i + j]! += nodal[corner + MEMBER_FREEDOMS * i + j]!;
  }
  for (const k of s.active) {
    const spring = s.restraints[FREEDOMS * node + k]!;
    if (spring !== Infinity) block[7 * k]! += spring;
  }
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
