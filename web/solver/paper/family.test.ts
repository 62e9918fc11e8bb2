import { readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test } from '@jest/globals';
import { FONT_PATHS } from '@rigid-beam/drawing/paper/type-family';

test('the page fetches the very files of the family, in their order', () => {
  const source = readFileSync(path.join(__dirname, 'family.ts'), 'utf8');
  const fetched = [...source.matchAll(/new URL\('([^']+)'/g)].map(([, file]) => file);
  expect(fetched).toEqual([...FONT_PATHS.regular, ...FONT_PATHS.strong]);
});
