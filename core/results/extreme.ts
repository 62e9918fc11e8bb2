export interface Extreme {
  /** Metres from the member's start. */
  readonly x: number;
  readonly value: number;
  /** Index of the outcome that governs. */
  readonly from: number;
}

export interface Extremes {
  readonly max: Extreme;
  readonly min: Extreme;
}
