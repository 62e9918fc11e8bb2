import { giveBackKernels, takeKernels } from '../linear-algebra/kernel-pool';
import type { Model } from '../model/model';
import { nodalLoads } from '../stiffness/assemble';
import { memberLoads, type MemberLoads } from '../stiffness/equivalent-loads';
import { factorise, type System } from './factorise';
import { prepare } from './prepare';

/** Factorises a model in memory of its own, and looks at it under its loads. */
export function inSystem<T>(
  model: Model,
  look: (system: System, onNodes: readonly Float64Array[], onMembers: readonly MemberLoads[]) => T,
): T {
  const kernels = takeKernels();
  try {
    const system = factorise(prepare(model).prepared, kernels);
    const { structure, matrices } = system;
    const onMembers = memberLoads(structure, matrices.bends);
    const onNodes = onMembers.map((members, c) => nodalLoads(structure, matrices, c, members));
    return look(system, onNodes, onMembers);
  } finally {
    giveBackKernels(kernels);
  }
}
