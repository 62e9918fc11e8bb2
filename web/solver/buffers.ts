import type { StructuralResponse, Results, Solution } from '@rigid-beam/core/results/results';

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

/** The results with other responses in the place of theirs; those left out on the way between threads are undefined there. */
export const withResponses = (results: Results, responses: readonly (StructuralResponse | undefined)[]): Results =>
  results.solution
    ? { ...results, solution: { ...results.solution, responses: responses as readonly StructuralResponse[] } }
    : results;

/** The same with other outcomes. */
export const withOutcomes = (results: Results, outcomes: Solution['outcomes']): Results =>
  results.solution ? { ...results, solution: { ...results.solution, outcomes } } : results;
