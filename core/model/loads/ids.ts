type WithId = Record<string, unknown>;

/** Ids that count: the greatest of them tells the next one. */
const COUNTED = /^\d{1,9}$/;

/** A model as it was stored before loads had ids, with them. */
export function withLoadIds<M extends { readonly loads: readonly object[] }>(model: M): M {
  if (hasLoadIds(model.loads)) return model;
  const loads = [...model.loads] as WithId[];
  giveLoadIds(loads);
  return { ...model, loads } as M;
}

/** Whether each load has an id of its own. */
export const hasLoadIds = (loads: readonly object[]): boolean => loads.every((load) => (load as WithId).id !== undefined);

/**
 * Gives an id to each load that has none: numbers in the order of the list, behind the greatest one that is there, so that the id of a
 * load that is gone is not given again while later ones stand.
 */
export function giveLoadIds(loads: WithId[]): void {
  if (hasLoadIds(loads)) return;
  let last = 0;
  for (const { id } of loads) if (typeof id === 'string' && COUNTED.test(id)) last = Math.max(last, Number(id));
  loads.forEach((load, i) => {
    if (load.id !== undefined) return;
    const { id: _, ...rest } = load;
    loads[i] = { id: String(++last), ...rest };
  });
}
