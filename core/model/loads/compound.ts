import { area, type AreaLoad } from './area/area';
import { chain, type ChainLoad } from './chain';
import type { CompoundKind, Pressure } from './compound-kind';
import { trainLoad, type TrainLoad } from './train-load';

/** Loads that stand for several loads on single members. */
export type CompoundLoad = ChainLoad | AreaLoad | TrainLoad;

/** By type. A new kind of compound load is entered here. */
export const compoundKinds: { readonly [type in CompoundLoad['type']]: CompoundKind<CompoundLoad> } = {
  chain: chain as CompoundKind<CompoundLoad>,
  area: area as CompoundKind<CompoundLoad>,
  train: trainLoad as CompoundKind<CompoundLoad>,
};

export const isCompound = (load: { readonly type: string }): load is CompoundLoad => Object.hasOwn(compoundKinds, load.type);

/** The kind of a compound load. */
export const kindOfLoad = (load: CompoundLoad): CompoundKind<CompoundLoad> => compoundKinds[load.type];

/** The pressure that a load is; undefined of any other. */
export const pressureOf = (load: { readonly type: string }): Pressure | undefined =>
  isCompound(load) ? kindOfLoad(load).pressure?.(load) : undefined;
