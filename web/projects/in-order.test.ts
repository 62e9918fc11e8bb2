import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { InOrder } from './in-order';

test('in whichever order answers come, what is shown last is the newest of them', () => {
  fc.assert(
    fc.property(fc.shuffledSubarray([1, 2, 3, 4, 5, 6], { minLength: 1 }), (arrivals) => {
      const order = new InOrder();
      const questions = [1, 2, 3, 4, 5, 6].map(() => order.begin());
      let shown = 0;
      for (const arrival of arrivals) if (order.takes(questions[arrival - 1]!)) shown = arrival;
      expect(shown).toBe(Math.max(...arrivals));
    }),
  );
});
