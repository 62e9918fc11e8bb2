import { FixedPoint } from '../../linear-algebra/fixed-point';
import type { Kernels } from '../../linear-algebra/kernels';
import { maxNorm } from '../../linear-algebra/max-norm';
import type { StructuralResponse } from '../../results/results';
import { MEMBER_FREEDOMS } from '../../stiffness/structure';
import type { System } from '../factorise';
import type { Lean } from './along';
import { Columns } from './leaning';
import { Pressing } from './pressing';
import { recoverLeaning } from './recover-leaning';

/** Axial forces are found anew until they change by less than this part of the largest one, or so often. */
const SETTLED = 1e-9;
const MOST_ROUNDS = 40;
/** So many rounds factorise: the axial forces of later ones are near enough for the last factor to lead there. */
const FACTORISED = 1;

/**
 * The response of the displaced structure beside that of the first order: the axial forces that act on it are those that it has. 'beyond' where those of the first
 * order are more than it can bear, 'unsettled' where there is no end to their changing.
 */
export function displaced(
  system: System,
  supported: Uint8Array,
  kernels: Kernels,
  { first, leanOf }: { readonly first: StructuralResponse; readonly leanOf: (m: number) => Lean },
): StructuralResponse | 'beyond' | 'unsettled' {
  const { structure, matrices } = system;
  const members = structure.lengths.length;
  const largest = maxNorm(Float64Array.from({ length: members }, (_, m) => first.ends[MEMBER_FREEDOMS * m + 6]!));
  const columns = new Columns(structure, matrices, first, leanOf);
  const pressing = new Pressing(system, columns, kernels);
  const search = new FixedPoint();
  let more: Float64Array = new Float64Array(members);
  let sure: Float64Array | undefined;
  let isDue = true;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const isLeaning = pressing.lean({ more, factor: 1 });
    let moved = isLeaning && !isDue && round >= FACTORISED ? pressing.addedSoon() : undefined;
    const isFactorised = !moved;
    let residual = 0;
    if (!moved) {
      if (!isLeaning || pressing.unstable() > 0) {
        // A step that went too far is taken back by half.
        if (!sure) return 'beyond';
        more = more.map((force, m) => (force + sure![m]!) / 2);
        isDue = true;
        continue;
      }
      sure = more;
      ({ displacements: moved, residual } = pressing.added());
    }
    const next = columns.axialForces(pressing.leaning, moved);
    const change = maxNorm(next.map((force, m) => force - more[m]!));
    if (change <= SETTLED * largest) {
      if (isFactorised) {
        const added = pressing.responseTo(moved, residual, supported);
        return recoverLeaning({ structure, matrices }, first, { columns, leaning: pressing.leaning, added });
      }
      // Whether it is stable only a factor of its own can tell.
      if (pressing.unstable() > 0) {
        more = more.map((force, m) => (force + sure![m]!) / 2);
        isDue = true;
        continue;
      }
      ({ displacements: moved, residual } = pressing.added());
      const added = pressing.responseTo(moved, residual, supported);
      return recoverLeaning({ structure, matrices }, first, { columns, leaning: pressing.leaning, added });
    }
    isDue = false;
    more = search.next(more, next);
  }
  return 'unsettled';
}
