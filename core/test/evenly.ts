import fc from 'fast-check';

/** Numbers that are as likely anywhere between two bounds: of all doubles nearly all are next to nothing. */
export const evenly = (min: number, max: number): fc.Arbitrary<number> =>
  fc.integer({ min: 0, max: 1e6 }).map((n) => min + ((max - min) * n) / 1e6);
