import type { SparseSymmetric } from '../linear-algebra/sparse-symmetric';
import { freedoms as names, type Model } from '../model/model';
import { assembleStiffness, imposedDisplacements, nodalLoads, rightHandSide } from './assemble';
import { compile } from './compile';
import { memberLoads } from './equivalent-loads';
import { memberMatrices } from './member-matrices';
import { numberFreedoms } from './numbering';
import { FREEDOMS, nodeCount } from './structure';

/** K·u = f over the free freedoms, as it is solved, before anything is held that nothing drives. SI. */
export interface ReducedSystem {
  readonly matrix: SparseSymmetric;
  /** Name of each unknown, `node freedom`, in the node's own (possibly turned) axes. */
  readonly freedoms: readonly string[];
  /** Right-hand side of each case, imposed displacements included. */
  readonly loads: readonly { readonly id: string; readonly values: Float64Array }[];
}

/** The reduced system of a sound and ready model, for anyone to check with another library. */
export function reducedSystem(model: Model): ReducedSystem {
  const structure = compile(model);
  const matrices = memberMatrices(structure);
  const numbering = numberFreedoms(structure, new Uint8Array(FREEDOMS * nodeCount(structure)));
  const freedoms = new Array<string>(numbering.size);
  numbering.unknowns.forEach((unknown, f) => {
    if (unknown >= 0) freedoms[unknown] = `${structure.names.nodes[Math.floor(f / FREEDOMS)]} ${names[f % FREEDOMS]}`;
  });
  const onMembers = memberLoads(structure, matrices.bends);
  return {
    matrix: assembleStiffness(structure, matrices, numbering, []),
    freedoms,
    loads: structure.names.cases.map((id, c) => {
      const loads = nodalLoads(structure, matrices, c, onMembers[c]!);
      return {
        id,
        values: rightHandSide(structure, matrices, numbering, { loads, imposed: imposedDisplacements(structure, c) }),
      };
    }),
  };
}
