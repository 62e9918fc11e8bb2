import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readSum, sumText } from './sum-text';

const names = ['G', 'G1', 'S', 'W 2', 'W', '2', '±W'];

test('what is written is read back, whatever the names are', () => {
  const factors = fc.dictionary(fc.constantFrom(...names), fc.integer({ min: -999, max: 999 }).map((n) => n / 100).filter((n) => n !== 0), { minKeys: 1 }); // oxfmt-ignore
  fc.assert(fc.property(factors, (given) => expect(readSum(sumText(given), names)).toEqual({ ok: true, factors: { ...given } })), { seed: 5 }); // oxfmt-ignore
});

test.each([
  ['G + S', { G: 1, S: 1 }],
  ['1.35G+1.5S', { G: 1.35, S: 1.5 }],
  ['1.35·G − 0.9 W 2', { G: 1.35, 'W 2': -0.9 }],
  ['-G1 + .5 × W', { G1: -1, W: 0.5 }],
  ['G + 0.35 G', { G: 1.35 }],
  ['2 + 3 2', { '2': 4 }],
])('%s', (text, factors) => expect(readSum(text, names)).toEqual({ ok: true, factors }));

test.each([
  ['', /nothing/],
  ['1.35 G 1.5 S', /a sign is missing before “1.5 S”/],
  ['1,5 S', /a comma cannot be read/],
  ['1.35 X', /“X” is no case and no sum/],
  ['1.35', /a name is missing after “1.35”/],
  ['G + ', /a name is missing after “G \+”/],
  ['Gx', /“Gx” is no case/],
])('refuses “%s”', (text, reason) => expect(readSum(text, names)).toEqual({ ok: false, reason: expect.stringMatching(reason) }));
