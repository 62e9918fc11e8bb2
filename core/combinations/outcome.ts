import { countingCases } from './counting-cases';

interface Named {
  readonly id: string;
  readonly title: string;
}

/** What was solved for itself: a case, or a combination of cases where nothing may be superposed. */
export interface Solved extends Named {
  readonly kind: 'solved';
  /** Its place among the responses of the solution. */
  readonly at: number;
  /** By case, of what was solved behind the cases; a case without them acts alone, and is the one at the same place. */
  readonly factors?: Float64Array;
}

/** A weighted sum of what was solved; `factors` by its place. */
export interface Superposed extends Named {
  readonly kind: 'superposed';
  readonly factors: Float64Array;
}

/** The greatest and least values of others, each in its place; `parts`: where they stand among the outcomes. */
export interface Envelope extends Named {
  readonly kind: 'envelope';
  readonly parts: readonly number[];
}

/** A train that travels, by its place among those of the solution, and by which factor. */
export interface TrainTerm {
  readonly train: number;
  readonly factor: number;
}

/** A weighted sum, and trains each of which stands where it is worst: a greatest and a least value in each place. */
export interface Travelling extends Named {
  readonly kind: 'travelling';
  readonly factors: Float64Array;
  readonly trains: readonly TrainTerm[];
}

/** √Σₖ(Σᵢ rootsₖᵢ·rᵢ)² of the responses of modes, times a factor. */
export interface Spread {
  readonly factor: number;
  /** Each by mode. */
  readonly roots: readonly Float64Array[];
}

/** A weighted sum, and on either side of it how far natural modes that a moving ground drives reach together. */
export interface Spectral extends Named {
  readonly kind: 'spectral';
  readonly factors: Float64Array;
  /** Where the modes stand among the responses of the solution. */
  readonly modes: readonly number[];
  readonly spreads: readonly Spread[];
}

/** What moves in a natural mode whose largest movement is 1. */
export interface Swing {
  /** Kilograms. */
  readonly generalised: number;
  /** How far a ground that jumps by 1 along X, Y and Z drives it; and the mass that takes part so, kg. */
  readonly factors: readonly [number, number, number];
  readonly masses: readonly [number, number, number];
}

/** A shape in which the structure moves by itself, of no particular size: nothing acts. */
export interface Shape extends Named {
  readonly kind: 'shape';
  readonly at: number;
  /** What belongs to it: of a natural mode its frequency, Hz; of a critical load its factor on what acts. */
  readonly measure: 'frequency' | 'factor';
  readonly value: number;
  /** Of a critical load the outcome that it is of, by its place. */
  readonly of?: number;
  readonly swing?: Swing;
}

/** What can be looked at of a solution. Whoever reads one says what it does with each kind. */
export type Outcome = Solved | Superposed | Travelling | Spectral | Envelope | Shape;

/** A range of its own: what is greatest at a place, and what is least, is another question at each of them. */
export type ByPlace = Travelling | Spectral;

interface Readers<T> {
  readonly solved: (outcome: Solved) => T;
  readonly superposed: (outcome: Superposed) => T;
  readonly travelling: (outcome: Travelling) => T;
  readonly spectral: (outcome: Spectral) => T;
  readonly envelope: (outcome: Envelope) => T;
  readonly shape: (outcome: Shape) => T;
}

/** Reads an outcome by its kind; a new kind does not compile until every reader says what it does with it. */
export function readOutcome<T>(outcome: Outcome, by: Readers<T>): T {
  switch (outcome.kind) {
    case 'solved':
      return by.solved(outcome);
    case 'superposed':
      return by.superposed(outcome);
    case 'travelling':
      return by.travelling(outcome);
    case 'spectral':
      return by.spectral(outcome);
    case 'envelope':
      return by.envelope(outcome);
    case 'shape':
      return by.shape(outcome);
  }
}

/** Whether it has a greatest and a least value in each place, and not one value. */
export const isRange = (outcome: Outcome): boolean =>
  readOutcome(outcome, {
    solved: () => false,
    superposed: () => false,
    travelling: () => true,
    spectral: () => true,
    envelope: () => true,
    shape: () => false,
  });

export const isByPlace = (outcome: Outcome): outcome is ByPlace => outcome.kind === 'travelling' || outcome.kind === 'spectral';

/** The cases whose loads act in it, by place, with their factors, beside trains that travel and a ground that moves; none where several sets take turns, or nothing acts. */
export const actingCases = (outcome: Outcome): readonly (readonly [at: number, factor: number])[] =>
  readOutcome(outcome, {
    solved: ({ at, factors }) => (factors ? weighted(factors) : [[at, 1]]),
    superposed: ({ factors }) => weighted(factors),
    travelling: ({ factors }) => weighted(factors),
    spectral: ({ factors }) => weighted(factors),
    envelope: () => [],
    shape: () => [],
  });

const weighted = (factors: Float64Array): (readonly [number, number])[] =>
  countingCases(factors).map((at) => [at, factors[at]!] as const);
