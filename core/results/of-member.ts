import { once } from '../once';
import type { Structure } from '../stiffness/structure';
import type { OfMember } from './derived/derived';
import type { Solution } from './results';

/** What derived quantities follow from besides what is stored, member by member. */
export const ofMembers = ({ fibres, structure }: Pick<Solution, 'fibres' | 'structure'>): readonly OfMember[] =>
  made(fibres, structure);

const made = once((fibres: Solution['fibres'], { axes }: Structure): readonly OfMember[] =>
  fibres.map((one, m) => ({ fibres: one, axes: axes.subarray(9 * m, 9 * m + 9) })),
);
