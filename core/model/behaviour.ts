import type { Member } from './model';

type Behaving = { readonly behaviour?: Member['behaviour'] | undefined };

/** Whether a member is hinged at both ends by what it is: a truss member, or one that acts one way. */
export const isPinEnded = ({ behaviour = 'frame' }: Behaving): boolean => behaviour !== 'frame';

/** Which axial force a member can take alone: 1 tension, −1 compression; 0 both. */
export const forceSenseOf = ({ behaviour }: Behaving): -1 | 0 | 1 =>
  behaviour === 'tensionOnly' ? 1 : behaviour === 'compressionOnly' ? -1 : 0;
