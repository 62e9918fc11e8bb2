import type { RunLink } from '../model/runs';
import { isPlane } from '../stiffness/structure';
import type { CurvePoint } from './curve-points';
import type { Stretch } from './envelope';
import type { Extremes } from './extreme';
import { enclosing } from './extremes';
import type { Quantity } from './quantities';
import { memberReader, type MemberReader } from './read-quantity';
import type { Solution } from './results';

/** A member of a run, and the way along the run, metres, where it begins and ends. */
export interface RunStretch {
  readonly member: string;
  readonly from: number;
  readonly to: number;
  /** Metres from the member's own start, at so many metres along the run. */
  readonly placeOf: (x: number) => number;
  /** As on the member, at so many metres along the run; its own value at either end, where neighbours may differ. */
  readonly at: MemberReader['at'];
  /** As on the member, its places metres along the run, ascending. */
  readonly curve: MemberReader['curve'];
}

/** Members that follow each other, read as one line. */
export interface RunReader {
  readonly length: number;
  readonly stretches: readonly RunStretch[];
  /** At so many metres along the run; at a node the value of the member that begins there. */
  readonly at: MemberReader['at'];
  readonly extremes: MemberReader['extremes'];
  /** As of a member, along the run; undefined where it is on one of its members. */
  readonly governed: MemberReader['governed'];
}

/** Cosine between the axes of neighbours under which they do not read as one line. */
const ALIKE = 0.5;

/**
 * Reads a run of members as one line: x leads along the run, y stands on the side on which the first member's y does, so that forces and
 * moments go on from one member to the next. Undefined in space where the axes of neighbours do not: their values stand for different planes.
 */
export function runReader(solution: Solution, outcome: number, links: readonly RunLink[]): RunReader | undefined {
  const { structure } = solution;
  const places = new Map(structure.names.members.map((id, m) => [id, m]));
  const all = links.map(({ member, way }) => ({ id: member.id, m: places.get(member.id) ?? -1, way }));
  if (all.length === 0 || all.some(({ m }) => m < 0)) return undefined;
  const senses = sensesOf(
    all.map(({ m, way }) => ({ axes: structure.axes.subarray(9 * m, 9 * m + 6), along: way === 'along' ? 1 : -1 })),
    isPlane(structure) ? 'plane' : 'space',
  );
  if (!senses) return undefined;
  let length = 0;
  const stretches = all.map(({ id, m }, i): RunStretch & Pick<MemberReader, 'extremes' | 'governed'> => {
    const reader = memberReader(solution, outcome, m);
    const [from, own] = [length, structure.lengths[m]!];
    length += own;
    const sense = senses[i]!;
    const there = (x: number): number => (sense.x < 0 ? from + own - x : x - from);
    const back = (x: number): number => (sense.x < 0 ? from + own - x : from + x);
    return {
      placeOf: (x) => Math.min(Math.max(there(x), 0), own),
      member: id,
      from,
      to: length,
      at: (quantity, x) => {
        const range = reader.at(quantity, Math.min(Math.max(there(x), 0), own));
        if (!range || !turns(quantity, sense)) return range;
        return { max: -range.min, min: -range.max, maxFrom: range.minFrom, minFrom: range.maxFrom };
      },
      curve: (quantity) => {
        const points = reader.curve(quantity)?.map(({ x, max, min }): CurvePoint => {
          const place = back(x);
          return turns(quantity, sense) ? { x: place, max: -min, min: -max } : { x: place, max, min };
        });
        return sense.x < 0 ? points?.toReversed() : points;
      },
      governed: (quantity, side) => {
        const other = side === 'max' ? 'min' : 'max';
        const found = reader.governed(quantity, turns(quantity, sense) ? other : side);
        const placed = found?.map((one) => {
          const [a, b] = [back(one.from), back(one.to)];
          return { ...one, from: Math.min(a, b), to: Math.max(a, b) };
        });
        return sense.x < 0 ? placed?.toReversed() : placed;
      },
      extremes: (quantity) => {
        const found = reader.extremes(quantity);
        if (!found) return undefined;
        const { max, min } = found;
        const placed = { max: { ...max, x: back(max.x) }, min: { ...min, x: back(min.x) } };
        return turns(quantity, sense) ? exchanged(placed) : placed;
      },
    };
  });
  return {
    length,
    stretches,
    at: (quantity, x) => (stretches.find(({ to }) => x < to) ?? stretches.at(-1)!).at(quantity, x),
    governed: (quantity, side) => {
      const found = stretches.map((one) => one.governed(quantity, side));
      if (!found.every((one) => one !== undefined)) return undefined;
      const joined: Stretch[] = [];
      for (const one of found.flat()) {
        const last = joined.at(-1);
        if (last?.outcome === one.outcome) joined[joined.length - 1] = { ...last, to: one.to };
        else joined.push(one);
      }
      return joined;
    },
    extremes: (quantity) => {
      const found = stretches.map((one) => one.extremes(quantity));
      return found.every((one) => one !== undefined) ? enclosing(found) : undefined;
    },
  };
}

/** Whether a member's own x and y are those of the run, or the opposite; z follows from both. */
interface Sense {
  readonly x: 1 | -1;
  readonly y: 1 | -1;
}

/** Local x and y of a member, and whether it is drawn along the run. */
interface Axes {
  readonly axes: Float64Array;
  readonly along: 1 | -1;
}

function sensesOf(all: readonly Axes[], space: 'plane' | 'space'): Sense[] | undefined {
  const senses: Sense[] = [];
  for (const [i, { axes, along }] of all.entries()) {
    const before = all[i - 1];
    let y: 1 | -1 = 1;
    if (before && space === 'plane') {
      // On the left of the way, or on the right: both members alike.
      const isLeft = (one: Axes): boolean => one.along * (one.axes[0]! * one.axes[4]! - one.axes[1]! * one.axes[3]!) > 0;
      y = ((isLeft(before) === isLeft(all[i]!) ? 1 : -1) * senses[i - 1]!.y) as 1 | -1;
    } else if (before) {
      const [ahead, aside] = [
        along * before.along * cosine(axes, before.axes, 0),
        senses[i - 1]!.y * cosine(axes, before.axes, 3),
      ];
      if (ahead < ALIKE || Math.abs(aside) < ALIKE) return undefined;
      y = aside > 0 ? 1 : -1;
    }
    senses.push({ x: along, y });
  }
  return senses;
}

/** Whether a quantity is the opposite in the run's axes: bending by the face that is in tension, shear by that and the way along which it is counted. */
function turns(quantity: Quantity, { x, y }: Sense): boolean {
  switch (quantity) {
    case 'u':
      return x < 0;
    case 'v':
    case 'Mz':
    case 'Vz':
      return y < 0;
    case 'w':
    case 'My':
    case 'Vy':
      return x * y < 0;
    default:
      return false;
  }
}

const cosine = (a: Float64Array, b: Float64Array, k: number): number =>
  a[k]! * b[k]! + a[k + 1]! * b[k + 1]! + a[k + 2]! * b[k + 2]!;

const exchanged = ({ max, min }: Extremes): Extremes => ({
  max: { ...min, value: -min.value },
  min: { ...max, value: -max.value },
});
