import { Random } from './random';

/** Files to be tried: few in every run, or as many as `MUTATIONS` says (`MUTATIONS=10000 npm run test:unit -- core`). */
export const mutations = (usual: number): number => (globalThis as { readonly MUTATIONS?: number }).MUTATIONS ?? usual;

/** A text with one thing wrong: cut off, a letter changed or put in, a stretch said twice or left out. */
export function mutatedText(whole: string, chance: Random): string {
  const at = chance.below(whole.length);
  const to = at + chance.below(60);
  const letter = String.fromCharCode(32 + chance.below(95));
  return chance.of([
    whole.slice(0, at),
    whole.slice(0, at) + letter + whole.slice(at + 1),
    whole.slice(0, at) + letter + whole.slice(at),
    whole.slice(0, to) + whole.slice(at),
    whole.slice(0, at) + whole.slice(to),
  ]);
}
