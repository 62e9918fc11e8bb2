import { beams } from './beams';
import { furtherBeams } from './further-beams';
import type { Case } from './case';
import { frames } from './frames';
import { oneSidedForms } from './one-sided';
import { threeMoments } from './published';
import { earthquakeForms } from './earthquake';
import { naturalModesForms } from './natural-modes';
import { secondOrderForms } from './second-order';
import { spaceMembers } from './space-members';
import { spaceStructures } from './space-structures';

/** Structures whose answer is known in closed form; the tests hold them to 1e-9 and the verification book prints them. */
export const closedForms: readonly Case[] = [
  ...beams,
  ...furtherBeams,
  ...threeMoments,
  ...frames,
  ...oneSidedForms,
  ...secondOrderForms,
  ...naturalModesForms,
  ...earthquakeForms,
  ...spaceMembers,
  ...spaceStructures,
];
