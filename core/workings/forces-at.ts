import { isImposed, type FixedEnds } from './fixed-ends';
import type { WorkedMember } from './worked-member';

/** Forces in a member as its end forces give them: factors of the start's six actions, those of Mz and My times x (`docs/model-format.md`, 1). */
export const FROM_ENDS = {
  N: { 0: -1 },
  Vy: { 1: 1 },
  Vz: { 2: 1 },
  T: { 3: -1 },
  Mz: { 5: -1, 1: 'x' },
  My: { 4: 1, 2: 'x' },
} as const satisfies { readonly [force: string]: { readonly [action: number]: 1 | -1 | 'x' } };
export type Traced = keyof typeof FROM_ENDS;
export const isTraced = (quantity: string): quantity is Traced => Object.hasOwn(FROM_ENDS, quantity);

/** Of what quantity each load is a part as it acts along or about an axis, times what: its force, or its moment about x. */
const FROM_LOADS: { readonly [axis: number]: { readonly [quantity in Traced]?: 'force' | '-force' | 'moment' } } = {
  0: { N: '-force' },
  1: { Vy: 'force', Mz: 'moment' },
  2: { Vz: 'force', My: 'moment' },
  3: { T: '-force' },
  4: { My: 'force' },
  5: { Mz: '-force' },
};

/** What a load between the start and x adds. */
export function upTo({ formula, axis, a, b, at, to }: FixedEnds, quantity: Traced, x: number, L: number): number {
  const way = isImposed(formula) ? undefined : FROM_LOADS[axis]![quantity];
  if (way === undefined || x < a || (x === a && a === L)) return 0;
  const sign = way === '-force' ? -1 : 1;
  if (a === b) return way === 'moment' ? at * (x - a) : sign * at;
  const end = Math.min(x, b);
  const length = end - a;
  const there = at + ((to - at) * length) / (b - a);
  const force = ((at + there) / 2) * length;
  if (way !== 'moment') return sign * force;
  // A trapezium about its own end, then that end about x.
  return (at * length * length) / 3 + (there * length * length) / 6 + force * (x - end);
}

/** A force of the member at x, of its end forces and the loads up to there. */
export function forceAt(one: WorkedMember, quantity: Traced, x: number): number {
  const ends = Object.entries(FROM_ENDS[quantity]).reduce((sum, [action, factor]) => {
    const a = one.own.indexOf(Number(action));
    return a < 0 ? sum : sum + (factor === 'x' ? x : factor) * one.forces[a]!;
  }, 0);
  return one.loads.reduce((sum, load) => sum + upTo(load, quantity, x, one.L), ends);
}

/** Forces that a member has in the plane, or in space. */
export const tracedIn = (own: readonly number[]): readonly Traced[] =>
  own.length === 6 ? ['N', 'Vy', 'Mz'] : ['N', 'Vy', 'Vz', 'T', 'My', 'Mz'];
