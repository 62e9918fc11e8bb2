import type { InfluenceFound } from '@rigid-beam/core/influence/asked';

/** An influence line to be drawn: the unit in which its values are told, how much of it one in SI is, and the axles of a train, metres along its path. Data alone: it goes from thread to thread. */
export interface DrawnInfluence extends InfluenceFound {
  readonly told: { readonly unit: string; readonly factor: number };
  readonly axles: readonly { readonly s: number; readonly words: string }[];
}
