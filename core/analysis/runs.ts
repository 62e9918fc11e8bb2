import type { Model } from '../model/model';
import type { Run } from './run';
import { FirstOrder } from './runs/first-order';
import { NaturalModes } from './runs/natural-modes';
import { SecondOrder } from './runs/second-order';

/** Every kind of run, by its name. The first order comes first, and is made of every model. */
const kinds = {
  'first-order': () => new FirstOrder(),
  'second-order': () => new SecondOrder(),
  'natural-modes': () => new NaturalModes(),
} satisfies Readonly<Record<string, () => Run>>;

export type RunName = keyof typeof kinds;
export const runNames = Object.keys(kinds) as readonly RunName[];

export const beginRun = (name: RunName): Run => kinds[name]();

/** The runs that a model asks for, the first order among them. */
export const runsOf = (_model: Model): readonly RunName[] => ['first-order'];
