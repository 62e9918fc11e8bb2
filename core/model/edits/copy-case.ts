import { scaledLoad } from '../loads/scaled';
import type { Model } from '../model';
import { nextColour } from './new-case';
import type { Intent } from './intent';
import { freeName } from './next-id';

/** Edits that add a copy of a case with all its loads, so many times as large; `id` is its name. */
export function copyCase(
  model: Model,
  from: string,
  factor: number,
): { readonly id: string; readonly intents: readonly Intent[] } | undefined {
  const source = model.cases.find(({ id }) => id === from);
  if (!source) return undefined;
  const id = freeName(from, [...model.cases, ...model.combinations].map((one) => one.id)); // oxfmt-ignore
  const copy = {
    ...source,
    id,
    colour: nextColour(model.cases),
    ...(source.selfWeight && { selfWeight: source.selfWeight * factor }),
  };
  return {
    id,
    intents: [
      { type: 'put', list: 'cases', entry: copy },
      ...copyLoads(model.loads.filter((load) => load.case === from), id, factor), // oxfmt-ignore
    ],
  };
}

/** Edits that put loads into a case as well, so many times as large. */
export const copyLoads = (loads: Model['loads'], into: string, factor: number): readonly Intent[] =>
  loads.map((load) => {
    const { id: _, ...rest } = scaledLoad(load, factor);
    return { type: 'put', list: 'loads', entry: { ...rest, case: into } };
  });
