import { once } from '../../once';
import { isObject, type Entity } from '../findings';
import { inOrderOfReference } from '../reference-order';
import { listOf } from './context';

const ofAction = (type: unknown, ways: readonly number[]): number => {
  const sum = ways.reduce((a, b) => a + b, 0);
  return type === 'together' ? product(ways) : type === 'both signs' ? 2 * sum : sum;
};
const product = (ways: readonly number[]): number => ways.reduce((a, b) => a * b, 1);

const namesIn = ({ of, factors }: Entity): readonly string[] =>
  Array.isArray(of) ? of.filter((part) => typeof part === 'string') : isObject(factors) ? Object.keys(factors) : [];

/**
 * In how many ways each action acts, and each sum that holds actions; counted without making them. An action that stands in several parts of a sum acts in
 * all of them the same way. What leads back to itself counts as one; so does a pattern, unless somebody knows its spans.
 */
export const countWays = (model: Entity, ofPattern: (id: string) => number = asOne): ReadonlyMap<unknown, number> =>
  waysOf(listOf(model, 'combinations'), listOf(model, 'actions'), ofPattern);

const asOne = (): number => 1;

/** Found once of lists that an edit leaves alone: hundreds of sums stand beside it. */
const waysOf = once(
  (
    combinations: readonly Entity[],
    actions: readonly Entity[],
    ofPattern: (id: string) => number,
  ): ReadonlyMap<unknown, number> => {
    const entries = new Map(
      [...actions, ...combinations.filter(({ type }) => type === 'sum')].map((one) => [String(one.id), one]),
    );
    const ways = new Map<unknown, number>();
    /** The actions that a sum holds, itself or in its sums. */
    const held = new Map<string, ReadonlySet<string>>();
    for (const id of inOrderOfReference([...entries].map(([own, one]) => ({ id: own, parts: namesIn(one) })))) {
      const one = entries.get(id)!;
      const waysIn = (names: Iterable<string>): number[] => Array.from(names, (part) => ways.get(part) ?? 1);
      if (one.type === 'sum') {
        held.set(id, new Set(namesIn(one).flatMap((part) => [...(held.get(part) ?? [part])])));
        ways.set(id, product(waysIn(held.get(id)!)));
      } else ways.set(id, one.type === 'pattern' ? ofPattern(id) : ofAction(one.type, waysIn(namesIn(one))));
    }
    return ways;
  },
);
