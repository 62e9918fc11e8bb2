import type { Heap } from '../linear-algebra/kernels';
import { wasmModule } from '../linear-algebra/wasm-module';
import { recoveryBytes } from './recovery-bytes';

/** Integers of a member: its nodes, BOWS_V and BOWS_W with DIRECT, and its first piece; one more member's bounds the last. */
export const INFO_WIDTH = 4;
/** Set where nothing but its axes lies between a member and its nodes: no release, no arm, no rotated support. */
export const DIRECT = 4;

/**
 * The inner loops of recovery, over all members of one case. All places are indices of the heap's numbers, or of its integers for
 * `info` and the `…At` lists, which hold an index into the list that follows them for each member, or -1.
 */
export interface RecoveryKernels {
  readonly reserve: (length: number) => Heap;
  /**
   * End forces of direct members (12m), the displacements of their starts (6m), what they exert on their nodes added to `onNodes` (6n),
   * from the nodes' displacements (6n). Returns the size of the largest end force or load on a member. Of a `plane` structure only what lies in
   * the plane is written; the rest must be zero.
   */
  readonly ends: (
    members: number,
    table: number,
    info: number,
    displacements: number,
    loadsAt: number,
    loads: number,
    ends: number,
    starts: number,
    onNodes: number,
    plane: boolean,
  ) => number;
  /** The diagrams of all members over their pieces, whose `lengths` are given, from end forces and displacements of the starts. */
  readonly diagrams: (
    members: number,
    table: number,
    info: number,
    lengths: number,
    recordsAt: number,
    records: number,
    ends: number,
    starts: number,
    out: number,
    plane: boolean,
  ) => void;
  /**
   * What the supports exert (6n), as `balanceOfNodes` finds it from stiffnesses and displacements of the supports, loads on nodes, what the nodes
   * exert on members and their displacements (6n each). Writes two numbers at `sizes`: what is left at the worst joint, the largest reaction.
   */
  readonly joints: (
    nodes: number,
    restraints: number,
    settlements: number,
    loads: number,
    onNodes: number,
    displacements: number,
    reactions: number,
    sizes: number,
    plane: boolean,
  ) => void;
}

/** What the compiled module exports: the same on places in bytes, flags as numbers. */
interface Exports {
  readonly ends: (...places: number[]) => number;
  readonly diagrams: (...places: number[]) => void;
  readonly joints: (...places: number[]) => void;
}

let own: RecoveryKernels | 'none' | undefined;

/** The kernels of this thread, made when first needed; undefined where the platform lacks WebAssembly. */
export function recoveryKernels(): RecoveryKernels | undefined {
  own ??= loadKernels() ?? 'none';
  return own === 'none' ? undefined : own;
}

function loadKernels(): RecoveryKernels | undefined {
  const module = wasmModule<Exports>(recoveryBytes);
  if (!module) return undefined;
  const run = module.exports;
  return {
    reserve: module.reserve,
    ends: (members, table, info, displacements, loadsAt, loads, ends, starts, onNodes, plane) =>
      run().ends(
        members,
        8 * table,
        4 * info,
        8 * displacements,
        4 * loadsAt,
        8 * loads,
        8 * ends,
        8 * starts,
        8 * onNodes,
        plane ? 1 : 0,
      ),
    diagrams: (members, table, info, lengths, recordsAt, records, ends, starts, out, plane) =>
      run().diagrams(
        members,
        8 * table,
        4 * info,
        8 * lengths,
        4 * recordsAt,
        8 * records,
        8 * ends,
        8 * starts,
        8 * out,
        plane ? 1 : 0,
      ),
    joints: (nodes, restraints, settlements, loads, onNodes, displacements, reactions, sizes, plane) =>
      run().joints(
        nodes,
        8 * restraints,
        8 * settlements,
        8 * loads,
        8 * onNodes,
        8 * displacements,
        8 * reactions,
        8 * sizes,
        plane ? 1 : 0,
      ),
  };
}
