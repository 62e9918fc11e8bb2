import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { dealtBack } from './dealt-back';

test('what hands were dealt comes back in its order, as far as each of them is', () => {
  const study = fc.record({ count: fc.integer({ min: 4, max: 30 }), hands: fc.integer({ min: 1, max: 4 }), curves: fc.integer({ min: 1, max: 3 }) }); // oxfmt-ignore
  fc.assert(
    fc.property(study, fc.array(fc.integer({ min: 0, max: 8 }), { minLength: 4, maxLength: 4 }), (asked, done) => {
      const whole = Array.from({ length: asked.count * asked.curves }, (_, i) => i);
      const dealt = done.slice(0, asked.hands).map((eighths, h) => {
        const own = whole.filter((i) => (i % asked.count) % asked.hands === h);
        return own.slice(0, Math.round((eighths / 8) * own.length));
      });
      const together = dealtBack(dealt, asked.count);
      expect(together).toEqual(dealt.flat().sort((a, b) => a - b));
    }),
  );
});
