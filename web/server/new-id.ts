import { randomBytes } from 'node:crypto';

/** A short id for an address: 12 letters and digits. */
export const newId = (): string => randomBytes(9).toString('base64url').replace(/[-_]/g, 'x');
