import { nodalOver } from './nodal-range';
import { isLine, lineQuantities, quantityTable } from './quantities';
import { limitStates } from '../model/categories';
import type { Model } from '../model/model';
import { partsOf } from './read';
import { readExtremes } from './read-extremes';
import type { Solution } from './results';

/** What is this small beside the largest value of its kind is nothing that anybody looks at. */
const NOTHING = 1e-9;
/** Nodes that pass before the reader is asked whether it may go on, times parts. */
const AT_ONCE = 20_000;

/**
 * How many results each of some outcomes that are no envelopes governs among them: greatest and least values of every quantity on each member, and of each reaction
 * and displacement. In the order of `parts`; of equal values the first counts. Yields the part of the work that is done.
 */
export function* readGoverning(solution: Solution, parts: readonly number[]): Generator<number, Uint32Array> {
  const counts = new Uint32Array(parts.length);
  const place = new Map(parts.map((part, i) => [part, i]));
  const count = (part: number): void => void counts[place.get(part)!]!++;
  const envelope = { kind: 'envelope', id: '', title: '', parts } as const;
  const reading = readExtremes({ ...solution, outcomes: [...solution.outcomes, envelope] }, solution.outcomes.length);
  let step = reading.next();
  for (; !step.done; step = reading.next()) yield 0.9 * step.value;
  const found = step.value;
  const largest = (values: ArrayLike<number>): number => {
    let size = 0;
    for (let i = 0; i < values.length; i += 2) if (Math.abs(values[i]!) > size) size = Math.abs(values[i]!);
    return size;
  };
  // Of forces that there are none of only rounding is left, which is small beside all others.
  const sizes = new Map([...found].map(([quantity, { values }]) => [quantity, largest(values)]));
  const ofKind = (dimension: string): number =>
    Math.max(...lineQuantities.map((one) => (quantityTable[one].dimension === dimension ? (sizes.get(one) ?? 0) : 0)));
  for (const [quantity, { values, from }] of found) {
    const whole = isLine(quantity) ? ofKind(quantityTable[quantity].dimension) : sizes.get(quantity)!;
    for (let m = 0; 2 * m < from.length; m++) {
      const [high, low] = [values[4 * m]!, values[4 * m + 2]!];
      // Where one is not known, or a size has no least value that matters, NaN compares as nothing.
      if (!(Math.abs(high) > NOTHING * whole || Math.abs(low) > NOTHING * whole)) continue;
      if (from[2 * m]! >= 0) count(from[2 * m]!);
      if (from[2 * m + 1]! >= 0) count(from[2 * m + 1]!);
    }
  }
  const nodes = solution.structure.names.nodes.length;
  const often = Math.max(1, Math.floor(AT_ONCE / parts.length));
  for (const key of ['reactions', 'displacements'] as const) {
    const ranges: {
      readonly max: number;
      readonly min: number;
      readonly maxFrom: number;
      readonly minFrom: number;
      readonly k: number;
    }[] = [];
    for (let node = 0; node < nodes; node++) {
      if (node % often === 0) yield 0.9 + (0.05 * node) / nodes + (key === 'displacements' ? 0.05 : 0);
      if (key === 'reactions' && !solution.supported[node]) continue;
      for (const k of solution.structure.active) ranges.push({ ...nodalOver(solution, parts, key, 6 * node + k), k });
    }
    const most = [0, 0];
    for (const { max, min, k } of ranges) most[k < 3 ? 0 : 1] = Math.max(most[k < 3 ? 0 : 1]!, max, -min);
    for (const { max, min, maxFrom, minFrom, k } of ranges) {
      const whole = most[k < 3 ? 0 : 1]!;
      if (!(Math.max(max, -min) > NOTHING * whole)) continue;
      count(maxFrom);
      count(minFrom);
    }
  }
  return counts;
}

/** The same of all sums of a model, each among those for its limit state; by id. A sum that acts in several ways governs what any of them does. */
export function* readGoverningSums(
  { combinations }: Pick<Model, 'combinations'>,
  solution: Solution,
): Generator<number, ReadonlyMap<string, number>> {
  const outcomes = new Map(solution.outcomes.map(({ id }, i) => [id, i]));
  const groups = limitStates
    .map((state) => combinations.filter((one) => one.type === 'sum' && (one.limitState ?? 'other') === state))
    .filter(({ length }) => length > 0);
  const found = new Map<string, number>();
  for (const [g, sums] of groups.entries()) {
    const partsOfSum = sums.map(({ id }) => partsOf(solution, outcomes.get(id)!));
    const parts = [...new Set(partsOfSum.flat())];
    const reading = readGoverning(solution, parts);
    let step = reading.next();
    for (; !step.done; step = reading.next()) yield (g + step.value) / groups.length;
    const counts = new Map(parts.map((part, i) => [part, step.value[i]!]));
    sums.forEach(({ id }, i) =>
      found.set(
        id,
        partsOfSum[i]!.reduce((sum, part) => sum + counts.get(part)!, 0),
      ),
    );
  }
  return found;
}
