import type { Notice } from '../model/notice';
import type { StructuralResponse } from '../results/results';
import { noDigitsNotice, placeNamed, placeOf, troubleAt, type Conditioning } from '../kinematics/conditioning';
import type { Found } from '../kinematics/mechanism';
import { isLost } from './classify-mechanisms';
import type { System } from './factorise';

/** A balance worse than this is not a result: digits were lost somewhere, and the numbers are refused. */
const WORST_RESIDUAL = 1e-6;

/** Says so when what holds a part is lost in rounding: no number would be right. */
export function lostNotices({ structure, members, numbering, lost }: System, classified: readonly Found[]): Notice[] {
  const alone = classified.filter(isLost).map(({ mechanism: { freedoms } }) => placeNamed(structure, freedoms[0]!));
  const places = [...lost.map((unknown) => placeOf(numbering, unknown)), ...alone];
  return places.slice(0, 1).map((place) => noDigitsNotice(structure, members, place));
}

/** Refuses the cases that do not balance, as a whole or at a joint, and says where digits were lost. */
export function doubtfulCases(
  { structure, members }: System,
  place: Conditioning,
  solved: readonly StructuralResponse[],
): Notice[] {
  const off = solved.flatMap(({ equilibrium: { residual, jointResidual } }, c) =>
    Math.max(residual, jointResidual) <= WORST_RESIDUAL ? [] : [{ id: structure.names.cases[c]!, residual, jointResidual }],
  );
  const trouble = off.length > 0 && place.node >= 0 ? troubleAt(structure, members, place) : undefined;
  const where = trouble ? ` ${Math.round(place.digitsLost)} of 16 digits were lost ${trouble.message}` : '';
  return off.map(({ id, residual, jointResidual }) => {
    const [what, left, of] =
      residual >= jointResidual
        ? ['loads and reactions differ by', residual, 'the load']
        : ['forces at a joint differ by', jointResidual, 'the largest force'];
    return {
      code: 'out-of-balance',
      severity: 'error',
      message: `Case ${id} does not balance: ${what} ${left.toExponential(1)} of ${of}, so its numbers would not be right.${where}`,
      subjects: [`case ${id}`, ...(trouble?.subjects ?? [])],
    };
  });
}
