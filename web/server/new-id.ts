import { randomBytes } from 'node:crypto';

/** A short id for an address: 12 letters and digits. */
export const newId = (): string => randomBytes(9).toString('base64url').replace(/[-_]/g, 'x');

/** What the id of a project or a model looks like. */
export const ID = /^[A-Za-z0-9_-]{1,64}$/;
export const isId = (text: string): boolean => ID.test(text);
