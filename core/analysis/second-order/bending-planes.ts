import { BEND_FLEXIBILITY, BEND_WIDTH } from '../../stiffness/bending';
import type { MemberMatrices } from '../../stiffness/member-matrices';
import { BOWS_V, BOWS_W, isPlane, MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../../stiffness/structure';
import type { Yielding } from './stretch';

const N = MEMBER_FREEDOMS;

/** The freedoms of a bending plane, the sign by which its slope is the rotation, and where its deflection and moment stand among quantities. */
export interface BendingPlane {
  readonly across: 1 | 2;
  readonly turn: number;
  readonly sign: 1 | -1;
  readonly deflection: 'v' | 'w';
  readonly moment: 'Mz' | 'My';
}
const V: BendingPlane = { across: 1, turn: 5, sign: 1, deflection: 'v', moment: 'Mz' };
const W: BendingPlane = { across: 2, turn: 4, sign: -1, deflection: 'w', moment: 'My' };

/** Planes that bend together, and the freedoms of a chain in them: y and θ by plane at the start, then at the end, with their signs. */
export interface Bending {
  readonly planes: readonly BendingPlane[];
  readonly places: readonly number[];
  readonly signs: readonly number[];
  /** Where the stiffness of a chain, by rows, stands among the 12 × 12 of a member. */
  readonly entries: readonly number[];
  /** Undefined of a string, whose own bow is not known. */
  readonly section: Yielding | undefined;
}

function freedomsOf(planes: readonly BendingPlane[]): Omit<Bending, 'section'> {
  const places = [0, 6].flatMap((end) => planes.flatMap(({ across, turn }) => [end + across, end + turn]));
  return {
    planes,
    places,
    signs: [0, 6].flatMap(() => planes.flatMap(({ sign }) => [1, sign])),
    entries: places.flatMap((row) => places.map((column) => N * row + column)),
  };
}
const [IN_V, IN_W, IN_BOTH] = [freedomsOf([V]), freedomsOf([W]), freedomsOf([V, W])];

/** In what members bend: one plane after the other, or both together where their section couples them. Members of one section share it. */
export function bendingsIn(s: Structure, { bends }: MemberMatrices): (m: number) => readonly Bending[] {
  const known = new Map<string, readonly Bending[]>();
  return (m) => {
    const [at, o] = [BEND_WIDTH * m + BEND_FLEXIBILITY, STIFFNESS_WIDTH * m];
    const [vv, vw, ww] = [bends[at]!, bends[at + 1]!, bends[at + 2]!];
    const [shearV, shearW] = [1 / s.stiffnesses[o + 5]!, 1 / s.stiffnesses[o + 6]!];
    const [knowsV, knowsW] = [(s.bows[m]! & BOWS_V) !== 0, (s.bows[m]! & BOWS_W) !== 0];
    const key = [vv, vw, ww, shearV, shearW, s.bows[m]!].join(' ');
    const before = known.get(key);
    if (before) return before;
    const inV = { ...IN_V, section: knowsV ? yielding([vv], [shearV]) : undefined };
    const inW = { ...IN_W, section: knowsW ? yielding([ww], [shearW]) : undefined };
    const inBoth = { ...IN_BOTH, section: yielding([vv, vw, vw, ww], [shearV, shearW]) };
    const bendings = knowsV && knowsW && vw !== 0 ? [inBoth] : isPlane(s) ? [inV] : [inV, inW];
    known.set(key, bendings);
    return bendings;
  };
}

function yielding(flexibility: readonly number[], shear: readonly number[]): Yielding {
  const planes = shear.length as 1 | 2;
  const rows = shear.map((_, p) => flexibility.slice(planes * p, planes * (p + 1)).reduce((sum, one) => sum + Math.abs(one), 0));
  return { planes, flexibility, shear, softest: Math.max(...rows) };
}

/** Puts what holds a chain in place of the first order's bending (12 × 12 by rows), and its push among loads on the ends (12, at `at`). */
export function writeChain(
  { places, signs, entries }: Bending,
  forces: readonly number[],
  k: Float64Array,
  loads: Float64Array,
  at: number,
): void {
  const count = places.length;
  for (let i = 0, from = 0, to = 0; i < count; i++, from++) {
    const sign = signs[i]!;
    for (let j = 0; j < count; j++) k[entries[to++]!] = sign * signs[j]! * forces[from++]!;
    loads[at + places[i]!]! -= sign * forces[from]!;
  }
}
