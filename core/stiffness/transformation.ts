import type { Slot } from './slot';
import { FREEDOMS, type Structure } from './structure';

const END = FREEDOMS * FREEDOMS;

/** Whether member m is joined to both nodes without arms, and both nodes lie in the global axes: then only its own axes count. */
function isDirect(s: Structure, m: number): boolean {
  for (let i = 6 * m; i < 6 * m + 6; i++) if (s.endOffsets[i] !== 0) return false;
  return (
    s.supportRotations.size === 0 ||
    !(s.supportRotations.has(s.memberNodes[2 * m]!) || s.supportRotations.has(s.memberNodes[2 * m + 1]!))
  );
}

/**
 * B of the two ends of member m, 6 × 6 by rows each (72 numbers): the movement of the end in local axes from that of its node in
 * the node's own (possibly turned) axes, through the rigid arm: u_end = u_node + r × arm. Undefined where B is the member's axes alone.
 */
export function endTransforms(s: Structure, m: number): Float64Array | undefined {
  if (isDirect(s, m)) return undefined;
  const B = new Float64Array(2 * END);
  const R = s.axes.subarray(9 * m, 9 * m + 9);
  for (let end = 0; end < 2; end++) {
    const [ax, ay, az] = s.endOffsets.subarray(6 * m + 3 * end, 6 * m + 3 * end + 3) as unknown as [number, number, number];
    // r × arm = C·r
    const C = Float64Array.of(0, az, -ay, -az, 0, ax, ay, -ax, 0);
    const turn = s.supportRotations.get(s.memberNodes[2 * m + end]!);
    const direct = turn ? timesTransposed(R, turn) : R;
    const carried = times(R, C);
    const arm = turn ? timesTransposed(carried, turn) : carried;
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++) {
        B[end * END + i * 6 + j] = B[end * END + (i + 3) * 6 + j + 3] = direct[3 * i + j]!;
        B[end * END + i * 6 + j + 3] = arm[3 * i + j]!;
      }
  }
  return B;
}

/** A·C, 3 × 3 by rows. */
function times(A: Float64Array, C: Float64Array): Float64Array {
  const P = new Float64Array(9);
  for (let i = 0; i < 3; i++)
    for (let j = 0; j < 3; j++) for (let l = 0; l < 3; l++) P[3 * i + j]! += A[3 * i + l]! * C[3 * l + j]!;
  return P;
}

/** A·Cᵀ, 3 × 3 by rows. */
function timesTransposed(A: Float64Array, C: Float64Array): Float64Array {
  const P = new Float64Array(9);
  for (let i = 0; i < 3; i++)
    for (let j = 0; j < 3; j++) for (let l = 0; l < 3; l++) P[3 * i + j]! += A[3 * i + l]! * C[3 * j + l]!;
  return P;
}

/** d (12) = B·n: displacements of the member's ends, local, from those of its nodes (6n, nodes' axes). */
export function endDisplacements(
  s: Structure,
  m: number,
  B: Float64Array | undefined,
  nodes: Float64Array,
  d: Float64Array,
): void {
  for (let end = 0; end < 2; end++) {
    const f = FREEDOMS * s.memberNodes[2 * m + end]!;
    const e = 6 * end;
    if (B) {
      for (let i = 0; i < 6; i++) {
        let sum = 0;
        for (let j = 0; j < 6; j++) sum += B[6 * (e + i) + j]! * nodes[f + j]!;
        d[e + i] = sum;
      }
    } else {
      const R = s.axes;
      for (let half = 0; half < 6; half += 3) {
        const [x, y, z] = [nodes[f + half]!, nodes[f + half + 1]!, nodes[f + half + 2]!];
        for (let i = 0, r = 9 * m; i < 3; i++, r += 3) d[e + half + i] = R[r]! * x + R[r + 1]! * y + R[r + 2]! * z;
      }
    }
  }
}

/** Members with the way from their ends to their nodes: B of each, as `endTransforms` gives it. */
export interface JoinedMembers {
  readonly structure: Structure;
  readonly transforms: readonly (Float64Array | undefined)[];
}

/** Adds Bᵀ·f to forces on the nodes (6n, nodes' axes): f are 12 local forces at the ends of member m. */
export function addToNodes(joined: JoinedMembers, m: number, forces: Slot, nodes: Float64Array): void {
  addToNode(joined, m, 0, forces, nodes);
  addToNode(joined, m, 1, forces, nodes);
}

/** The same for one end. */
export function addToNode(
  { structure: s, transforms }: JoinedMembers,
  m: number,
  end: 0 | 1,
  { values: f, at }: Slot,
  nodes: Float64Array,
): void {
  const B = transforms[m];
  const n = FREEDOMS * s.memberNodes[2 * m + end]!;
  const e = 6 * end;
  if (B) {
    for (let i = 0; i < 6; i++) {
      const part = f[at + e + i]!;
      if (part !== 0) for (let j = 0; j < 6; j++) nodes[n + j]! += B[6 * (e + i) + j]! * part;
    }
  } else {
    const R = s.axes;
    for (let half = 0; half < 6; half += 3) {
      const [x, y, z] = [f[at + e + half]!, f[at + e + half + 1]!, f[at + e + half + 2]!];
      for (let j = 0, r = 9 * m; j < 3; j++, r++) nodes[n + half + j]! += R[r]! * x + R[r + 3]! * y + R[r + 6]! * z;
    }
  }
}

/** Vectors at nodes (6n) from global axes to the nodes' own, in place. */
export function toOwnAxes(s: Structure, vectors: Float64Array): void {
  for (const [node, turn] of s.supportRotations) turnVectors(vectors, FREEDOMS * node, turn, 'own');
}

/** The six numbers of one node from global axes to its own, in place. */
export function toOwnAxesOf({ supportRotations }: Structure, node: number, vectors: Float64Array): void {
  const turn = supportRotations.get(node);
  if (turn) turnVectors(vectors, 0, turn, 'own');
}

/** Vectors at nodes (6n) from the nodes' own axes to global ones, in place. */
export function toGlobalAxes(s: Structure, vectors: Float64Array): void {
  for (const [node, turn] of s.supportRotations) turnVectors(vectors, FREEDOMS * node, turn, 'global');
}

function turnVectors(vectors: Float64Array, at: number, turn: Float64Array, to: 'own' | 'global'): void {
  for (let half = at; half < at + 6; half += 3) {
    const v = [vectors[half]!, vectors[half + 1]!, vectors[half + 2]!];
    for (let i = 0; i < 3; i++) {
      let sum = 0;
      for (let j = 0; j < 3; j++) sum += (to === 'global' ? turn[3 * j + i]! : turn[3 * i + j]!) * v[j]!;
      vectors[half + i] = sum;
    }
  }
}
