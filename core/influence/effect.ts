import type { LineQuantity } from '../results/quantities';

/** Which component of a reaction or of a movement: 0…5 are x, y, z and the turns about them, global. */
export type Component = 0 | 1 | 2 | 3 | 4 | 5;

/**
 * What an influence line is of: one number of a response, by index. `at`: metres from the member's start, just behind a jump there, at the
 * member's end just before it.
 */
export type Effect =
  | { readonly kind: 'reaction'; readonly node: number; readonly component: Component }
  | { readonly kind: 'movement'; readonly node: number; readonly component: Component }
  | { readonly kind: 'along'; readonly member: number; readonly at: number; readonly quantity: LineQuantity };
