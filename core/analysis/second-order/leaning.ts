import { productOf } from '../../results/polynomial';
import type { StructuralResponse } from '../../results/results';
import { condense, condenseLoads, recoverEnds, type Condensed } from '../../stiffness/condensation';
import { keptEntries } from '../../stiffness/kept-entries';
import type { MemberMatrices } from '../../stiffness/member-matrices';
import { memberStiffness } from '../../stiffness/member-stiffness';
import { BEND_WIDTH } from '../../stiffness/bending';
import { MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../../stiffness/structure';
import { addToNodes, endDisplacements, toNodes } from '../../stiffness/transformation';
import { forceOn, integral, slopeOn, type Lean } from './along';
import { bendingsOf, writeChain, type Bending } from './bending-planes';
import { chainOf, type Chain } from './chain';
import { reachOf, solveStretch, type SolvedStretch, type Stretch } from './stretch';

const N = MEMBER_FREEDOMS;
/** A member whose axial force is less than this part of what would buckle it leans on nothing. */
const NOTHING = 1e-15;
/** The longest stretch: kh. */
const REACH = 1;

/** A stretch of a member: its piece of the first order, where it begins (metres from the member's start), and by t what acts in the first order. */
interface Base {
  readonly piece: number;
  readonly from: number;
  readonly h: number;
  readonly axial: Float64Array;
  /** By plane: the slope, with that by which the member leans by itself, and N times it. */
  readonly slopes: readonly Float64Array[];
  readonly pushes: readonly Float64Array[];
}

/** A member under its axial force, beside what the first order makes of it. */
export interface LeaningMember {
  /** By bending of the member: its chain with its stretches, nothing of a string. */
  readonly chains: readonly ({ readonly chain: Chain; readonly bases: readonly Base[] } | undefined)[];
  /** What its own ends bear of the push, ends at rest (12, local). */
  readonly loads: readonly number[];
  readonly condensed: Condensed | undefined;
  /** ∫N dx. */
  readonly pull: number;
  /** Its own axial force beside the first order, and the factor on all of it. */
  readonly more: number;
  readonly factor: number;
}

/** What all members give to their nodes: the stiffness as `MemberMatrices.nodal`, the loads (6n, nodes' axes), and by member how it leans. */
export interface Leaning {
  readonly nodal: Float64Array;
  readonly loads: Float64Array;
  readonly members: readonly (LeaningMember | undefined)[];
  /** By member what its ends bear of the push, where some are free the others for them (12, local). */
  readonly pushes: Float64Array;
  /** In so many modes members buckle between nodes that stand still. */
  readonly negative: number;
  readonly axial: Axial;
}

/** By which all axial forces are more than those of the first order, each the same all along its member, and a factor on all of it. */
export interface Axial {
  readonly more?: Float64Array;
  readonly factor: number;
}

/** The members of a structure under the axial forces of a response, however these grow. */
export class Columns {
  private readonly bendings: readonly (readonly Bending[])[];
  /** By member and bending the stretches for the last counts of them. */
  private readonly bases: (readonly (readonly Base[])[] | undefined)[] = [];
  private readonly counts: Int32Array[] = [];
  private readonly k = new Float64Array(N * N);
  private readonly whole = new Float64Array(N * N);

  constructor(
    private readonly s: Structure,
    private readonly matrices: MemberMatrices,
    private readonly response: StructuralResponse,
    private readonly leanOf: (m: number) => Lean,
  ) {
    this.bendings = Array.from(s.lengths, (_, m) => bendingsOf(s, matrices, m));
  }

  bendingsOf(m: number): readonly Bending[] {
    return this.bendings[m]!;
  }

  /** All members under such axial forces; the member that shear alone would let buckle, where there is one. */
  under(axial: Axial): Leaning | number {
    const { s, matrices } = this;
    const nodal = matrices.nodal.slice();
    const pushes = new Float64Array(N * s.lengths.length);
    let negative = 0;
    const members: (LeaningMember | undefined)[] = new Array<LeaningMember | undefined>(s.lengths.length).fill(undefined);
    for (let m = 0; m < s.lengths.length; m++) {
      const member = this.member(m, axial.factor, axial.more?.[m] ?? 0);
      if (member === 'sheared') return m;
      if (!member) continue;
      members[m] = member;
      this.put(m, member, { nodal, pushes });
      for (const { pivot } of member.condensed?.eliminations ?? []) if (pivot < 0) negative++;
      for (const one of member.chains) negative += one?.chain.negative ?? 0;
    }
    return { nodal, loads: this.joined(pushes, members), members, pushes, negative, axial };
  }

  /**
   * All members under axial forces near two under which they were found: on the line through both, which misses the square of a step. A member for which
   * the two are one, or that is free along its axis, is found in full. Good to go on from; what is found of a member itself, and of its modes, is the latter's.
   */
  between(former: Leaning, latter: Leaning, more: Float64Array): Leaning | number {
    const { s } = this;
    const { width } = keptEntries(s);
    const nodal = latter.nodal.slice();
    const pushes = latter.pushes.slice();
    const members = latter.members.slice();
    for (let m = 0; m < members.length; m++) {
      if (!former.members[m] && !members[m]) continue;
      const [from, to] = [former.axial.more?.[m] ?? 0, latter.axial.more?.[m] ?? 0];
      const step = more[m]! - to;
      if (step === 0) continue;
      if (Math.abs(step) > Math.abs(to - from) || s.releases[N * m] !== Infinity || s.releases[N * m + 6] !== Infinity) {
        const member = this.member(m, latter.axial.factor, more[m]!);
        if (member === 'sheared') return m;
        members[m] = member;
        if (member) this.put(m, member, { nodal, pushes });
        continue;
      }
      const part = step / (to - from);
      for (let e = width * m; e < width * (m + 1); e++) nodal[e]! += part * (latter.nodal[e]! - former.nodal[e]!);
      for (let e = N * m; e < N * (m + 1); e++) pushes[e]! += part * (latter.pushes[e]! - former.pushes[e]!);
    }
    return { ...latter, nodal, loads: this.joined(pushes, members), members, pushes, axial: { ...latter.axial, more } };
  }

  /** Writes a member whose stiffness is left in `k` among all. */
  private put(m: number, member: LeaningMember, { nodal, pushes }: Pick<Leaning, 'nodal' | 'pushes'>): void {
    const { s, matrices, whole } = this;
    const { width, origins } = keptEntries(s);
    toNodes(s, m, matrices.transforms[m], this.k, whole);
    for (let e = 0; e < width; e++) nodal[width * m + e] = whole[origins[e]!]!;
    const own = pushes.subarray(N * m, N * (m + 1));
    own.set(member.loads);
    if (member.condensed) condenseLoads(member.condensed, own);
  }

  /** What all members push their nodes with (6n, nodes' axes). */
  private joined(pushes: Float64Array, members: Leaning['members']): Float64Array {
    const loads = new Float64Array(this.s.restraints.length);
    const joined = { structure: this.s, transforms: this.matrices.transforms };
    for (let m = 0; m < members.length; m++) if (members[m]) addToNodes(joined, m, { values: pushes, at: N * m }, loads);
    return loads;
  }

  /** Stretch i of a bending of a member, as it was solved; until the next one is asked for. */
  stretchOf(b: number, i: number, member: LeaningMember): Stretch {
    return acting(member.chains[b]!.bases[i]!, member, SCRATCH);
  }

  /** By member the axial force beside the first order, when the nodes move so (6n, nodes' axes). */
  axialForces({ members }: Leaning, displacements: Float64Array): Float64Array {
    const { s, matrices } = this;
    const ends = new Float64Array(N);
    return Float64Array.from({ length: members.length }, (_, m) => {
      endDisplacements(s, m, matrices.transforms[m], displacements, ends);
      const member = members[m];
      const condensed = member ? member.condensed : matrices.condensed[m];
      const isFree = s.releases[N * m] !== Infinity || s.releases[N * m + 6] !== Infinity;
      if (condensed && isFree) recoverEnds(condensed, ends, member ? Float64Array.from(member.loads) : UNLOADED);
      return (s.stiffnesses[STIFFNESS_WIDTH * m]! / s.lengths[m]!) * (ends[6]! - ends[0]!);
    });
  }

  /** Its stiffness is left in `k` (12 × 12 by rows, of its own ends); undefined where its axial force is next to nothing. */
  private member(m: number, factor: number, more: number): LeaningMember | 'sheared' | undefined {
    const { s, matrices, k } = this;
    const bendings = this.bendings[m]!;
    const { first, from, to } = this.response.pieces;
    const o = STIFFNESS_WIDTH * m;
    const L = s.lengths[m]!;
    let [most, softest] = [0, 0];
    for (let piece = first[m]!; piece < first[m + 1]!; piece++)
      most = Math.max(most, this.sizeOn(piece, more, to[piece]! - from[piece]!));
    most *= Math.abs(factor);
    for (const { section } of bendings)
      softest = Math.max(softest, section ? section.flexibility[0]! + (section.flexibility[3] ?? 0) : Infinity);
    if (most === 0 || most * L * L * softest < NOTHING) return undefined;
    memberStiffness({ EA: s.stiffnesses[o]!, GJ: s.stiffnesses[o + 1]!, L }, matrices.bends, BEND_WIDTH * m, k);
    const loads = new Array<number>(N).fill(0);
    const bases = this.basesOf(m, factor, more);
    let pull = 0;
    const chains: ({ chain: Chain; bases: readonly Base[] } | undefined)[] = [];
    for (let b = 0; b < bendings.length; b++) {
      const bending = bendings[b]!;
      if (!bending.section) {
        pull = this.string(bases[b]!, bending, { factor, more, L }, loads);
        chains.push(undefined);
        continue;
      }
      const solved: SolvedStretch[] = [];
      for (const base of bases[b]!) {
        const one = solveStretch(bending.section, acting(base, { factor, more }, SCRATCH));
        if (!one) return 'sheared';
        solved.push(one);
      }
      const chain = chainOf(bending.section, solved);
      writeChain(chain, bending, k, loads);
      chains.push({ chain, bases: bases[b]! });
    }
    return { chains, loads, condensed: condense(k, s.releases, N * m), pull, more, factor };
  }

  /** The greatest size that N may have on a piece. */
  private sizeOn(piece: number, more: number, h: number): number {
    const { coefficients: c, pieceWidth } = this.response;
    const at = pieceWidth * piece;
    const bend = c[at + 2]! * h * h;
    return Math.max(Math.abs(c[at]! + more), Math.abs(c[at]! + more + c[at + 1]! * h + bend)) + Math.abs(bend) / 4;
  }

  /** The pieces of the first order by bending, each cut in so many equal stretches (a power of two) that their series converge well. */
  private basesOf(m: number, factor: number, more: number): readonly (readonly Base[])[] {
    const { first, from, to } = this.response.pieces;
    const bendings = this.bendings[m]!;
    const pieces = first[m + 1]! - first[m]!;
    const counts = new Int32Array(pieces * bendings.length);
    for (let b = 0; b < bendings.length; b++)
      for (let i = 0; i < pieces; i++) {
        const piece = first[m]! + i;
        const length = to[piece]! - from[piece]!;
        const { section } = bendings[b]!;
        const reach = section ? reachOf(section, Math.abs(factor) * this.sizeOn(piece, more, length), length) : 0;
        counts[pieces * b + i] = reach <= REACH ? 1 : 2 ** Math.ceil(Math.log2(reach / REACH));
      }
    const before = this.counts[m];
    if (before && counts.every((count, i) => count === before[i])) return this.bases[m]!;
    this.counts[m] = counts;
    const lean = this.leanOf(m);
    return (this.bases[m] = bendings.map(({ planes }, b) =>
      Array.from({ length: pieces }, (_, i) => first[m]! + i).flatMap((piece, i) => {
        const count = counts[pieces * b + i]!;
        const h = (to[piece]! - from[piece]!) / count;
        return Array.from({ length: count }, (__, c): Base => {
          const place = { piece, into: c * h, h };
          const force = forceOn(this.response, place);
          const slopes = planes.map(({ deflection }) => slopeOn(this.response, deflection, place, lean));
          return {
            piece,
            from: from[piece]! + place.into,
            h,
            axial: force,
            slopes,
            pushes: slopes.map((slope) => productOf(force, slope)),
          };
        });
      }),
    ));
  }

  /**
   * A member whose own bow is not known leans as its ends do: a string (Przemieniecki, Theory of Matrix Structural Analysis, 1968, section 15.1).
   * Returns ∫N dx.
   */
  private string(
    bases: readonly Base[],
    { planes }: Bending,
    { factor, more, L }: { readonly factor: number; readonly more: number; readonly L: number },
    loads: number[],
  ): number {
    const i = planes[0]!.across;
    let [pull, push] = [0, 0];
    for (const base of bases) {
      const { axial, push: pushes } = acting(base, { factor, more });
      pull += base.h * integral(axial);
      push += base.h * integral(pushes[0]!);
    }
    const stiffness = pull / (L * L);
    const { k } = this;
    k[N * i + i]! += stiffness;
    k[N * (i + 6) + i + 6]! += stiffness;
    k[N * i + i + 6]! -= stiffness;
    k[N * (i + 6) + i]! -= stiffness;
    loads[i]! += push / L;
    loads[i + 6]! -= push / L;
    return pull;
  }
}

const UNLOADED = new Float64Array(N);

/** Room for a stretch that nobody keeps, by the powers of its axial force and by planes. */
const SCRATCH: Scratch = {
  axial: [1, 2, 3].map((length) => new Float64Array(length)),
  push: [5, 6, 7].map((length) => [1, 2].map((planes) => Array.from({ length: planes }, () => new Float64Array(length)))),
};
interface Scratch {
  readonly axial: readonly Float64Array[];
  readonly push: readonly (readonly (readonly Float64Array[])[])[];
}

/** A stretch with what acts on it now, written to `scratch` where nobody keeps it. */
function acting(
  { h, axial, slopes, pushes }: Base,
  { factor, more }: { readonly factor: number; readonly more: number },
  scratch?: Scratch,
): Stretch {
  const powers = axial.length;
  const force = scratch ? scratch.axial[powers - 1]! : new Float64Array(powers);
  for (let n = 0; n < powers; n++) force[n] = factor * (n === 0 ? axial[0]! + more : axial[n]!);
  const push = scratch ? scratch.push[powers - 1]![pushes.length - 1]! : pushes.map((one) => new Float64Array(one.length));
  for (let p = 0; p < pushes.length; p++) {
    const [own, slope, to] = [pushes[p]!, slopes[p]!, push[p]!];
    for (let n = 0; n < own.length; n++) to[n] = factor * (n < slope.length ? own[n]! + more * slope[n]! : own[n]!);
  }
  return { h, axial: force, push };
}
