import type { Model } from '@rigid-beam/core/model/model';

/** A part of a model: all of it, or of a list those entries that differ from the one that was sent before, by place. */
type Part = { readonly whole: unknown } | { readonly length: number; readonly entries: readonly (readonly [number, unknown])[] };

/** A model, or its text (JSON), or what of it differs from the one that was sent before. */
export type ModelParts =
  | { readonly whole: Model }
  | { readonly text: string }
  | { readonly changed: Readonly<Record<string, Part>> };

/**
 * Only the parts that an edit has touched, and of lists only the entries: edits keep the others as they are, so a comparison of
 * references tells them apart. The worker then finds its own parts unchanged too, and need not look at them again.
 */
export function partsOf(model: Model, before: Model | undefined): ModelParts {
  if (!before) return { whole: model };
  const [now, then] = [model, before] as unknown as [Record<string, unknown>, Record<string, unknown>];
  const keys = [...new Set([...Object.keys(now), ...Object.keys(then)])].filter((key) => now[key] !== then[key]);
  return { changed: Object.fromEntries(keys.map((key) => [key, partOf(now[key], then[key])])) };
}

function partOf(now: unknown, then: unknown): Part {
  if (!Array.isArray(now) || !Array.isArray(then)) return { whole: now };
  const entries = now.flatMap((entry: unknown, i): [number, unknown][] => (entry === then[i] ? [] : [[i, entry]]));
  return entries.length > now.length / 2 ? { whole: now } : { length: now.length, entries };
}

/** The whole model again. A part that is gone arrives as undefined. */
export function assembled(parts: ModelParts, before: Model | undefined): Model {
  if ('whole' in parts) return parts.whole;
  if ('text' in parts) return JSON.parse(parts.text) as Model;
  if (!before) throw new Error('parts of a model that was never sent whole');
  const then = before as unknown as Readonly<Record<string, unknown>>;
  const changed = Object.entries(parts.changed).map(([key, part]): [string, unknown] => [
    key,
    'whole' in part ? part.whole : listOf(part.length, part.entries, then[key]),
  ]);
  const all = Object.entries({ ...then, ...Object.fromEntries(changed) }).filter(([, value]) => value !== undefined);
  return Object.fromEntries(all) as unknown as Model;
}

function listOf(length: number, entries: readonly (readonly [number, unknown])[], before: unknown): unknown[] {
  const list = (before as readonly unknown[]).slice(0, length);
  for (const [i, entry] of entries) list[i] = entry;
  return list;
}
