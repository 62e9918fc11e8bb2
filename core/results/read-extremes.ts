import { combinerOf } from '../linear-algebra/combine';
import { blockOf, weightsOf } from './envelope-block';
import { packed, type ReadExtremes } from './envelope-reading';
import type { Extremes } from './extreme';
import { KnownDerived } from './known-derived';
import { KnownExtremes } from './known-extremes';
import { derivedQuantities, isLine, lineQuantities, quantitiesOf, type LineQuantity, type Quantity } from './quantities';
import { partsOf } from './read';
import type { Solution } from './results';

/** Members that are added together: what the cases have of them stays in the processor's cache while all sums pass over it. */
const BLOCK = 48;

/**
 * Exact extremes of every quantity on all members over all parts of an envelope, block by block of members: of each part first only how far
 * a quantity may reach, and its extremes where that is beyond what is known. Nothing but one block is ever held. Yields the part of the work
 * that is done.
 */
export function* readExtremes(solution: Solution, outcome: number): Generator<number, ReadonlyMap<Quantity, ReadExtremes>> {
  const parts = partsOf(solution, outcome);
  const all = quantitiesOf(solution.structure);
  const found = new Map(all.map((quantity) => [quantity, [] as (Extremes | undefined)[]]));
  const members = solution.structure.names.members.length;
  for (let from = 0; from < members; from += BLOCK) {
    const to = Math.min(from + BLOCK, members);
    const block = blockOf(solution, from, to);
    const sums = combinerOf(block.cases, block.cases[0]!.length);
    const lines = new Map(
      lineQuantities.map((quantity): [LineQuantity, KnownExtremes] => [quantity, new KnownExtremes(quantity, block)]),
    );
    const derived = derivedQuantities
      .filter((quantity) => all.includes(quantity))
      .map((quantity) => new KnownDerived(quantity, block, lines, solution.fibres.slice(from, to)));
    const weights = parts.map((part) => weightsOf(solution, part));
    for (let p = 0; p < parts.length; p++) {
      const sum = sums.sum(weights[p]!);
      for (const one of lines.values()) one.meet(sum, parts[p]!);
      for (const one of derived) one.meet(sum, parts[p]!);
      if (p % AT_ONCE === AT_ONCE - 1) yield (from + ((to - from) * p) / parts.length) / members;
    }
    const extremesOf = (quantity: Quantity): readonly (Extremes | undefined)[] =>
      isLine(quantity) ? lines.get(quantity)!.extremes : derived.find((one) => one.quantity === quantity)!.extremes;
    for (const [quantity, list] of found) for (let m = 0; m < to - from; m++) list.push(extremesOf(quantity)[m]);
    yield to / members;
  }
  return new Map(all.map((quantity) => [quantity, packed(found.get(quantity)!)]));
}

/** Parts that pass before the reader is asked whether it may go on. */
const AT_ONCE = 100;
