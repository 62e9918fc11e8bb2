import type { Results, StructuralResponse } from './results';

/** Results whose numbers nobody writes over: a copy of all that a session solves again and again in the same memory. */
export const keptResults = (results: Results): Results => ({
  ...results,
  ...(results.solution && {
    solution: { ...results.solution, responses: results.solution.responses.map(keptResponse) },
  }),
  ...(results.others && { others: new Map([...results.others].map(([name, one]) => [name, keptResults(one)])) }),
});

const keptResponse = (one: StructuralResponse): StructuralResponse => ({
  ...one,
  displacements: one.displacements.slice(),
  reactions: one.reactions.slice(),
  ends: one.ends.slice(),
  coefficients: one.coefficients.slice(),
});
