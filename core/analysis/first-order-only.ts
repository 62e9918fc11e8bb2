import type { Results } from '../results/results';
import { oneSided as WORDS } from './words';

/** Of a run that takes every member as it is, where some act one way. */
export const firstOrderOnly = ({ notices, mechanisms }: Results): Results => ({
  status: 'invalid',
  notices: [...notices, { code: 'one-sided', severity: 'error', message: WORDS.notYet, subjects: [] }],
  mechanisms,
});
