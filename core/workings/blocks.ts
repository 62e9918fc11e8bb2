import type { WorkingsWay } from './number-words';
import type { Dense } from './matrix';

/** A formula in the notation of TeX, and as it is written in one line of text. */
export interface Formula {
  readonly tex: string;
  readonly plain: string;
}

/** What workings are made of: whoever shows them says what each of these looks like. */
export type WorkingsBlock =
  /** Words; with the id of the member or the node that what follows is about. */
  | { readonly is: 'text'; readonly text: string; readonly member?: string; readonly node?: string }
  | ({ readonly is: 'formula' } & Formula)
  /** A matrix or, with one column, a vector, with what stands at its rows and columns; numbers in the units that the workings name. */
  | {
      readonly is: 'matrix';
      readonly name: Formula;
      readonly rows: readonly string[];
      readonly columns: readonly string[];
      readonly values: Dense;
      readonly way?: WorkingsWay;
    }
  /** Lines of a table: a freedom, a load, an entry, each with its words; and by row the numbers of the freedoms that it is about. */
  | {
      readonly is: 'table';
      readonly columns: readonly string[];
      readonly rows: readonly (readonly (string | number)[])[];
      readonly freedoms?: readonly (readonly string[])[];
    };

export const workingsSteps = [
  'freedoms',
  'lengths',
  'members',
  'fixed-ends',
  'joint-loads',
  'assembly',
  'partition',
  'solution',
  'axial',
  'ends',
  'pieces',
  'reactions',
  'joints',
  'cut',
  'three-moments',
  'check',
] as const;
export type WorkingsStepId = (typeof workingsSteps)[number];

export interface WorkingsStep {
  readonly id: WorkingsStepId;
  readonly title: string;
  readonly blocks: readonly WorkingsBlock[];
}
