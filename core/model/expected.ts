import type { DimensionName } from '../quantities/dimension';

/** Along members: forces, and deflections across them. */
export const expectedQuantities = ['N', 'Vy', 'Vz', 'T', 'My', 'Mz', 'v', 'w'] as const;

/** What the value is measured in that stands beside a quantity; a plain number where the quantity is none of these. */
export const expectedDimension = (quantity: unknown): DimensionName => DIMENSIONS.get(quantity) ?? 'number';
const DIMENSIONS: ReadonlyMap<unknown, DimensionName> = new Map<Expected['quantity'], DimensionName>([
  ['N', 'force'],
  ['Vy', 'force'],
  ['Vz', 'force'],
  ['T', 'moment'],
  ['My', 'moment'],
  ['Mz', 'moment'],
  ['v', 'length'],
  ['w', 'length'],
]);

/** A value that somebody has worked out by hand, to be held against what is solved: the largest of a quantity on a member, whichever its sign. */
export interface Expected {
  readonly id: string;
  readonly outcome: string;
  readonly member: string;
  readonly quantity: (typeof expectedQuantities)[number];
  /** SI, without a sign. */
  readonly value: number;
}
