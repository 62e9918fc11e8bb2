import isSame from 'fast-deep-equal';
import { once } from '../../once';
import type { ActionGroup, Load, Model } from '../model';
import { barsOf } from './bars';
import { compoundKinds, isCompound, type CompoundLoad } from './compound';
import type { Bars, Handle } from './compound-kind';
import { isNotional, notionalParts, type NotionalLoad } from './notional';
import { shapeOf } from './member-shape';
import { oneSidedIn, sameOneSided } from './one-sided';
import { partCases, sameParts, type PartCase } from '../patterns/parts';
import { isOnMember, type PrimitiveLoad } from './primitive';
import { sameTravelCases, travellingOf } from './travelling';

/** The primitive loads of a model, in its order, each with the load of the model that it comes from. */
export interface ExpandedLoads {
  readonly loads: readonly PrimitiveLoad[];
  readonly origins: readonly Load[];
}

/** What a compound load was expanded to last, to be taken over where it is the same: those who compare see that nothing changed. */
const parts = new WeakMap<CompoundLoad, readonly PrimitiveLoad[]>();

/** The one way from what the engineer says to primitive loads: compiling, drawing, totals and words go through it. The model must be sound. */
export const expandLoads = once((model: Model): ExpandedLoads => {
  const { loads, origins } = ownLoads(model);
  const parts = partCasesOf(model);
  const { cases: travels } = travellingIn(model);
  const oneSided = oneSidedIn(model);
  if (parts.length + travels.length + oneSided.length === 0) return { loads, origins };
  const result = { loads: [...loads], origins: [...origins] };
  for (const part of parts)
    loads.forEach((load, i) => {
      if (load.case !== part.of) return;
      if (isOnMember(load) ? !part.members.has(load.member) : part.number !== undefined) return;
      result.loads.push(inPart(load, part.id));
      result.origins.push(origins[i]!);
    });
  for (const travel of travels)
    travel.loads.forEach((load, i) => {
      result.loads.push(inPart(load, travel.id));
      result.origins.push(travel.origins[i]!);
    });
  for (const { loads } of oneSided) {
    result.loads.push(...loads);
    result.origins.push(...loads);
  }
  return result;
});

/** One list, so that what is found of it once is found again. */
const NO_PARTS: readonly PartCase[] = [];

/** The parts of cases that are loaded in patterns: they are solved behind the cases of the model. */
export const partCasesOf = once((model: Model) =>
  model.actions?.some(({ type }) => type === 'pattern') ? partCases(model, ownLoads(model).loads) : NO_PARTS,
);

/** The parts that a case of a sound model has, or would have, in one pattern. */
export const partsIn = (model: Model, action: ActionGroup): readonly PartCase[] =>
  partCases({ ...model, actions: [action] }, ownLoads(model).loads);

/** What is solved for trains that travel, and those trains. */
export const travellingIn = once((model: Model) => travellingOf(model, ownLoads(model)));

interface SolvedCase {
  readonly id: string;
  readonly selfWeight?: number;
  /** Those that weigh in it; all, where it is not said. */
  readonly members?: ReadonlySet<string>;
}

/**
 * All that is solved for itself, as the solution has it: the cases of the model, then the parts of those that are loaded in patterns, then what trains ask for, and
 * what members that act one way do when they are slack.
 */
export const solvedCasesOf = (model: Model): readonly SolvedCase[] => [
  ...model.cases,
  ...partCasesOf(model),
  ...travellingIn(model).cases,
  ...oneSidedIn(model),
];

/** Whether the same is solved of two models, whatever acts in it. */
export const sameSolvedCases = (a: Model, b: Model): boolean =>
  a.cases === b.cases &&
  sameParts(partCasesOf(a), partCasesOf(b)) &&
  sameTravelCases(travellingIn(a).cases, travellingIn(b).cases) &&
  sameOneSided(oneSidedIn(a), oneSidedIn(b));

/** A load as it acts in a part of its case; the same one as long as it is in the same part, so that those who compare see that nothing changed. */
function inPart(load: PrimitiveLoad, id: string): PrimitiveLoad {
  const before = parted.get(load);
  if (before?.case === id) return before;
  const now = { ...load, case: id };
  parted.set(load, now);
  return now;
}
const parted = new WeakMap<PrimitiveLoad, PrimitiveLoad>();

/** What the loads of the model stand for in their own cases. */
const ownLoads = once((model: Model): ExpandedLoads => {
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
export function partsOf(load: CompoundLoad, bars: Bars): readonly PrimitiveLoad[] {
  const before = parts.get(load);
  const now = compoundKinds[load.type].expand(load, bars);
  if (before && isSame(before, now)) return before;
  parts.set(load, now);
  return now;
}

/** Where the values of a compound load are written and changed. */
export const handlesOf = (model: Model, load: CompoundLoad): readonly Handle[] =>
  compoundKinds[load.type].handles(load, barsOf(model));
