import { countingCases } from '../../combinations/counting-cases';
import type { Travelling } from '../../combinations/outcome';
import type { Range } from '../curve-points';
import type { Solution } from '../results';
import { travelLine, type OwnMember } from './travel-line';
import type { Travel } from './travel';
import { worstOf, type Standing } from './worst';

/** Where one of the trains of an outcome stands for a value, and what it brings about there, with its factor. */
export interface StandingTrain {
  readonly travel: Travel;
  readonly standing: Standing;
  readonly value: number;
}

/** What the trains of an outcome bring about at one place, on both sides, and where each of them stands for that. */
export interface TrainsAt {
  readonly max: readonly StandingTrain[];
  readonly min: readonly StandingTrain[];
}

/** `read`: a number of a response, by its place; `own`: where on a member it is read. Trains stand wherever each is worst, by itself. */
export function trainsAt(
  { travels = [] }: Pick<Solution, 'travels'>,
  { trains }: Travelling,
  read: (response: number) => number,
  own?: (travel: Travel) => OwnMember | undefined,
): TrainsAt {
  const found: { readonly max: StandingTrain[]; readonly min: StandingTrain[] } = { max: [], min: [] };
  for (const { train, factor } of trains) {
    const travel = travels[train]!;
    const { max, min } = worstOf(travelLine(travel, read, own?.(travel)), travel.axles);
    const stands = (standing: Standing): StandingTrain => ({ travel, standing, value: factor * standing.value });
    found.max.push(stands(factor < 0 ? min : max));
    found.min.push(stands(factor < 0 ? max : min));
  }
  return found;
}

const total = (all: readonly StandingTrain[]): number => all.reduce((sum, { value }) => sum + value, 0);

/** A value and what trains add to it. */
export const withTrains = (value: number, { max, min }: TrainsAt): Range => ({
  max: value + total(max),
  min: value + total(min),
});

/** A number of the responses under the trains of an outcome and all else that acts in it; `read` gives it by the place of the response. */
export function travellingRange(solution: Pick<Solution, 'travels'>, of: Travelling, read: (response: number) => number): Range {
  let fixed = 0;
  for (const c of countingCases(of.factors)) fixed += of.factors[c]! * read(c);
  return withTrains(fixed, trainsAt(solution, of, read));
}
