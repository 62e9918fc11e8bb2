import { orthogonalise } from '../linear-algebra/orthogonalise';
import { FREEDOMS } from '../stiffness/structure';
import type { System } from './factorise';

/** Adds a solution, by unknown, to the displacements of the nodes (6n, nodes' axes). */
export function addSolution(system: System, x: Float64Array, displacements: Float64Array): void {
  const { freedoms } = system.numbering;
  for (let u = 0; u < freedoms.length; u++) displacements[freedoms[u]!]! += x[u]!;
  rest(displacements, system);
}

/** Held motions are zero but for rounding; they are taken out so that they are zero. */
function rest(displacements: Float64Array, { loose, basis }: System): void {
  for (const { node, motion } of loose.artificialRestraints) orthogonalise(displacements, motion, FREEDOMS * node);
  for (const motion of basis) orthogonalise(displacements, motion);
}
