import { createContext } from 'react';

/** What lets a value be tried: the model follows, is solved and drawn, and is not changed before the value is taken. */
export interface Stepping {
  /** Whatever `act` would change is shown only. */
  readonly trial: (act: () => void) => void;
  /** Everything is as it was. */
  readonly giveUp: () => void;
}

/** Absent where nothing is solved: there arrow keys only change what is typed. */
export const SteppingContext = createContext<Stepping | undefined>(undefined);

/** What an arrow key adds to a value: a unit of its second figure; with Shift ten times as much, with Alt a tenth. */
export function stepOf(value: number, { shiftKey, altKey }: { readonly shiftKey: boolean; readonly altKey: boolean }): number {
  const size = value === 0 ? 1 : 10 ** (Math.floor(Math.log10(Math.abs(value)) + 1e-9) - 1);
  return size * (shiftKey ? 10 : 1) * (altKey ? 0.1 : 1);
}

/** The next value in a direction, on the grid of its steps. */
export function stepped(value: number, step: number, sign: 1 | -1): number {
  const next = Math.round((value + sign * step) / (step / 10)) * (step / 10);
  return Number(next.toPrecision(12)) + 0;
}
