import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Entries, joined, jsonParts } from './json-parts';

test('parts together are the text that JSON has for the same value, whatever its keys', () => {
  fc.assert(
    fc.property(fc.dictionary(fc.string(), fc.jsonValue(), { maxKeys: 4 }), fc.array(fc.tuple(fc.string(), fc.jsonValue()), { maxLength: 4 }), fc.integer({ min: 1, max: 20 }), (plain, inner, length) => {
      const own = new Map(inner);
      const lazy = new Entries([...own].map(([key, value]) => [key, new Entries([['it', value]])]));
      const parts = [...joined(jsonParts({ ...plain, last: lazy }), length)];
      const object: object = JSON.parse(`{${[...own].map(([key, value]) => `${JSON.stringify(key)}:${JSON.stringify({ it: value })}`).join()}}`) as object;
      const order = [...own.keys()].filter((key) => /^\d+$/.test(key)).length === 0;
      fc.pre(order);
      expect(parts.join('')).toBe(JSON.stringify({ ...plain, last: object }, null, 1));
    }),
  );
}); // oxfmt-ignore
