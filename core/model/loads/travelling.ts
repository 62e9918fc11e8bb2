import type { Load, Model } from '../model';
import type { NodeLoad, PointLoad, PrimitiveLoad } from './primitive';
import { uniqueNames } from '../unique-names';
import { pushOf, type TrainLoad } from './train-load';

/**
 * Places of a member, as parts of its length: what a force of 1 N at these four brings about tells that of one anywhere on it, which is a cubic. The zeros
 * of a polynomial of Chebyshev, between which a cubic is told best.
 */
export const UNIT_PLACES = [0.038060233744356624, 0.3086582838174551, 0.6913417161825449, 0.9619397662556434] as const;

/** A train that travels over its way in one action. */
export interface TravellingTrain {
  readonly action: string;
  readonly load: TrainLoad;
  /** By member the cases in which a force of 1 N stands on it, at each of `UNIT_PLACES`; by node of a deck the one in which it stands there. */
  readonly units: ReadonlyMap<string, readonly string[]>;
}

/** A case that only the solution has: a force of 1 N on the way of a train, or what is in the case of some trains beside them. */
export interface TravelCase {
  readonly id: string;
  readonly action: string;
  readonly selfWeight?: number;
  /** Whether it is what stands beside the trains, and acts wherever they are. */
  readonly isBeside: boolean;
  /** As they stand in the model, or would: not yet of this case. */
  readonly loads: readonly PrimitiveLoad[];
  readonly origins: readonly Load[];
}

export interface Travelling {
  readonly cases: readonly TravelCase[];
  readonly trains: readonly TravellingTrain[];
}

const NONE: Travelling = { cases: [], trains: [] };
const isTrain = (load: Load): load is TrainLoad => load.type === 'train';

/** The same forces as long as the train is the same: those who compare see that nothing changed. */
const known = new WeakMap<TrainLoad, readonly (PointLoad | NodeLoad)[]>();

/** Forces of 1 N as the train pushes: four on each of its members, in their order, or one on each node of its deck. */
function unitLoads(load: TrainLoad): readonly (PointLoad | NodeLoad)[] {
  const before = known.get(load);
  if (before) return before;
  const own = { id: load.id, case: load.case, ...pushOf(load, 1) };
  const { members = [], nodes = [] } = load;
  const found = [
    ...members.flatMap((member) => UNIT_PLACES.map((at): PointLoad => ({ ...own, type: 'point', member, at, measure: 'ratio' }))),
    ...[...new Set(nodes)].map((node): NodeLoad => ({ ...own, type: 'node', node })),
  ];
  known.set(load, found);
  return found;
}

const unitWords = (unit: PointLoad | NodeLoad): string =>
  unit.type === 'node' ? `1 N at ${unit.node}` : `1 N on ${unit.member} at ${unit.at.toFixed(2)} of it`;

/** What is solved for the trains of a sound model that travel; `loads`: what all its loads stand for, and where they come from. */
export function travellingOf(
  { actions = [], cases, combinations, loads }: Pick<Model, 'actions' | 'cases' | 'combinations' | 'loads'>,
  own: { readonly loads: readonly PrimitiveLoad[]; readonly origins: readonly Load[] },
): Travelling {
  const groups = actions.filter(({ type }) => type === 'travelling');
  if (groups.length === 0) return NONE;
  const free = uniqueNames([...cases, ...actions, ...combinations].map(({ id }) => id));
  const found: { readonly cases: TravelCase[]; readonly trains: TravellingTrain[] } = { cases: [], trains: [] };
  for (const {
    id: action,
    of: [source],
  } of groups) {
    const { id: of, selfWeight } = cases.find(({ id }) => id === source)!;
    const beside = own.loads.flatMap((load, i) => (load.case === of && !isTrain(own.origins[i]!) ? [i] : []));
    if (beside.length > 0 || selfWeight)
      found.cases.push({
        id: free(`${of}, beside its trains`),
        ...{ action, isBeside: true, ...(selfWeight && { selfWeight }) },
        loads: beside.map((i) => own.loads[i]!),
        origins: beside.map((i) => own.origins[i]!),
      });
    for (const load of loads) {
      if (load.case !== of || !isTrain(load)) continue;
      const units = new Map<string, string[]>();
      for (const unit of unitLoads(load)) {
        const id = free(`${load.id}, ${unitWords(unit)}`);
        const on = unit.type === 'node' ? unit.node : unit.member;
        units.set(on, [...(units.get(on) ?? []), id]);
        found.cases.push({ id, action, isBeside: false, loads: [unit], origins: [load] });
      }
      found.trains.push({ action, load, units });
    }
  }
  return found;
}

/** Whether what is solved for trains is the same, by its names and weights. */
export const sameTravelCases = (a: readonly TravelCase[], b: readonly TravelCase[]): boolean =>
  a === b || (a.length === b.length && a.every(({ id, selfWeight }, i) => id === b[i]!.id && selfWeight === b[i]!.selfWeight));
