import { once } from '../once';

/** The cases that count in a sum: those whose factors are not zero. Of thousands of cases a sum mostly has a few. */
export const countingCases = once((factors: Float64Array): readonly number[] =>
  Array.from(factors.keys()).filter((c) => factors[c] !== 0),
);
