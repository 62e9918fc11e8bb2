import { describe, expect, test } from '@jest/globals';
import { sketch, solved } from '../test/build';
import { closedForms } from '../test/closed-forms/all';

describe('closed forms', () => {
  describe.each(closedForms)('%s', (_, model, checks) => {
    const reading = solved(sketch(model));
    for (const [what, ours, theory, size = Math.abs(theory)] of checks) {
      test(what, () => expect(Math.abs(ours(reading) - theory)).toBeLessThanOrEqual(1e-9 * size));
    }
    test('is in balance', () => expect(reading.residual()).toBeLessThan(1e-9));
  });
});
