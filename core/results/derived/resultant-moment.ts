import { derivative, productOf, signChanges, sumOf } from '../polynomial';
import { Reach } from '../reach';
import type { Following } from './derived';
import { raiseBySquare } from './square-reach';

/** √(My² + Mz²): its extremes lie where those of its square do, a polynomial of degree six. */
export const resultantMoment: Following = {
  of: ['My', 'Mz'],
  takesShear: false,
  spreads: false,
  isMagnitude: true,
  at: ({ My, Mz }) => {
    const value = Math.hypot(My, Mz);
    return { max: value, min: value };
  },
  most: ({ My, Mz }) => Math.sqrt(My * My + Mz * Mz),
  widen: (reach, { coefficients, My, Mz, length }) => {
    // What is known already is not looked at closely.
    const known = reach.high > 0 ? reach.high ** 2 : 0;
    squared.high = known;
    raiseBySquare(squared, coefficients, [My, Mz], length);
    if (squared.high > known) reach.raise(Math.sqrt(squared.high));
  },
  turns: ({ My, Mz, length }) => signChanges(derivative(sumOf([productOf(My, My), productOf(Mz, Mz)])), length),
};

const squared = new Reach();
