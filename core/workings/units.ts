import type { DisplayUnits } from '../quantities/display';
import { inUnit } from '../quantities/show';

/** Digits that all numbers of workings are written with. */
export const WORKINGS_DIGITS = 5;

/** What a quantity of so many forces and lengths (SI) is in the one unit of force and the one of length that workings are written in. */
export const scaledIn =
  ({ force, length }: Pick<DisplayUnits, 'force' | 'length'>) =>
  (value: number, forces: number, lengths: number): number =>
    value * inUnit(1, force) ** forces * inUnit(1, length) ** lengths;
