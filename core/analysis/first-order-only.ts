import type { Results } from '../results/results';
import { keptLengths as LENGTHS, oneSided as WORDS } from './words';

/** Of a run that takes every member as it is, where some act one way. */
export const firstOrderOnly = ({ notices, mechanisms }: Results): Results => ({
  status: 'invalid',
  notices: [...notices, { code: 'one-sided', severity: 'error', message: WORDS.notYet, subjects: [] }],
  mechanisms,
});

/** Of a run other than the first order while members keep their lengths. */
export const firstOrderAlone = ({ notices, mechanisms }: Results): Results => ({
  status: 'invalid',
  notices: [...notices, { code: 'axial-deformation', severity: 'error', message: LENGTHS.firstOrder, subjects: [] }],
  mechanisms,
});
