/** Numbers of one member that begin at a place of a list. */
export interface Slot {
  readonly values: Float64Array;
  readonly at: number;
}
