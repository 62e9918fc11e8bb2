import type { Watch } from '../linear-algebra/factor';
import type { Kernels } from '../linear-algebra/kernels';
import { freeMotions, type FreeMotions } from '../kinematics/free-motions';
import type { Prepared } from './prepare';
import type { Progress } from './progress';

/** A factorised system, for any right-hand side, with the motions that nothing resists. Its factor lies in the kernels it was made with. */
export interface System extends Prepared, FreeMotions {}

/** Factorises prepared equations in the memory of some kernels; what was factorised there before is lost. */
export function factorise(prepared: Prepared, kernels: Kernels, progress?: Progress): System {
  const { structure, matrices, members, loose, numbering, stiffness } = prepared;
  const watch: Watch | undefined = progress && ((done) => progress('factorization', done));
  const search = { structure, matrices, members, artificialRestraints: loose.artificialRestraints, numbering };
  return { ...prepared, ...freeMotions(search, stiffness, kernels, watch) };
}
