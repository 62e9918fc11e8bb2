import type { Travelling } from '../model/loads/travelling';
import type { ActionGroup, Model } from '../model/model';
import { loadedSets, partWords, USUAL_WAYS, type PartCase } from '../model/patterns/parts';
import { nameOfVariant, variantsById, type Variant } from './actions';
import type { TrainTerm } from './outcome';

/** One way in which an action acts, or a sum that holds some comes about; its names tell which. */
export interface Way {
  /** On what is solved: cases, then parts of those that are loaded in patterns. */
  readonly factors: Float64Array;
  readonly names: readonly string[];
  /** Trains that travel in it. */
  readonly trains?: readonly TrainTerm[];
}

type Acting = Pick<Model, 'cases' | 'actions'>;

/** The ways in which each action of a sound model acts, by its place; `parts`: those of its patterns; `travelling`: its trains. */
export function waysOfActions(model: Acting, parts: readonly PartCase[], travelling: Travelling): readonly (readonly Way[])[] {
  const { cases, actions = [] } = model;
  if (actions.length === 0) return [];
  const places = new Map([...cases, ...parts, ...travelling.cases].map(({ id }, i) => [id, i]));
  const divided = new Map(
    actions.flatMap((one): (readonly [string, readonly Way[]])[] => {
      if (one.type === 'pattern') return [[one.id, waysOfPattern(one, parts, places)]];
      return one.type === 'travelling' ? [[one.id, [wayOfTrains(one, travelling, places)]]] : [];
    }),
  );
  const variants = variantsById(model);
  return actions.map(({ id }) => variants.get(id)!.flatMap((variant) => waysOfVariant(variant, places, divided)));
}

/** The trains of a case wherever they are worst, and what is in it beside them. */
function wayOfTrains({ id, of: [source] }: ActionGroup, all: Travelling, places: ReadonlyMap<string, number>): Way {
  const factors = new Float64Array(places.size);
  for (const one of all.cases) if (one.action === id && one.isBeside) factors[places.get(one.id)!] = 1;
  const trains = all.trains.flatMap(({ action }, train) => (action === id ? [{ train, factor: 1 }] : []));
  return { factors, names: [`${source!} travelling`], ...(trains.length > 0 && { trains }) };
}

/** The ways of a case that is loaded on some of its spans at a time; what of it is on no member acts in all of them. */
function waysOfPattern(
  { id, of: [source], by = 'spans', ways = USUAL_WAYS }: ActionGroup,
  all: readonly PartCase[],
  places: ReadonlyMap<string, number>,
): Way[] {
  const parts = all.filter(({ action }) => action === id);
  const spans = parts.filter(({ number }) => number !== undefined).length;
  return loadedSets(parts, ways).map((set): Way => {
    const factors = new Float64Array(places.size);
    // The whole is solved as it is.
    if (set.length === spans) factors[places.get(source!)!] = 1;
    else for (const part of parts) if (part.number === undefined || set.includes(part.number)) factors[places.get(part.id)!] = 1;
    return { factors, names: [set.length === spans ? source! : `${source!} on ${partWords(by, set)}`] };
  });
}

/** A variant in every way of each pattern that it holds, and with its trains. */
function waysOfVariant(
  variant: Variant,
  places: ReadonlyMap<string, number>,
  divided: ReadonlyMap<string, readonly Way[]>,
): readonly Way[] {
  const shares = [...variant.shares];
  const own = new Map(shares.filter(([one]) => !divided.has(one)));
  const factors = new Float64Array(places.size);
  for (const [one, share] of own) factors[places.get(one)!]! += share;
  let ways: readonly Way[] = [{ factors, names: own.size > 0 ? [nameOfVariant({ ...variant, shares: own })] : [] }];
  for (const [one, share] of shares) {
    const loaded = divided.get(one);
    if (!loaded) continue;
    const signed = (name: string): string => (share < 0 ? `−${name}` : name);
    ways = ways.flatMap((way) => loaded.map((next) => together(way, next, share, next.names.map(signed)))); // oxfmt-ignore
  }
  return ways;
}

/** One way with `weight` times another one, and the names of this. */
export const together = (way: Way, other: Way, weight: number, names: readonly string[]): Way => ({
  factors: way.factors.map((factor, k) => factor + weight * other.factors[k]!),
  names: [...way.names, ...names],
  ...((way.trains ?? other.trains) && {
    trains: [...(way.trains ?? []), ...(other.trains ?? []).map(({ train, factor }) => ({ train, factor: weight * factor }))],
  }),
});
