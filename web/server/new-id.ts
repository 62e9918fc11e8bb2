import { randomBytes } from 'node:crypto';

/** A short id for an address: 12 letters and digits. */
export const newId = (): string => randomBytes(9).toString('base64url').replace(/[-_]/g, 'x');

/** Whether this may be the id of a project or a model. */
export const isId = (text: string): boolean => /^[A-Za-z0-9_-]{1,64}$/.test(text);
