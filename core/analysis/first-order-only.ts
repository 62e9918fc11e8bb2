import type { Results } from '../results/results';
import { keptLengths as LENGTHS, oneSided as WORDS } from './words';

/** Of natural modes, which take every member as it is, where some act one way. */
export const notSwinging = ({ notices, mechanisms }: Results): Results => ({
  status: 'invalid',
  notices: [...notices, { code: 'one-sided', severity: 'error', message: WORDS.notSwinging, subjects: [] }],
  mechanisms,
});

/** Of a run other than the first order while members keep their lengths. */
export const firstOrderAlone = ({ notices, mechanisms }: Results): Results => ({
  status: 'invalid',
  notices: [...notices, { code: 'axial-deformation', severity: 'error', message: LENGTHS.firstOrder, subjects: [] }],
  mechanisms,
});
