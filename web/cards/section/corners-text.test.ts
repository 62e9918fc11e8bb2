import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cornersText, readCornersText } from './corners-text';

const millimetre = fc.integer({ min: -5000, max: 5000 }).map((value) => value / 1000);
const corner = fc.oneof(
  fc.tuple(millimetre, millimetre),
  fc.tuple(millimetre, millimetre, fc.integer({ min: 1, max: 400 }).map((value) => value / 1000)), // oxfmt-ignore
);
const line = fc.array(corner, { minLength: 3, maxLength: 8 });

test('corners that are written are read again as they were, in any unit', () => {
  fc.assert(
    fc.property(line, fc.array(line, { maxLength: 2 }), fc.constantFrom('mm', 'cm', 'm'), (outline, holes, unit) => {
      const read = readCornersText(cornersText({ outline, ...(holes.length > 0 && { holes }) }, unit), unit);
      expect(read.ok).toBe(true);
      const lines = read.ok ? [read.lines.outline, ...(read.lines.holes ?? [])] : [];
      [outline, ...holes].forEach((loop, i) =>
        loop.forEach((one, k) => one.forEach((value, j) => expect(lines[i]![k]![j]).toBeCloseTo(value, 9))),
      );
      expect(lines).toHaveLength(1 + holes.length);
    }),
    { numRuns: 40 },
  );
});

test('a table pasted from a spreadsheet, with units and empty lines about it', () => {
  expect(readCornersText('\r\n0\t0\r\n10 cm;0\r\n0.1m\t200\t12\r\n\r\n', 'mm')).toEqual({
    ok: true,
    lines: { outline: [[0, 0], [0.1, 0], [0.1, 0.2, 0.012]] }, // oxfmt-ignore
  });
});

test.each([
  ['0 0\n10 0', /three corners/],
  ['0 0\n10 0\n10 10\n\n1 1\n2 2', /three corners/],
  ['0 0\n10 zero\n10 10', /line 2/i],
  ['0 0\n10\n10 10', /line 2/i],
  ['0 0\n10 20 furlongs\n10 10', /line 2/i],
  ['0 0\n10 0\n10 10 -3', /line 3/i],
  ['', /three corners/],
])('%j is refused with the line and the reason', (text, words) => {
  const read = readCornersText(text, 'mm');
  expect(read).toMatchObject({ ok: false });
  expect((read as { words: string }).words).toMatch(words);
});
