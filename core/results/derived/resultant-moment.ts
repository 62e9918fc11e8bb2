import { derivative, productOf, signChanges, sumOf } from '../polynomial';
import type { Derived } from './derived';

/** √(My² + Mz²): its extremes lie where those of its square do, a polynomial of degree six. */
export const resultantMoment: Derived = {
  spreads: false,
  at: ({ My, Mz }) => {
    const value = Math.hypot(My, Mz);
    return { max: value, min: value };
  },
  turns: ({ My, Mz, length }) => signChanges(derivative(sumOf([productOf(My, My), productOf(Mz, Mz)])), length),
};
