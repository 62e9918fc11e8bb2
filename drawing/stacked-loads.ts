import { once } from '@rigid-beam/core/once';
import type { Load, Model } from '@rigid-beam/core/model/model';
import { expandLoads } from '@rigid-beam/core/model/loads/expand';
import { INTENSITY_KEYS, sizeOf } from '@rigid-beam/core/model/loads/intensities';
import type { ForceComponents, Intensity, LineLoad, PrimitiveLoad } from '@rigid-beam/core/model/loads/primitive';
import { arrowLength } from './load-marks';

/** An axle on a deck, which is drawn where it stands and not as what it hands to the nodes. */
export interface AxleOnDeck extends ForceComponents {
  readonly type: 'axle';
  readonly case: string;
  readonly nodes: readonly [string, string];
  /** The part of the way from one node to the other that is behind it. */
  readonly part: number;
}

export type DrawnLoad = PrimitiveLoad | AxleOnDeck;

/** A load that acts: as one that was written, and what it stands for on one member. */
export interface ActingLoad {
  /** Its place among the expanded loads of the model. */
  readonly index: number;
  readonly load: DrawnLoad;
  readonly origin: Load;
  readonly factor: number;
}

/** Pixels between the back of one comb and the feet of the next. */
const BETWEEN = 7;

/** How large combs stand for their intensities: pixels of a part of the largest. */
export const COMB = 0.72;

/**
 * Line loads that act the same way on the same stretch stand one above the other, as they add up: by the id of the load that was written,
 * the pixels between its member and its feet. `largest`: the intensity that takes the longest arrow.
 */
export function stackedLoads(model: Model, acting: readonly ActingLoad[], largest: number): (load: string) => number {
  if (!isAnyShared(acting)) return () => 0;
  const { positive, negative, placeCount, from, to, size, written, numberOf } = combsOf(model);
  const placeOf = ({ index, factor }: ActingLoad): number => (factor > 0 ? positive : negative)[index]!;
  const bases = new Float64Array(numberOf.size);
  // By place: the load that was put there last. By load: the one before it, and where its back is.
  const last = new Int32Array(placeCount).fill(-1);
  const before = new Int32Array(from.length);
  const top = new Float64Array(from.length);
  for (const parts of byWritten(acting, written, numberOf.size)) {
    // A load along several members keeps its back straight: it stands as high as the fullest of them asks.
    let base = 0;
    for (const one of parts) {
      const [i, place] = [one.index, placeOf(one)];
      if (place < 0) continue;
      for (let other = last[place]!; other >= 0; other = before[other]!)
        if (from[i]! < to[other]! && from[other]! < to[i]!) base = Math.max(base, top[other]!);
    }
    for (const one of parts) {
      const [i, place] = [one.index, placeOf(one)];
      if (place < 0) continue;
      bases[written[i]!] = base;
      top[i] = base + arrowLength((Math.abs(one.factor) * size[i]!) / (largest || 1)) * COMB + BETWEEN;
      before[i] = last[place]!;
      last[place] = i;
    }
  }
  return (load) => bases[numberOf.get(load) ?? -1] ?? 0;
}

/** Whether two line loads act on one member: mostly none do, and nothing has to be found. */
function isAnyShared(acting: readonly ActingLoad[]): boolean {
  const members = new Set<string>();
  for (const { load } of acting) {
    if (load.type !== 'line') continue;
    if (members.has(load.member)) return true;
    members.add(load.member);
  }
  return false;
}

/** The line loads that act, together where they were written as one, in the order in which these appear. */
function byWritten(acting: readonly ActingLoad[], written: Int32Array, count: number): readonly (readonly ActingLoad[])[] {
  const found: ActingLoad[][] = [];
  const of = new Int32Array(count).fill(-1);
  for (const one of acting) {
    if (one.load.type !== 'line') continue;
    const number = written[one.index]!;
    if (of[number]! >= 0) found[of[number]!]!.push(one);
    else of[number] = found.push([one]) - 1;
  }
  return found;
}

/** Where the line loads of a model act, by their places among its expanded loads: a sum asks for all of them each time another one is looked at. */
interface Combs {
  /** The place where a load adds up with others, with a positive and with a negative factor; −1 where it turns round on its way. */
  readonly positive: Int32Array;
  readonly negative: Int32Array;
  readonly placeCount: number;
  /** The stretch of the member, and how large the load is where it is heaviest. */
  readonly from: Float64Array;
  readonly to: Float64Array;
  readonly size: Float64Array;
  /** The number of the load that was written, and of each such load by its id. */
  readonly written: Int32Array;
  readonly numberOf: ReadonlyMap<string, number>;
}

const combsOf = once((model: Model): Combs => {
  const { loads, origins } = expandLoads(model);
  const [numberOf, members, places] = [new Numbers<string>(), new Numbers<string>(), new Numbers<number>()];
  const [positive, negative, written] = [0, 1, 2].map(() => new Int32Array(loads.length).fill(-1)) as Triple<Int32Array>;
  const [from, to, size] = [0, 1, 2].map(() => new Float64Array(loads.length)) as Triple<Float64Array>;
  loads.forEach((load, i) => {
    if (load.type !== 'line') return;
    written[i] = numberOf.of(origins[i]!.id);
    from[i] = load.from.at ?? 0;
    to[i] = load.to.at ?? Infinity;
    size[i] = Math.max(sizeOf(load.from), sizeOf(load.to));
    const member = members.of(load.member) * WAYS;
    const [way, other] = [wayOf(load, 1), wayOf(load, -1)];
    if (way !== undefined) positive[i] = places.of(member + way);
    if (other !== undefined) negative[i] = places.of(member + other);
  });
  return { positive, negative, placeCount: places.size, from, to, size, written, numberOf };
});

type Triple<T> = [T, T, T];

/** Numbers from 0 for whatever is asked for, in the order in which it comes. */
class Numbers<K> extends Map<K, number> {
  of(key: K): number {
    const known = this.get(key) ?? this.size;
    if (known === this.size) this.set(key, known);
    return known;
  }
}

/** More than there are directions in hundredths, in one kind of axes and in another. */
const WAYS = 2 * 201 ** 3;

/** The direction of a line load as a number that is the same for loads that add up; undefined where it changes along the member, or there is none. */
function wayOf({ axes, from, to }: LineLoad, sign: number): number | undefined {
  const [a, b] = [directionOf(from, sign), directionOf(to, sign)];
  const one = a ?? b;
  if (one === undefined || (b !== undefined && b !== one)) return undefined;
  return axes === 'local' ? one + 201 ** 3 : one;
}

function directionOf(end: Intensity, sign: number): number | undefined {
  const size = sizeOf(end);
  if (size === 0) return undefined;
  return INTENSITY_KEYS.reduce((sum, key) => 201 * sum + Math.round((100 * sign * (end[key] ?? 0)) / size) + 100, 0);
}
