import { FREEDOMS, memberCount, nodeCount, type Structure } from '../stiffness/structure';
import { symmetricEigen } from './symmetric-eigen';

/** Nodes joined by members, with the nodes' middle and reach. */
export interface Part {
  readonly nodes: readonly number[];
  readonly middle: readonly number[];
  readonly reach: number;
}

/** The parts of a structure: what is joined by members. Nodes without members are no part. */
export function partsOf(s: Structure): Part[] {
  const group = Int32Array.from({ length: nodeCount(s) }, (_, i) => i);
  const root = (i: number): number => {
    let at = i;
    while (group[at] !== at) at = group[at] = group[group[at]!]!;
    return at;
  };
  const used = new Uint8Array(nodeCount(s));
  for (let m = 0; m < memberCount(s); m++) {
    const [a, b] = [s.memberNodes[2 * m]!, s.memberNodes[2 * m + 1]!];
    used[a] = used[b] = 1;
    group[root(a)] = root(b);
  }
  const lists = new Map<number, number[]>();
  for (let i = 0; i < nodeCount(s); i++) {
    if (!used[i]) continue;
    const list = lists.get(root(i));
    if (list) list.push(i);
    else lists.set(root(i), [i]);
  }
  return [...lists.values()].map((nodes) => {
    const middle = [0, 1, 2].map((k) => nodes.reduce((sum, i) => sum + s.coordinates[3 * i + k]!, 0) / nodes.length);
    const reach = nodes.reduce(
      (far, i) => Math.max(far, Math.hypot(...middle.map((at, k) => s.coordinates[3 * i + k]! - at))),
      0,
    );
    return { nodes, middle, reach: reach || 1 };
  });
}

/** Movement of a part as on one rigid body: translation of its middle and rotation, global. */
export interface RigidMotion {
  readonly part: Part;
  readonly translation: readonly number[];
  readonly rotation: readonly number[];
}

/** The six displacements of node i, global, in a rigid motion. */
export function rigidAt(s: Structure, { part, translation, rotation }: RigidMotion, i: number): number[] {
  const [x, y, z] = part.middle.map((at, k) => s.coordinates[3 * i + k]! - at) as [number, number, number];
  const [a, b, c] = rotation as [number, number, number];
  return [translation[0]! + b * z - c * y, translation[1]! + c * x - a * z, translation[2]! + a * y - b * x, a, b, c];
}

const NOTHING = 1e-9;

/**
 * The rigid motions of a part that no support resists. A restraint of a rotation counts only where a member is stiff against it
 * (`stiffened`, 6n): a clamp around a hinge holds nothing. Translations come first, along the axes where that is possible; then rotations.
 */
export function unresistedMotions(s: Structure, part: Part, stiffened: Uint8Array): RigidMotion[] {
  const modes = s.active.map((k): RigidMotion => {
    const unit = (offset: number): number[] => [0, 1, 2].map((j) => Number(k === j + offset));
    // Rotations are measured by what they move at the part's reach, so that all modes are lengths.
    return { part, translation: unit(0), rotation: unit(3).map((x) => x / part.reach) };
  });
  const size = modes.length;
  const resistance = new Float64Array(size * size);
  for (const i of part.nodes) {
    const turn = s.supportRotations.get(i);
    for (const k of s.active) {
      const f = FREEDOMS * i + k;
      if (!(s.restraints[f]! > 0) || (k >= 3 && !stiffened[f])) continue;
      const row = modes.map((mode) => {
        const all = rigidAt(s, mode, i);
        const half = k < 3 ? all.slice(0, 3) : all.slice(3).map((x) => x * part.reach);
        return turn ? half.reduce((sum, x, j) => sum + turn[3 * (k % 3) + j]! * x, 0) : half[k % 3]!;
      });
      row.forEach((a, p) => row.forEach((b, q) => (resistance[p * size + q]! += a * b)));
    }
  }
  const { values, vectors } = symmetricEigen(resistance, size);
  const free: number[][] = [];
  values.forEach((value, e) => {
    if (value <= NOTHING) free.push(modes.map((_, i) => vectors[i * size + e]!));
  });
  const turning = s.active.length === 3 ? [2] : [3, 4, 5];
  return tidied(free, turning).map((weights) => {
    const mix = (pick: (mode: RigidMotion) => readonly number[]): number[] =>
      [0, 1, 2].map((k) => modes.reduce((sum, mode, i) => sum + weights[i]! * pick(mode)[k]!, 0));
    return { part, translation: mix((mode) => mode.translation), rotation: mix((mode) => mode.rotation) };
  });
}

/**
 * A plain basis of the same space: reduced with the rotations as first pivots, so that what is left are pure translations; these
 * come first.
 */
function tidied(vectors: readonly (readonly number[])[], turning: readonly number[]): number[][] {
  const rest = vectors.map((v) => [...v]);
  const width = rest[0]?.length ?? 0;
  const order = [...turning, ...Array.from({ length: width }, (_, i) => i).filter((i) => !turning.includes(i))];
  const done: number[][] = [];
  for (const pivot of order) {
    const best = rest.reduce((a, v, i) => (Math.abs(v[pivot]!) > Math.abs(rest[a]?.[pivot] ?? 0) ? i : a), 0);
    const row = rest[best];
    if (!row || Math.abs(row[pivot]!) < 1e-6) continue;
    rest.splice(best, 1);
    const unit = row.map((x) => x / row[pivot]!);
    for (const list of [rest, done]) list.forEach((v, i) => (list[i] = v.map((x, k) => x - v[pivot]! * unit[k]!)));
    done.push(unit);
  }
  const clean = done.map((v) => v.map((x) => (Math.abs(x) < 1e-7 ? 0 : x)));
  const turns = (v: readonly number[]): boolean => turning.some((k) => v[k] !== 0);
  return [...clean.filter((v) => !turns(v)), ...clean.filter(turns)];
}
