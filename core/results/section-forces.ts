import type { Member, Model } from '../model/model';
import { cosineAndSine } from '../model/local-axes';
import type { SectionForces } from '../sections/mesh/stress';
import { diagramOf } from './diagram';
import { valuesIn } from './read';
import type { Solution } from './results';

/**
 * The forces in a member at x metres from its start, about its section's own axes, which a roll turns. In space the diagrams have them so
 * already; in a plane model they stand about the member's unrolled axes.
 */
export function sectionForces(
  solution: Solution,
  outcome: number,
  m: number,
  { member, space, x }: { readonly member: Member; readonly space: Model['space']; readonly x: number },
): SectionForces {
  // oxfmt-ignore
  const { N, Vy, Vz, T, My, Mz } = valuesIn(diagramOf(solution, outcome, m), x);
  const [c, s] = space === 'plane' ? cosineAndSine(member.roll ?? 0) : [1, 0];
  const along = (y: number, z: number): readonly [number, number] => [c * y + s * z, c * z - s * y];
  const [[shearY, shearZ], [momentZ, momentY]] = [along(Vy, Vz), along(Mz, My)];
  return { N, Vy: shearY, Vz: shearZ, T, My: momentY, Mz: momentZ };
}
