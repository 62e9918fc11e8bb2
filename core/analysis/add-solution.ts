import { takeOut } from '../linear-algebra/take-out';
import { FREEDOMS } from '../stiffness/structure';
import type { System } from './factorise';

/** Adds a solution, by unknown, to the movements of the nodes (6n, nodes' axes). */
export function addSolution(system: System, x: Float64Array, movements: Float64Array): void {
  const { freedoms } = system.numbering;
  for (let u = 0; u < freedoms.length; u++) movements[freedoms[u]!]! += x[u]!;
  rest(movements, system);
}

/** Held motions are zero but for rounding; they are taken out so that they are zero. */
function rest(movements: Float64Array, { loose, basis }: System): void {
  for (const { node, motion } of loose.brakes) takeOut(movements, motion, FREEDOMS * node);
  for (const motion of basis) takeOut(movements, motion);
}
