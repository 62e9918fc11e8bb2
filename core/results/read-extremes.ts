import { combinerOf } from '../linear-algebra/combine';
import { giveBackKernels, takeKernels } from '../linear-algebra/kernel-pool';
import type { Kernels } from '../linear-algebra/kernels';
import { BoundsOfSums } from './bounds-of-sums';
import { blockOf, weightsOf, type Block } from './envelope-block';
import { packed, type ReadExtremes } from './envelope-reading';
import type { Extremes } from './extreme';
import { KnownDerived } from './known-derived';
import { KnownExtremes } from './known-extremes';
import { KnownSum } from './known-sum';
import { ofMembers } from './of-member';
import { derivedQuantities, isLine, lineQuantities, quantityTable, type LineQuantity, type Quantity } from './quantities';
import { isReadByPlace, partsOf } from './read';
import { memberReader } from './read-quantity';
import { readableOf } from './readings';
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
  const all = readableOf(solution);
  const found = new Map(all.map((quantity) => [quantity, [] as (Extremes | undefined)[]]));
  const members = solution.structure.names.members.length;
  if (isReadByPlace(solution, outcome)) {
    for (let m = 0; m < members; m++) {
      const { extremes } = memberReader(solution, outcome, m);
      for (const [quantity, list] of found) list.push(extremes(quantity));
      yield (m + 1) / members;
    }
    return new Map(all.map((quantity) => [quantity, packed(found.get(quantity)!)]));
  }
  const kernels = takeKernels();
  const weights = parts.map((part) => weightsOf(solution, part));
  const signs = weights.some((factors) => Array.from(factors).some((factor) => factor < 0)) ? 'mixed' : 'positive';
  for (let from = 0; from < members; from += BLOCK) {
    const to = Math.min(from + BLOCK, members);
    const block = blockOf(solution, from, to);
    const sums = combinerOf(block.cases, block.cases[0]!.length);
    const lines = new Map(
      lineQuantities.map((quantity): [LineQuantity, KnownExtremes] => [quantity, new KnownExtremes(quantity, block)]),
    );
    const bounds = boundsOf([...lines.values()], block, signs, kernels);
    const derived = derivedQuantities
      .filter((quantity) => all.includes(quantity))
      .map((quantity) => {
        const { derived } = quantityTable[quantity];
        const within = { block, lines, members: ofMembers(solution).slice(from, to) };
        return 'terms' in derived! ? new KnownSum(quantity, derived, within) : new KnownDerived(quantity, derived!, within);
      });
    for (let p = 0; p < parts.length; p++) {
      const sum = sums.sum(weights[p]!);
      const reached = bounds.of(weights[p]!);
      let at = 0;
      for (const one of lines.values()) {
        one.meet(sum, parts[p]!, reached, at, bounds.length + at);
        at += to - from;
      }
      for (const one of derived) one.meet(sum, parts[p]!, reached);
      if (p % AT_ONCE === AT_ONCE - 1) yield (from + ((to - from) * p) / parts.length) / members;
    }
    const extremesOf = (quantity: Quantity): readonly (Extremes | undefined)[] =>
      isLine(quantity) ? lines.get(quantity)!.extremes : derived.find((one) => one.quantity === quantity)!.extremes;
    for (const [quantity, list] of found) {
      const own = extremesOf(quantity);
      for (let m = 0; m < to - from; m++) list.push(own[m]);
    }
    yield to / members;
  }
  giveBackKernels(kernels);
  return new Map(all.map((quantity) => [quantity, packed(found.get(quantity)!)]));
}

/** Bounds of sums for each quantity in turn, member by member. */
function boundsOf(
  lines: readonly KnownExtremes[],
  { cases, lengths }: Block,
  signs: 'positive' | 'mixed',
  kernels: Kernels,
): BoundsOfSums {
  const members = lengths.length;
  const highs = cases.map(() => new Float64Array(members * lines.length));
  const lows = cases.map(() => new Float64Array(members * lines.length));
  cases.forEach((numbers, c) =>
    lines.forEach((line, q) => {
      for (let m = 0; m < members; m++) {
        const { high, low } = line.reachOf(numbers, m);
        highs[c]![q * members + m] = high;
        lows[c]![q * members + m] = low;
      }
    }),
  );
  return new BoundsOfSums(highs, lows, signs, kernels);
}

/** Parts that pass before the reader is asked whether it may go on. */
const AT_ONCE = 100;
