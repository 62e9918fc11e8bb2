import type { LinearOutcome, Results } from '@rigid-beam/core/results/results';

/** Every buffer behind the typed arrays of a value, once each, for transfer between threads. */
export function buffersOf(value: unknown): ArrayBuffer[] {
  const buffers = new Set<ArrayBuffer>();
  const visit = (part: unknown): void => {
    if (ArrayBuffer.isView(part)) buffers.add(part.buffer as ArrayBuffer);
    else if (typeof part === 'object' && part !== null) Object.values(part).forEach(visit);
  };
  visit(value);
  return [...buffers];
}

/** The results with other cases in the place of theirs; those left out on the way between threads are undefined there. */
export const withCases = (results: Results, cases: readonly (LinearOutcome | undefined)[]): Results =>
  results.solution ? { ...results, solution: { ...results.solution, cases: cases as readonly LinearOutcome[] } } : results;
