import type { Pieces } from '../results/breakpoints';
import type { CaseLoads } from '../results/case-loads';
import type { StructuralResponse } from '../results/results';
import type { System } from './factorise';
import type { Progress } from './progress';

/** The cases that are to be solved. Lists are by case of the model; `due` are the places of those that are wanted. */
export interface CasesToSolve {
  readonly due: readonly number[];
  readonly loads: readonly CaseLoads[];
  readonly pieces: readonly Pieces[];
  /** n: 1 for nodes with a support. */
  readonly supported: Uint8Array;
  /** Of each case that is due, what its results may be written into. */
  readonly memories: readonly (Float64Array | undefined)[];
  readonly progress?: Progress | undefined;
}

/**
 * What kind of solution: what is done with a factorised system to find what the structure feels in its cases. One that changes the
 * system as it goes (members that drop out, geometric stiffness) prepares and factorises again in the system's own kernels.
 */
export interface Strategy {
  readonly name: string;
  readonly solve: (system: System, cases: CasesToSolve) => ReadonlyMap<number, StructuralResponse>;
}
