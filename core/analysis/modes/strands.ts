import { BEND_FLEXIBILITY, bending } from '../../stiffness/bending';
import { memberStiffness } from '../../stiffness/member-stiffness';
import { BOWS_V, BOWS_W, isPlane, MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../../stiffness/structure';
import { integralOf, legendre, scaled, type Series } from './legendre';

const N = MEMBER_FREEDOMS;

/** How a stretch follows its ends when nothing acts between them: by end freedom and field its powers of x, and what holds the ends (p × p by rows). */
export interface Following {
  readonly powers: readonly (readonly (readonly number[])[])[];
  readonly stiffness: Float64Array;
}

/** A movement of a stretch whose ends rest, by field. */
export interface Bubble {
  readonly fields: readonly (Series | undefined)[];
  /** What one calls up against another of the same stretch: nothing but for itself, and for those that the section couples with it. */
  readonly stiffnessWith: (other: Bubble) => number;
}

/**
 * What of a member moves together: along its axis, about it, or across it in a plane or two. Fields are first those that all mass follows, then those that
 * the member's own mass turns with.
 */
export interface Strand {
  /** Freedoms of the member's own ends, local: all of the start, then of the end; with the signs that make them the strand's. */
  readonly places: readonly number[];
  readonly signs: readonly number[];
  readonly moving: number;
  readonly turning: number;
  /** Rotary inertia for a member's own mass of 1 kg/m (m²), `turning` × `turning` by rows. */
  readonly inertia: readonly number[];
  readonly follow: (h: number) => Following;
  readonly bubbles: (h: number, degree: number) => readonly Bubble[];
  /** Half a wave's argument on a stretch of length h, of 1 rad/s and so many kg/m: κh/2 for ω² = λ. */
  readonly argument: (h: number, mass: number, λ: number) => number;
}

/** Along or about the axis: stiffness EA or GJ. */
function straight(place: number, stiffness: number, turning: { inertia: number } | undefined): Strand {
  return {
    places: [place, place + 6],
    signs: [1, 1],
    moving: turning ? 0 : 1,
    turning: turning ? 1 : 0,
    inertia: turning ? [turning.inertia] : [],
    follow: (h) => ({
      powers: [[[1, -1 / h]], [[0, 1 / h]]],
      stiffness: Float64Array.of(stiffness / h, -stiffness / h, -stiffness / h, stiffness / h),
    }),
    bubbles: (h, degree) =>
      stiffness > 0
        ? Array.from({ length: degree }, (_, i) => {
            const n = i + 1;
            const strain = legendre(n);
            const own: Bubble = {
              fields: [scaled(integralOf(strain), h / 2)],
              stiffnessWith: (other) => (other === own ? (stiffness * h) / (2 * n + 1) : 0),
            };
            return own;
          })
        : [],
    argument: (h, mass, λ) => {
      const inert = turning ? mass * turning.inertia : mass;
      return stiffness > 0 ? (h / 2) * Math.sqrt((λ * inert) / stiffness) : 0;
    },
  };
}

/** Across the axis without a bow of its own: as its ends. */
const string = (place: number): Strand => ({
  ...straight(place, 0, undefined),
  argument: () => 0,
});

/** A plane of bending: its freedoms at the start, and the sign by which its slope is the rotation. */
const IN_V = { across: 1, turn: 5, sign: 1 } as const;
const IN_W = { across: 2, turn: 4, sign: -1 } as const;

interface Section {
  readonly EI: { readonly EIz: number; readonly EIy: number; readonly EIyz: number; readonly GAy: number; readonly GAz: number };
  readonly bows: number;
  /** Cross-section area over EA's modulus: EI divided by EA gives the square of its radius. */
  readonly EA: number;
}

function bent({ EI, bows, EA }: Section, planes: readonly (typeof IN_V | typeof IN_W)[]): Strand {
  const P = planes.length;
  const places = [0, 6].flatMap((end) => planes.flatMap(({ across, turn }) => [end + across, end + turn]));
  const signs = [0, 6].flatMap(() => planes.flatMap(({ sign }) => [1, sign]));
  const row = (p: number, q: number): 0 | 1 | 2 => ((planes[p] === IN_W ? 1 : 0) + (planes[q] === IN_W ? 1 : 0)) as 0 | 1 | 2;
  const stiffnesses = [EI.EIz, EI.EIyz, EI.EIy];
  const bendingStiffness = (p: number, q: number): number => stiffnesses[row(p, q)]!;
  const shear = planes.map((plane) => (plane === IN_V ? EI.GAy : EI.GAz));
  const counts = shear.map((GA) => GA !== Infinity);
  const inertia = planes.flatMap((_, p) =>
    planes.map((__, q) => (counts[p] && counts[q] && EA > 0 ? bendingStiffness(p, q) / EA : 0)),
  );
  const follow = (h: number): Following => {
    const bend = bending(EI, h, bows);
    const k = new Float64Array(N * N);
    memberStiffness({ EA: 0, GJ: 0, L: h }, bend, 0, k);
    const p = places.length;
    const stiffness = Float64Array.from({ length: p * p }, (_, e) => {
      const [i, j] = [Math.floor(e / p), e % p];
      return signs[i]! * signs[j]! * k[N * places[i]! + places[j]!]!;
    });
    const powers = places.map((_, j) => {
      const force = (i: number): number => stiffness[p * i + j]!;
      const turn = (b: number): readonly [number, number, number] => {
        let [M, T] = [0, 0];
        for (let q = 0; q < P; q++) {
          const flexible = bend[BEND_FLEXIBILITY + row(b, q)]!;
          M -= flexible * force(2 * q + 1);
          T += flexible * force(2 * q);
        }
        return [j === 2 * b + 1 ? 1 : 0, M, T / 2];
      };
      const turns = planes.map((__, b) => turn(b));
      const across = turns.map(([t0, t1, t2], b) => [j === 2 * b ? 1 : 0, t0 - force(2 * b) / shear[b]!, t1 / 2, t2 / 3]);
      return [...across, ...turns];
    });
    return { powers, stiffness };
  };
  const bubbles = (h: number, degree: number): Bubble[] => {
    const made: (Bubble & { readonly p: number; readonly n: number; readonly shears: boolean })[] = [];
    const energy = (a: (typeof made)[number], b: (typeof made)[number]): number => {
      if (a.n !== b.n || a.shears !== b.shears) return 0;
      const along = h / (2 * a.n + 1);
      if (a.shears) return a.p === b.p ? shear[a.p]! * along : 0;
      // The mean of its rotation shears all of it the other way.
      const mean = a.n === 1 && a.p === b.p ? shear[a.p]! * h * (h / 6) ** 2 : 0;
      return bendingStiffness(a.p, b.p) * along + mean;
    };
    const add = (p: number, n: number, turn: Series | undefined, slope: Series): void => {
      const fields = Array.from({ length: 2 * P }, (_, f) =>
        f === p ? scaled(integralOf(slope), h / 2) : f === P + p ? turn : undefined,
      );
      const own = {
        ...{ p, n, shears: turn === undefined, fields },
        stiffnessWith: (other: Bubble): number => energy(own, other as typeof own),
      };
      made.push(own);
    };
    for (let p = 0; p < P; p++)
      for (let n = counts[p] ? 1 : 2; n <= degree; n++) {
        // The curvature is Pₙ.
        const turn = scaled(integralOf(legendre(n)), h / 2);
        const slope = turn.slice();
        if (n === 1) slope[0] = 0;
        add(p, n, turn, slope);
        if (counts[p]) add(p, n, undefined, legendre(n));
      }
    return made;
  };
  const softest = Math.min(...planes.map((_, p) => bendingStiffness(p, p)));
  return {
    ...{ places, signs, moving: P, turning: P, inertia, follow, bubbles },
    argument: (h, mass, λ) => (h / 2) * ((λ * mass) / softest) ** 0.25,
  };
}

/** The strands of members, one after the other: those of one stiffness, which are most, have the same ones. */
export function strandsIn(s: Structure): (m: number) => readonly Strand[] {
  const known = new Map<string, readonly Strand[]>();
  return (m) => {
    const o = STIFFNESS_WIDTH * m;
    const key = `${s.stiffnesses.subarray(o, o + STIFFNESS_WIDTH).join()} ${s.bows[m]}`;
    let strands = known.get(key);
    if (!strands) known.set(key, (strands = strandsOf(s, m)));
    return strands;
  };
}

function strandsOf(s: Structure, m: number): readonly Strand[] {
  const o = STIFFNESS_WIDTH * m;
  const [EA, GJ, EIz, EIy, EIyz, GAy, GAz] = s.stiffnesses.subarray(o, o + STIFFNESS_WIDTH) as unknown as readonly [
    ...[number, number, number, number, number, number, number],
  ];
  const bows = s.bows[m]!;
  const section = { EI: { EIz, EIy, EIyz, GAy, GAz }, bows, EA };
  const [inV, inW] = [(bows & BOWS_V) !== 0, (bows & BOWS_W) !== 0];
  const along = straight(0, EA, undefined);
  const v = inV ? bent(section, [IN_V]) : string(1);
  if (isPlane(s)) return [along, v];
  const about = straight(3, GJ, { inertia: EA > 0 ? (EIz + EIy) / EA : 0 });
  if (inV && inW && EIyz !== 0) return [along, about, bent(section, [IN_V, IN_W])];
  return [along, about, v, inW ? bent(section, [IN_W]) : string(2)];
}
