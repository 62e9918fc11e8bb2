import { FixedPoint } from '../../linear-algebra/fixed-point';
import type { Kernels } from '../../linear-algebra/kernels';
import { maxNorm } from '../../linear-algebra/max-norm';
import type { StructuralResponse } from '../../results/results';
import { MEMBER_FREEDOMS } from '../../stiffness/structure';
import type { System } from '../factorise';
import type { Lean } from './along';
import { Columns } from './leaning';
import { Pressing } from './pressing';
import { recoverLeaning, type DisplacedResponse } from './recover-leaning';

/** Axial forces are found anew until they change by less than this part of the largest one, or so often. */
const SETTLED = 1e-9;
const MOST_ROUNDS = 40;

/**
 * The response of the displaced structure beside that of the first order: the axial forces that act on it are those that it has. 'beyond' where those of the first
 * order are more than it can bear, 'unsettled' where there is no end to their changing.
 */
export function displaced(
  system: System,
  supported: Uint8Array,
  kernels: Kernels,
  { first, leanOf }: { readonly first: StructuralResponse; readonly leanOf: (m: number) => Lean },
): DisplacedResponse | 'beyond' | 'unsettled' {
  const { structure, matrices } = system;
  const members = structure.lengths.length;
  const largest = maxNorm(Float64Array.from({ length: members }, (_, m) => first.ends[MEMBER_FREEDOMS * m + 6]!));
  const columns = new Columns(structure, matrices, first, leanOf);
  const pressing = new Pressing(system, columns, kernels);
  const search = new FixedPoint();
  let more: Float64Array = new Float64Array(members);
  /** The last axial forces under which it stood, and whether its factor is near enough to lead on from there. */
  let sure: Float64Array | undefined;
  let isNear = false;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const isLeaning = pressing.lean({ more, factor: 1 });
    const soon = isLeaning && isNear ? pressing.addedSoon() : undefined;
    let exact = isLeaning && !soon ? pressing.added() : undefined;
    const moved = soon ?? exact?.displacements;
    if (moved) {
      const next = columns.axialForces(pressing.leaning, moved);
      const isSettled = maxNorm(next.map((force, m) => force - more[m]!)) <= SETTLED * largest;
      // Whether it is stable only a factor of its own can tell.
      if (isSettled) exact ??= pressing.added();
      if (isSettled && exact) {
        const added = pressing.responseTo(exact, supported);
        return recoverLeaning({ structure, matrices }, first, { columns, leaning: pressing.leaning, added });
      }
      if (!isSettled) {
        if (exact) sure = more;
        isNear = true;
        more = search.next(more, next);
        continue;
      }
    }
    // A step that went too far is taken back by half.
    if (!sure) return 'beyond';
    more = more.map((force, m) => (force + sure![m]!) / 2);
    isNear = false;
  }
  return 'unsettled';
}
