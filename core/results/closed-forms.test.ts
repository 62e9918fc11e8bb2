import { describe, expect, test } from '@jest/globals';
import { sketch, solved } from '../test/build';
import { closedForms } from '../test/closed-forms/all';
import { halfUnit, published } from '../test/closed-forms/published';

describe('closed forms', () => {
  describe.each(closedForms)('%s', (_, model, checks) => {
    const reading = solved(sketch(model));
    for (const [what, ours, theory, size = Math.abs(theory)] of checks) {
      test(what, () => expect(Math.abs(ours(reading) - theory)).toBeLessThanOrEqual(1e-9 * size));
    }
    test('is in balance', () => expect(reading.residual()).toBeLessThan(1e-9));
  });
});

describe('published values, to the last printed digit', () => {
  describe.each(published)('%s', (_, model, checks) => {
    const reading = solved(sketch(model));
    test.each(checks)('%s', (_what, ours, printed) =>
      expect(Math.abs(ours(reading) - Number(printed))).toBeLessThanOrEqual(1.000001 * halfUnit(printed)),
    );
  });
});
