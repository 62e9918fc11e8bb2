import { once } from '@rigid-beam/core/once';
import { governing, type Stretch } from '@rigid-beam/core/results/envelope';
import { ofMembers } from '@rigid-beam/core/results/of-member';
import type { Quantity } from '@rigid-beam/core/results/quantities';
import { partsOf } from '@rigid-beam/core/results/read';
import { governedAs } from '@rigid-beam/core/results/read-quantity';
import type { Solution } from '@rigid-beam/core/results/results';

/** Who governs along a member in an envelope. The curve and the stripes beside it ask for the same: of one quantity at a time it is kept. Nothing where it is not told. */
export function stretchesOn(
  { solution, outcome }: { readonly solution: Solution; readonly outcome: number },
  m: number,
  quantity: Quantity,
  side: 1 | -1,
): readonly Stretch[] {
  const of = governedAs(quantity, ofMembers(solution)[m]!);
  if (!of) return [];
  const known = found(solution, outcome, quantity);
  const key = `${m} ${side}`;
  if (!known.has(key)) known.set(key, governing(solution, partsOf(solution, outcome), m, of, side));
  return known.get(key)!;
}

const found = once((_: Solution, _outcome: number, _quantity: Quantity) => new Map<string, readonly Stretch[]>());
