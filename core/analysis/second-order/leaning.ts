import type { StructuralResponse } from '../../results/results';
import { BEND_WIDTH } from '../../stiffness/bending';
import { condense, condenseLoads, recoverEnds, type Condensed } from '../../stiffness/condensation';
import { keptEntries } from '../../stiffness/kept-entries';
import type { MemberMatrices } from '../../stiffness/member-matrices';
import { memberStiffness } from '../../stiffness/member-stiffness';
import { MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../../stiffness/structure';
import { addAtNodes } from '../../stiffness/at-nodes';
import { addToNodes, endDisplacements } from '../../stiffness/transformation';
import { integral, writeForce, writeSlope, type Lean } from './along';
import { bendingsIn, writeChain } from './bending-planes';
import { chainIn, solveChain, type Chain } from './chain';
import { reachOf, Stretch } from './stretch';

const N = MEMBER_FREEDOMS;
/** A member whose axial force is less than this part of what would buckle it leans on nothing. */
const NOTHING = 1e-15;
/** The longest stretch: kh. */
const REACH = 1;

/** What all members give to their nodes: the stiffness as `MemberMatrices.nodal`, and the loads (6n, nodes' axes); beside that by member whether it leans, and what its ends bear. */
export interface Leaning {
  readonly nodal: Float64Array;
  readonly loads: Float64Array;
  /** 1 where it leans; the others are as the first order has them. */
  readonly leans: Uint8Array;
  /** What its own ends bear of the push, ends at rest (12, local). */
  readonly own: Float64Array;
  /** The same, where some ends are free the others for them. */
  readonly pushes: Float64Array;
  readonly condensed: (Condensed | undefined)[];
  /** In so many modes members buckle between nodes that stand still. */
  negative: number;
  readonly axial: Axial;
}

type Room = Omit<Leaning, 'negative' | 'axial'>;
/** So many are kept: two, between which a line is drawn, and the next. */
const KEPT = 3;

/** By which all axial forces are more than those of the first order, each the same all along its member, and a factor on all of it. */
export interface Axial {
  readonly more?: Float64Array;
  readonly factor: number;
}

/** What a member is, whatever presses it: its bendings, and how soft the softest of them is; and into how many stretches its pieces were cut last. */
interface Column {
  readonly chains: readonly Chain[];
  readonly softest: number;
  readonly isFree: boolean;
  readonly counts: number[];
  /** What its stretches were cut for. */
  pressed?: Pressed | undefined;
}

/** A response of the first order, and by member how it leans before that acts. */
interface Pressed {
  readonly response: StructuralResponse;
  readonly leanOf: (m: number) => Lean;
}

/** The members of a structure under the axial forces of one response after the other, however these grow. Chains are those of the last time. */
export class Columns {
  private readonly columns: readonly Column[];
  private pressed: Pressed;
  /** Room for what is found, in turn: new room for it each time is slow to come by. */
  private readonly rooms: Room[] = [];
  private turn = 0;
  private readonly k = new Float64Array(N * N);
  private readonly ends = new Float64Array(N);
  /** By piece of the member at hand the greatest size that N may have on it. */
  private readonly sizes: number[] = [];

  constructor(
    private readonly s: Structure,
    private readonly matrices: MemberMatrices,
    pressed: Pressed,
  ) {
    this.pressed = pressed;
    const bendingsOf = bendingsIn(s, matrices);
    this.columns = Array.from(s.lengths, (_, m): Column => {
      const chains = bendingsOf(m).map(chainIn);
      const softness = chains.map(({ bending: { section } }) =>
        section ? section.flexibility[0]! + (section.flexibility[3] ?? 0) : Infinity,
      );
      const isFree = s.releases[N * m] !== Infinity || s.releases[N * m + 6] !== Infinity;
      return { chains, softest: Math.max(...softness), isFree, counts: [] };
    });
  }

  /** From now on under the forces of another response. */
  press(pressed: Pressed): void {
    this.pressed = pressed;
  }

  chainsOf(m: number): readonly Chain[] {
    return this.columns[m]!.chains;
  }

  /**
   * All members under such axial forces; the member that shear alone would let buckle, where there is one. It stays while it is asked for twice more; the chains are those of the last time.
   */
  leaning(axial: Axial): Leaning | number {
    const room = this.rooms[this.turn] ?? this.roomForAll();
    this.rooms[this.turn] = room;
    this.turn = (this.turn + 1) % KEPT;
    const leaning = { ...room, negative: 0, axial };
    for (let m = 0; m < leaning.leans.length; m++) if (!this.lean(m, axial.more?.[m] ?? 0, leaning)) return m;
    this.join(leaning);
    return leaning;
  }

  private roomForAll(): Room {
    const count = this.s.lengths.length;
    return {
      nodal: new Float64Array(this.matrices.nodal.length),
      loads: new Float64Array(this.s.restraints.length),
      leans: new Uint8Array(count),
      own: new Float64Array(N * count),
      pushes: new Float64Array(N * count),
      condensed: new Array<Condensed | undefined>(count).fill(undefined),
    };
  }

  /** What all members push their nodes with. */
  private join({ leans, pushes, loads }: Leaning): void {
    const joined = { structure: this.s, transforms: this.matrices.transforms };
    const forces = { values: pushes, at: 0 };
    loads.fill(0);
    for (let m = 0; m < leans.length; m++) {
      if (leans[m] === 0) continue;
      forces.at = N * m;
      addToNodes(joined, m, forces, loads);
    }
  }

  /** By member the axial force beside the first order, when the nodes move so (6n, nodes' axes). */
  axialForces(leaning: Leaning, displacements: Float64Array): Float64Array {
    const { s, matrices, ends } = this;
    const forces = new Float64Array(s.lengths.length);
    for (let m = 0; m < forces.length; m++) {
      endDisplacements(s, m, matrices.transforms[m], displacements, ends);
      if (this.columns[m]!.isFree) this.recoverEnds(leaning, m);
      forces[m] = (s.stiffnesses[STIFFNESS_WIDTH * m]! / s.lengths[m]!) * (ends[6]! - ends[0]!);
    }
    return forces;
  }

  /** How the own ends of a member move when the nodes move so (12, local); until the next one is asked for. */
  endsOf(leaning: Leaning, m: number, displacements: Float64Array): Float64Array {
    endDisplacements(this.s, m, this.matrices.transforms[m], displacements, this.ends);
    this.recoverEnds(leaning, m);
    return this.ends;
  }

  private recoverEnds({ leans, own, condensed }: Leaning, m: number): void {
    const released = leans[m] === 1 ? condensed[m] : this.matrices.condensed[m];
    if (released) recoverEnds(released, this.ends, own, N * m);
  }

  /** Writes what a member gives under its axial force, nothing where that is next to nothing; false where shear alone would let it buckle. */
  private lean(m: number, more: number, to: Leaning): boolean {
    const { s, matrices, k } = this;
    const { width } = keptEntries(s);
    const { factor } = to.axial;
    const column = this.columns[m]!;
    const { first, from: begins, to: ends } = this.pressed.response.pieces;
    const o = STIFFNESS_WIDTH * m;
    const L = s.lengths[m]!;
    let most = 0;
    for (let piece = first[m]!; piece < first[m + 1]!; piece++) {
      const size = Math.abs(factor) * this.sizeOn(piece, more, ends[piece]! - begins[piece]!);
      this.sizes[piece - first[m]!] = size;
      most = Math.max(most, size);
    }
    const { nodal, own, pushes } = to;
    for (let e = N * m; e < N * (m + 1); e++) own[e] = 0;
    to.leans[m] = most === 0 || most * L * L * column.softest < NOTHING ? 0 : 1;
    if (to.leans[m] === 0) {
      to.condensed[m] = undefined;
      pushes.fill(0, N * m, N * (m + 1));
      nodal.set(matrices.nodal.subarray(width * m, width * (m + 1)), width * m);
      return true;
    }
    memberStiffness({ EA: s.stiffnesses[o]!, GJ: s.stiffnesses[o + 1]!, L }, matrices.bends, BEND_WIDTH * m, k);
    this.cut(m);
    for (let b = 0; b < column.chains.length; b++) {
      const chain = column.chains[b]!;
      const { stretches, bending } = chain;
      for (let i = 0; i < stretches.length; i++) stretches[i]!.act(factor, more);
      if (!bending.section) {
        this.hang(chain, L, own, N * m);
        continue;
      }
      if (!solveChain(bending.section, chain)) return false;
      writeChain(bending, chain.forces, k, own, N * m);
      to.negative += chain.negative;
    }
    const condensed = condense(k, s.releases, N * m);
    to.condensed[m] = condensed;
    nodal.fill(0, width * m, width * (m + 1));
    addAtNodes(s, m, matrices.transforms[m], k, nodal);
    for (let e = N * m; e < N * (m + 1); e++) pushes[e] = own[e]!;
    if (!condensed) return true;
    condenseLoads(condensed, pushes, N * m);
    for (const { pivot } of condensed.eliminations) if (pivot < 0) to.negative++;
    return true;
  }

  /** The greatest size that N may have on a piece. */
  private sizeOn(piece: number, more: number, h: number): number {
    const { coefficients: c, pieceWidth } = this.pressed.response;
    const at = pieceWidth * piece;
    const bend = c[at + 2]! * h * h;
    return Math.max(Math.abs(c[at]! + more), Math.abs(c[at]! + more + c[at + 1]! * h + bend)) + Math.abs(bend) / 4;
  }

  /** The pieces of the first order by bending, each cut in so many equal stretches (a power of two) that their series converge well. */
  private cut(m: number): void {
    const { response, leanOf } = this.pressed;
    const { first, from, to } = response.pieces;
    const column = this.columns[m]!;
    const { chains, counts } = column;
    let isCut = column.pressed === this.pressed;
    let i = 0;
    for (let b = 0; b < chains.length; b++) {
      const { section } = chains[b]!.bending;
      for (let piece = first[m]!; piece < first[m + 1]!; piece++, i++) {
        const reach = section ? reachOf(section, this.sizes[piece - first[m]!]!, to[piece]! - from[piece]!) : 0;
        const count = reach <= REACH ? 1 : 2 ** Math.ceil(Math.log2(reach / REACH));
        if (counts[i] === count) continue;
        isCut = false;
        counts[i] = count;
      }
    }
    if (isCut) return;
    column.pressed = this.pressed;
    const lean = leanOf(m);
    i = 0;
    for (const { bending, stretches } of chains) {
      let next = 0;
      for (let piece = first[m]!; piece < first[m + 1]!; piece++) {
        const count = counts[i++]!;
        const h = (to[piece]! - from[piece]!) / count;
        for (let c = 0; c < count; c++) {
          const stretch = (stretches[next++] ??= new Stretch(bending.planes.length as 1 | 2));
          this.place(stretch, { piece, into: c * h, h }, bending.planes, lean);
        }
      }
      stretches.length = next;
    }
  }

  /** Lays a stretch on a place. */
  private place(
    stretch: Stretch,
    place: { readonly piece: number; readonly into: number; readonly h: number },
    planes: Chain['bending']['planes'],
    lean: Lean,
  ): void {
    const { response } = this.pressed;
    stretch.piece = place.piece;
    stretch.from = response.pieces.from[place.piece]! + place.into;
    stretch.h = place.h;
    stretch.powers = writeForce(response, place, stretch.force);
    for (let p = 0; p < planes.length; p++) writeSlope(response, planes[p]!.deflection, place, lean, stretch.slopes[p]!);
  }

  /**
   * A member whose own bow is not known leans as its ends do: a string (Przemieniecki, Theory of Matrix Structural Analysis, 1968, section 15.1).
   */
  private hang({ bending, stretches }: Chain, L: number, loads: Float64Array, at: number): void {
    const { k } = this;
    const i = bending.planes[0]!.across;
    const stiffness = pullOf(stretches) / (L * L);
    let push = 0;
    for (const stretch of stretches) push += stretch.h * integral(stretch.push[0]!);
    k[N * i + i]! += stiffness;
    k[N * (i + 6) + i + 6]! += stiffness;
    k[N * i + i + 6]! -= stiffness;
    k[N * (i + 6) + i]! -= stiffness;
    loads[at + i]! += push / L;
    loads[at + i + 6]! -= push / L;
  }
}

/** ∫N dx over stretches. */
export const pullOf = (stretches: readonly Stretch[]): number =>
  stretches.reduce((pull, { h, axial }) => pull + h * integral(axial), 0);
