import { addTimes } from '../../linear-algebra/vectors';
import { FREEDOMS } from '../../stiffness/structure';
import { toOwnAxes } from '../../stiffness/transformation';
import type { StructuralResponse } from '../../results/results';
import { recoverDriven } from './recover-swinging';
import type { Eigen } from './slowest';
import type { Swinging } from './swinging';

/**
 * What modes leave out of a structure whose ground is accelerated by 1 m/s² along an axis (0, 1, 2): all its inertia but theirs, M·(ι − Σ Γᵢ·φᵢ), which quicker modes answer as in
 * statics (Clough and Penzien, Dynamics of Structures (1975), section 13-4). What stands on nodes that are held does not take part.
 */
export function leftOut(swinging: Swinging, eigens: readonly Eigen[], axis: number, supported: Uint8Array): StructuralResponse {
  const { structure: s } = swinging.system;
  const size = s.restraints.length;
  const driveOfNodes = new Float64Array(size);
  for (let f = axis; f < size; f += FREEDOMS) driveOfNodes[f] = 1;
  toOwnAxes(s, driveOfNodes);
  const drive = new Float64Array(swinging.size);
  const forces = new Float64Array(size);
  const pushed = swinging.act(drive, forces, driveOfNodes);
  swinging.masses.nodes.forEach((mass, i) => {
    for (let f = FREEDOMS * i; f < FREEDOMS * i + 3; f++) if (s.restraints[f] === Infinity) forces[f]! -= mass * driveOfNodes[f]!;
  });
  const moved = pushed.slice();
  swinging.solve([moved]);
  const [own, nodes] = [new Float64Array(size), new Float64Array(size)];
  for (const { value, vector } of eigens) {
    let Γ = 0;
    for (let u = 0; u < vector.length; u++) Γ += pushed[u]! * vector[u]!;
    addTimes(moved, vector, -Γ / value);
    addTimes(drive, vector, -Γ);
    swinging.act(vector, own);
    addTimes(forces, own, -Γ);
    addTimes(driveOfNodes, swinging.displacementsOf(vector, nodes), -Γ);
  }
  return recoverDriven(swinging, { moved, drive, driveOfNodes, forces }, supported);
}
