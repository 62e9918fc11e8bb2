import { once } from '../../once';
import type { Load, Model } from '../model';
import { barsOf } from './bars';
import { compoundKinds, isCompound, type CompoundLoad } from './compound';
import type { Bars, Handle } from './compound-kind';
import { isNotional, notionalParts, type NotionalLoad } from './notional';
import { shapeOf } from './member-shape';
import type { MemberLoad, PrimitiveLoad } from './primitive';

/** The primitive loads of a model, in its order, each with the load of the model that it comes from. */
export interface ExpandedLoads {
  readonly loads: readonly PrimitiveLoad[];
  readonly origins: readonly Load[];
}

/** What a compound load was expanded to last, to be taken over where it is the same: those who compare see that nothing changed. */
const parts = new WeakMap<CompoundLoad, readonly MemberLoad[]>();

/** The one way from what the engineer says to primitive loads: compiling, drawing, totals and words go through it. The model must be sound. */
export const expandLoads = once((model: Model): ExpandedLoads => {
  const { loads } = model;
  if (!loads.some((load) => isCompound(load) || isNotional(load)))
    return { loads: loads as readonly PrimitiveLoad[], origins: loads };
  const bars = barsOf(model);
  // A notional load follows all others, and none of its kind.
  const others = new Map(
    loads.map((load) => [load, isNotional(load) ? [] : isCompound(load) ? partsOf(load, bars) : [load as PrimitiveLoad]]),
  );
  const ofCase = new Map<string, PrimitiveLoad[]>();
  for (const [load, parts] of others) {
    const list = ofCase.get(load.case);
    if (list) for (const part of parts) list.push(part);
    else ofCase.set(load.case, [...parts]);
  }
  const result = { loads: [] as PrimitiveLoad[], origins: [] as Load[] };
  for (const load of loads) {
    const parts = isNotional(load) ? notionalOf(load, ofCase.get(load.of) ?? [], model) : others.get(load)!;
    for (const part of parts) {
      result.loads.push(part);
      result.origins.push(load);
    }
  }
  return result;
});

const notionalOf = (load: NotionalLoad, vertical: readonly PrimitiveLoad[], model: Model): PrimitiveLoad[] =>
  notionalParts(load, vertical, (member) => shapeOf(model, member)?.axes);

/** The single loads of a compound load. */
export function partsOf(load: CompoundLoad, bars: Bars): readonly MemberLoad[] {
  const before = parts.get(load);
  const now = compoundKinds[load.type].expand(load, bars);
  if (before && JSON.stringify(before) === JSON.stringify(now)) return before;
  parts.set(load, now);
  return now;
}

/** Where the values of a compound load are written and changed. */
export const handlesOf = (model: Model, load: CompoundLoad): readonly Handle[] =>
  compoundKinds[load.type].handles(load, barsOf(model));
