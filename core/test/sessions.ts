import { expect } from '@jest/globals';
import type { Model } from '../model/model';
import type { StructuralResponse } from '../results/results';
import { AnalysisSession } from '../analysis/session';

/** What a session finds of one model after the other; the last results. */
export function after(...models: readonly Model[]) {
  const session = new AnalysisSession();
  const all = models.map((model) => session.update(model));
  return all.at(-1)!.now;
}
/** A case of the last of some models that are analysed one after the other. */
export const caseAfter = (c: number, ...models: readonly Model[]): StructuralResponse => after(...models).solution!.responses[c]!;

export const close = (a: Float64Array, b: Float64Array): void => {
  expect(b.length).toBe(a.length);
  const size = a.reduce((max, value) => Math.max(max, Math.abs(value)), 1e-12);
  const worst = a.reduce((max, value, i) => (Math.abs(value - b[i]!) <= max ? max : Math.abs(value - b[i]!)), 0);
  expect(worst).toBeLessThan(1e-9 * size);
};
