import { createHash, randomBytes } from 'node:crypto';
import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import path from 'node:path';

// What lets programs in that are not the application's own page. The server reads it where data are; the command, which runs as the same user,
// writes it there. Only hashes of tokens are kept.

/** A token as it is kept: what it is for, and when it was made. */
export interface KeptToken {
  readonly name: string;
  readonly hash: string;
  readonly made: string;
}

const TOKENS = 'tokens.json';
const OWN_KEY = 'command.key';
/** Read and written by the user alone. */
const OWN_ONLY = 0o600;
const OWN_FOLDER = { recursive: true, mode: 0o700 } as const;
const BEGINS = 'rb-';
/** Letters of a token's name, and tokens of a user. */
const NAME = /^[\p{L}\p{N}][\p{L}\p{N} ._-]{0,59}$/u;
const MOST = 100;

const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');
const newSecret = (): string => BEGINS + randomBytes(32).toString('base64url');

function readOrNothing(file: string): string | undefined {
  try {
    return readFileSync(/* turbopackIgnore: true */ file, 'utf8');
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return undefined;
    throw error;
  }
}

function store(directory: string, tokens: readonly KeptToken[]): void {
  mkdirSync(/* turbopackIgnore: true */ directory, OWN_FOLDER);
  const file = path.join(/* turbopackIgnore: true */ directory, TOKENS);
  const half = `${file}.${process.pid}`;
  writeFileSync(half, `${JSON.stringify(tokens, null, 1)}\n`, { mode: OWN_ONLY });
  renameSync(half, file);
}

/** All tokens of the user, in the order in which they were made. A damaged list lets nobody in, and says so to who changes it. */
export function listTokens(directory: string): readonly KeptToken[] {
  const file = path.join(/* turbopackIgnore: true */ directory, TOKENS);
  const text = readOrNothing(file);
  if (text === undefined) return [];
  const found = JSON.parse(text) as unknown;
  const isToken = (one: unknown): one is KeptToken =>
    typeof one === 'object' && one !== null && ['name', 'hash', 'made'].every((key) => typeof (one as never)[key] === 'string');
  if (!Array.isArray(found) || !found.every(isToken)) throw new SyntaxError(`${file} is no list of tokens`);
  return found;
}

/** A new token under a name; why there is none, in words. It is told once and never again. */
export function makeToken(directory: string, name: string): { readonly token: string } | { readonly refused: string } {
  const tokens = listTokens(directory);
  if (!NAME.test(name)) return { refused: 'A token is called by letters, digits, spaces, dots and dashes, 60 at most' };
  if (tokens.some((one) => one.name === name)) return { refused: `There is a token “${name}” already: revoke it first, or choose another name` }; // oxfmt-ignore
  if (tokens.length >= MOST) return { refused: `There are ${MOST} tokens already: revoke some that are not used` };
  const token = newSecret();
  store(directory, [...tokens, { name, hash: hashOf(token), made: new Date().toISOString() }]);
  return { token };
}

/** Takes a token away, from the next request on; whether there was one. */
export function revokeToken(directory: string, name: string): boolean {
  const tokens = listTokens(directory);
  const rest = tokens.filter((one) => one.name !== name);
  if (rest.length < tokens.length) store(directory, rest);
  return rest.length < tokens.length;
}

/** The key by which the command is known, made where there is none: who can read it is the user. */
export function ownKey(directory: string): string {
  const file = path.join(/* turbopackIgnore: true */ directory, OWN_KEY);
  const there = readOrNothing(file);
  if (there) return there;
  mkdirSync(/* turbopackIgnore: true */ directory, OWN_FOLDER);
  try {
    writeFileSync(file, newSecret(), { mode: OWN_ONLY, flag: 'wx' });
  } catch (error) {
    // Another process was first.
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
  }
  return readFileSync(/* turbopackIgnore: true */ file, 'utf8');
}

/** Whether a secret is a token that is valid now, or the command's own key. */
export function isKnown(directory: string, secret: string): boolean {
  if (!secret.startsWith(BEGINS)) return false;
  // Hashes are compared: how long that takes tells nothing of what is kept.
  const hash = hashOf(secret);
  const own = readOrNothing(path.join(/* turbopackIgnore: true */ directory, OWN_KEY));
  if (own !== undefined && hash === hashOf(own)) return true;
  try {
    return listTokens(directory).some((one) => one.hash === hash);
  } catch (error) {
    if (error instanceof SyntaxError) return false;
    throw error;
  }
}
