import { once } from '../once';
import { actingCases, readOutcome } from '../combinations/outcome';
import type { Solution } from './results';

/** Whether an outcome is a weighted sum of what was solved, so that another one can be taken from it. */
const isSum = ({ outcomes }: Solution, outcome: number): boolean =>
  readOutcome(outcomes[outcome]!, {
    // What was solved with factors of its own stands in a shape of its own.
    solved: ({ factors }) => factors === undefined,
    superposed: () => true,
    travelling: () => false,
    spectral: () => false,
    envelope: () => false,
    shape: () => false,
  });

/**
 * A solution with one outcome more, which stands last: that of `one` less `other`. Undefined where either is no sum, or both are the same. Whoever asks again gets the very same: several may be
 * looked at beside each other.
 */
export const withDifference = (solution: Solution, one: number, other: number): Solution | undefined =>
  differencesOf(solution)(one, other);

const differencesOf = once((solution: Solution) => {
  const known = new Map<string, Solution | undefined>();
  return (one: number, other: number): Solution | undefined => {
    const key = `${one} ${other}`;
    if (!known.has(key)) known.set(key, differenceIn(solution, one, other));
    return known.get(key);
  };
});

function differenceIn(solution: Solution, one: number, other: number): Solution | undefined {
  if (one === other || !isSum(solution, one) || !isSum(solution, other)) return undefined;
  const factors = new Float64Array(solution.responses.length);
  for (const [at, factor] of actingCases(solution.outcomes[one]!)) factors[at]! += factor;
  for (const [at, factor] of actingCases(solution.outcomes[other]!)) factors[at]! -= factor;
  const { outcomes, readings: _, ...rest } = solution;
  const id = `${outcomes[one]!.id} − ${outcomes[other]!.id}`;
  return { ...rest, outcomes: [...outcomes, { kind: 'superposed', id, title: '', factors }] };
}
