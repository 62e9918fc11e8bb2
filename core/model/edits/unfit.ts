import { fault, type Notice } from '../notice';

/** Why an edit does not fit the model as it is, and what to do instead. */
export const unfit = (path: string, what: string, remedy: string): Notice =>
  fault({ code: 'unfit-edit', path, value: undefined, what, expected: 'an edit that fits the model', remedy });
