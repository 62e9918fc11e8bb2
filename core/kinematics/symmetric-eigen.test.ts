import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { symmetricEigen } from './symmetric-eigen';
import { evenly } from '../test/evenly';

test('A·v = λ·v with orthonormal vectors, for any symmetric matrix', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 6 }), fc.array(evenly(-5, 5), { minLength: 36, maxLength: 36 }), (size, numbers) => {
      const a = new Float64Array(size * size);
      for (let i = 0; i < size; i++) for (let j = 0; j < size; j++) a[i * size + j] = numbers[i * 6 + j]! + numbers[j * 6 + i]!;
      const { values, vectors } = symmetricEigen(a, size);
      for (let e = 0; e < size; e++) {
        for (let i = 0; i < size; i++) {
          let sum = 0;
          for (let j = 0; j < size; j++) sum += a[i * size + j]! * vectors[j * size + e]!;
          expect(Math.abs(sum - values[e]! * vectors[i * size + e]!)).toBeLessThan(1e-10);
        }
        for (let f = 0; f < size; f++) {
          let dot = 0;
          for (let i = 0; i < size; i++) dot += vectors[i * size + e]! * vectors[i * size + f]!;
          expect(dot).toBeCloseTo(Number(e === f), 10);
        }
      }
    }),
  );
});
