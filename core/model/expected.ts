/** Along members: forces, and deflections across them. */
export const expectedQuantities = ['N', 'Vy', 'Vz', 'T', 'My', 'Mz', 'v', 'w'] as const;

/** A value that somebody has worked out by hand, to be held against what is solved: the largest of a quantity on a member, whichever its sign. */
export interface Expected {
  readonly id: string;
  readonly outcome: string;
  readonly member: string;
  readonly quantity: (typeof expectedQuantities)[number];
  /** SI, without a sign. */
  readonly value: number;
}
