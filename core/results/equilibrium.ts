import type { Equilibrium, Resultant } from './results';

/** The largest size in a list of numbers. */
export const largest = (parts: Float64Array): number => {
  let size = 0;
  for (let i = 0; i < parts.length; i++) {
    const absolute = Math.abs(parts[i]!);
    if (absolute > size) size = absolute;
  }
  return size;
};

/**
 * The balance of a case or sum. Where nothing is applied (temperature, lack of fit, settlements), `instead` is what the residual is
 * measured by: the largest reaction or fixed-end force.
 */
export function balance(
  applied: Resultant,
  reactions: Resultant,
  instead: number,
): Pick<Equilibrium, 'applied' | 'reactions' | 'residual'> {
  let [load, left] = [0, 0];
  for (let i = 0; i < applied.length; i++) {
    load = Math.max(load, Math.abs(applied[i]!));
    left = Math.max(left, Math.abs(applied[i]! + reactions[i]!));
  }
  const size = load || instead;
  return { applied, reactions, residual: size === 0 ? 0 : left / size };
}
