import type { Resultant } from './results';

/**
 * By how much a case or sum is out of balance. Where nothing is applied (temperature, lack of fit, settlements), `instead` is what it is
 * measured by: the largest reaction or fixed-end force.
 */
export function imbalance(applied: Resultant, reactions: Resultant, instead: number): number {
  let [load, left] = [0, 0];
  for (let i = 0; i < applied.length; i++) {
    load = Math.max(load, Math.abs(applied[i]!));
    left = Math.max(left, Math.abs(applied[i]! + reactions[i]!));
  }
  const size = load || instead;
  return size === 0 ? 0 : left / size;
}
