import { once } from '@rigid-beam/core/once';
import { governing, type Stretch } from '@rigid-beam/core/results/envelope';
import type { LineQuantity } from '@rigid-beam/core/results/quantities';
import { partsOf } from '@rigid-beam/core/results/read';
import type { Solution } from '@rigid-beam/core/results/results';

/** Who governs along a member in an envelope. The curve and the stripes beside it ask for the same: of one quantity at a time it is kept. */
export function stretchesOn(
  { solution, outcome }: { readonly solution: Solution; readonly outcome: number },
  m: number,
  quantity: LineQuantity,
  side: 1 | -1,
): readonly Stretch[] {
  const known = found(solution, outcome, quantity);
  const key = `${m} ${side}`;
  if (!known.has(key)) known.set(key, governing(solution, partsOf(solution, outcome), m, quantity, side));
  return known.get(key)!;
}

const found = once((_: Solution, _outcome: number, _quantity: LineQuantity) => new Map<string, readonly Stretch[]>());
