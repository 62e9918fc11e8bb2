import { afterAll, expect, test } from '@jest/globals';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { isKnown, listTokens, makeToken, ownKey, revokeToken } from './access-keys';

const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-keys-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const made = (name: string): string => {
  const one = makeToken(folder, name);
  if ('refused' in one) throw new Error(one.refused);
  return one.token;
};

test('a token is known until it is revoked; only its hash is kept, for the user alone', () => {
  const [a, b] = [made('spreadsheet'), made('script of the office')];
  expect([isKnown(folder, a), isKnown(folder, b), isKnown(folder, `${a}x`), isKnown(folder, '')]).toEqual([
    true,
    true,
    false,
    false,
  ]);
  const file = path.join(folder, 'tokens.json');
  expect(readFileSync(file, 'utf8')).not.toContain(a);
  expect(statSync(file).mode & 0o777).toBe(0o600);
  expect(listTokens(folder).map(({ name }) => name)).toEqual(['spreadsheet', 'script of the office']);
  expect([revokeToken(folder, 'spreadsheet'), revokeToken(folder, 'spreadsheet')]).toEqual([true, false]);
  expect([isKnown(folder, a), isKnown(folder, b)]).toEqual([false, true]);
});

test('a name is taken once, and has letters', () => {
  expect(makeToken(folder, 'script of the office')).toMatchObject({ refused: expect.stringMatching(/already/) });
  for (const name of ['', ' x', 'a/b', 'x'.repeat(61)])
    expect(makeToken(folder, name)).toMatchObject({ refused: expect.stringMatching(/letters/) });
});

test('the command has one key of its own, and a damaged list lets nobody in', () => {
  const key = ownKey(folder);
  expect([ownKey(folder), isKnown(folder, key)]).toEqual([key, true]);
  expect(statSync(path.join(folder, 'command.key')).mode & 0o777).toBe(0o600);
  const token = made('later');
  writeFileSync(path.join(folder, 'tokens.json'), '{"name":');
  expect([isKnown(folder, token), isKnown(folder, key)]).toEqual([false, true]);
  expect(() => listTokens(folder)).toThrow();
});
