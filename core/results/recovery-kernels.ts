import type { Heap } from '../linear-algebra/kernels';
import { wasmModule } from '../linear-algebra/wasm-module';
import { recoveryBytes } from './recovery-bytes';

/** Integers of a member: its nodes, BOWS_V and BOWS_W with DIRECT, and its first piece; one more member's bounds the last. */
export const INFO_WIDTH = 4;
/** Set where nothing but its axes lies between a member and its nodes: no release, no end offset, no rotated support. */
export const DIRECT = 4;

/**
 * Members in the heap. All places are indices of its numbers, or of its integers for `info` and the `…At` lists, which hold an index into
 * the list that follows them for each member, or -1. Of a `plane` structure only what lies in the plane is written; the rest must be zero.
 */
export interface MemberPlaces {
  readonly members: number;
  /** Their rows, see `stiffness/recovery-row.ts`. */
  readonly table: number;
  readonly info: number;
  /** 12m: forces that the nodes exert on the members, local. */
  readonly ends: number;
  /** 6m: the displacements of the members' own starts. */
  readonly starts: number;
  readonly plane: boolean;
}

/** What moves and loads members: displacements of the nodes (6n), fixed-end forces, and what the members exert on the nodes (6n). */
export interface EndPlaces extends MemberPlaces {
  readonly displacements: number;
  readonly loadsAt: number;
  readonly loads: number;
  readonly onNodes: number;
}

/** What acts along members, piece by piece, and where their diagrams go. */
export interface DiagramPlaces extends MemberPlaces {
  /** Of all pieces. */
  readonly lengths: number;
  readonly recordsAt: number;
  readonly records: number;
  readonly out: number;
}

/** 6n each but for `sizes`. */
export interface JointPlaces {
  readonly nodes: number;
  /** Stiffnesses and displacements of the supports. */
  readonly restraints: number;
  readonly settlements: number;
  /** On the nodes. */
  readonly loads: number;
  /** What the members take of it. */
  readonly onNodes: number;
  readonly displacements: number;
  /** What the supports exert. */
  readonly reactions: number;
  /** Two numbers: what is left at the worst joint, and the largest reaction. */
  readonly sizes: number;
  readonly plane: boolean;
}

/** The inner loops of recovery, over all members of one case: the only place where their formulas stand is `wasm/recovery.ts`. */
export interface RecoveryKernels {
  readonly reserve: (length: number) => Heap;
  /** End forces and starts of direct members, from the nodes' displacements; adds to `onNodes`. Returns the largest end force or load on a member. */
  readonly ends: (places: EndPlaces) => number;
  /** The diagrams of all members over their pieces, from end forces and starts. */
  readonly diagrams: (places: DiagramPlaces) => void;
  /** Reactions, and what is left at the joints. */
  readonly joints: (places: JointPlaces) => void;
}

/** What the compiled module exports: the same on places in bytes, flags as numbers. */
interface Exports {
  readonly ends: (...places: number[]) => number;
  readonly diagrams: (...places: number[]) => void;
  readonly joints: (...places: number[]) => void;
}

let own: RecoveryKernels | undefined;

/** The kernels of this thread, made when first needed; throws with words where the platform lacks WebAssembly. */
export const recoveryKernels = (): RecoveryKernels => (own ??= loadKernels());

function loadKernels(): RecoveryKernels {
  const { reserve, exports: run } = wasmModule<Exports>(recoveryBytes);
  /** Places among the numbers in bytes; integers are half as large. */
  const bytes = (...places: number[]): number[] => places.map((place) => 8 * place);
  return {
    reserve,
    ends: ({ members, table, info, displacements, loadsAt, loads, ends, starts, onNodes, plane }) =>
      run().ends(
        members,
        8 * table,
        4 * info,
        8 * displacements,
        4 * loadsAt,
        ...bytes(loads, ends, starts, onNodes),
        Number(plane),
      ),
    diagrams: ({ members, table, info, lengths, recordsAt, records, ends, starts, out, plane }) =>
      run().diagrams(
        members,
        8 * table,
        4 * info,
        8 * lengths,
        4 * recordsAt,
        ...bytes(records, ends, starts, out),
        Number(plane),
      ),
    joints: ({ nodes, restraints, settlements, loads, onNodes, displacements, reactions, sizes, plane }) =>
      run().joints(nodes, ...bytes(restraints, settlements, loads, onNodes, displacements, reactions, sizes), Number(plane)),
  };
}
