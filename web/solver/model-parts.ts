import type { Model } from '@rigid-beam/core/model/model';

/** A model, or what of it differs from the one that was sent before. */
export type ModelParts = { readonly whole: Model } | { readonly changed: Readonly<Record<string, unknown>> };

/**
 * Only the parts that an edit has touched: edits keep the others as they are, so a comparison of references tells them apart. The
 * worker then finds its own parts unchanged too, and need not look at them again.
 */
export function partsOf(model: Model, before: Model | undefined): ModelParts {
  if (!before) return { whole: model };
  const [now, then] = [model, before] as unknown as [Record<string, unknown>, Record<string, unknown>];
  const keys = new Set([...Object.keys(now), ...Object.keys(then)]);
  return { changed: Object.fromEntries([...keys].filter((key) => now[key] !== then[key]).map((key) => [key, now[key]])) };
}

/** The whole model again. A part that is gone arrives as undefined. */
export function assembled(parts: ModelParts, before: Model | undefined): Model {
  if ('whole' in parts) return parts.whole;
  if (!before) throw new Error('parts of a model that was never sent whole');
  const all = Object.entries({ ...before, ...parts.changed }).filter(([, value]) => value !== undefined);
  return Object.fromEntries(all) as unknown as Model;
}
