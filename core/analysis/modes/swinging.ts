import { factorize } from '../../linear-algebra/factor';
import type { Kernels } from '../../linear-algebra/kernels';
import { solveInPlace } from '../../linear-algebra/solve';
import { solveSymmetric } from '../../linear-algebra/small-dense';
import { multiply, type SparseSymmetric } from '../../linear-algebra/sparse-symmetric';
import { assembleStiffness } from '../../stiffness/assemble';
import { recoverEnds } from '../../stiffness/condensation';
import { FREEDOMS, MEMBER_FREEDOMS, STIFFNESS_WIDTH } from '../../stiffness/structure';
import { addAtNodes } from '../../stiffness/at-nodes';
import { addToNodes, endDisplacements } from '../../stiffness/transformation';
import type { System } from '../factorise';
import { degreeFor } from './legendre';
import { massMatrix, type MemberMass } from './mass-matrix';
import type { Masses } from './masses';
import { strandsIn, type Strand } from './strands';
import { swingingStrand, type Hold, type SwingingStrand } from './swinging-strand';

const N = MEMBER_FREEDOMS;
/** What a strand's bubbles may miss of its movement: of a frequency they miss the square of it. */
const MISSED = 1e-5;
/**
 * Bubbles have so many degrees at least, across a member and along it. Six and two answer the inertia of whatever its ends lead it to exactly (the cubic's calls
 * up curvatures of the fifth degree); a little more is what the slow modes of a building need, which are found in one go then.
 */
const FIRST = { bent: 7, straight: 4 };
/** Motions that nothing resists are held by so much more where modes are counted, that they swing with nothing. */
const HELD = 1e8;
const UNLOADED = new Float64Array(N);

/** A member's strands, with what each of them does. */
export interface SwingingMember {
  readonly strands: readonly Strand[];
  readonly swinging: readonly SwingingStrand[];
  readonly degrees: readonly number[];
  readonly inner: number;
  readonly mass: MemberMass;
}

/**
 * A structure that swings: K·x = λ·M·x over the unknowns of its nodes, then what members do between them; those without mass only follow their nodes.
 */
export class Swinging {
  readonly members: readonly SwingingMember[];
  /** Where a member's inner columns begin among the parts of a vector. */
  readonly firsts: Int32Array;
  readonly size: number;
  private readonly spread: Float64Array;
  /** M, made when it is asked for. */
  private matrix: SparseSymmetric | undefined;

  private constructor(
    readonly system: System,
    readonly masses: Masses,
    degreesOf: (m: number, strands: readonly Strand[]) => readonly number[],
  ) {
    const { structure, numbering } = system;
    const known = new Map<string, SwingingMember>();
    const strandsOf = strandsIn(structure);
    this.firsts = new Int32Array(structure.lengths.length);
    let size = numbering.size;
    this.members = Array.from(structure.lengths, (_, m) => {
      const strands = strandsOf(m);
      const degrees = this.isMassless(m) ? strands.map(() => 0) : degreesOf(m, strands);
      const key = this.keyOf(m, degrees);
      let member = known.get(key);
      if (!member) known.set(key, (member = this.member(m, strands, degrees)));
      this.firsts[m] = size;
      size += member.inner;
      return member;
    });
    this.size = size;
    this.spread = new Float64Array(structure.restraints.length);
  }

  /** With few bubbles, which is enough while members are short beside the waves. */
  static begin(system: System, masses: Masses): Swinging {
    return new Swinging(system, masses, (_, strands) =>
      strands.map(({ places }) => (places.length > 2 ? FIRST.bent : FIRST.straight)),
    );
  }

  /**
   * With as many bubbles as modes up to λ need, twice as many as it has at most: with more of them slower modes may be found, and λ be much less. Itself where
   * it has them.
   */
  fineFor(λ: number): Swinging {
    const needed = this.members.map(({ swinging, degrees }, m) =>
      this.isMassless(m)
        ? degrees
        : swinging.map((strand, i) => Math.max(degrees[i]!, degreeFor(strand.argument(λ), MISSED, 2 * degrees[i]!))),
    );
    const isFine = this.members.every(({ degrees }, m) => degrees.every((degree, i) => degree >= needed[m]![i]!));
    return isFine ? this : new Swinging(this.system, this.masses, (m) => needed[m]!);
  }

  private isMassless(m: number): boolean {
    const { own, spread, points } = this.masses.along[m]!;
    return own === 0 && spread.length === 0 && points.length === 0;
  }

  private keyOf(m: number, degrees: readonly number[]): string {
    const { structure: s } = this.system;
    const { own, spread, points } = this.masses.along[m]!;
    const o = STIFFNESS_WIDTH * m;
    return [s.lengths[m]!, ...s.stiffnesses.subarray(o, o + STIFFNESS_WIDTH), s.bows[m]!, ...s.releases.subarray(N * m, N * m + N), ...degrees, own, ...spread.flat(), 'at', ...points.flat()].join(); // oxfmt-ignore
  }

  private member(m: number, strands: readonly Strand[], degrees: readonly number[]): SwingingMember {
    const { structure, matrices } = this.system;
    const condensed = matrices.condensed[m];
    const swinging = strands.map((strand, i) => {
      const { places, signs } = strand;
      const p = places.length;
      const following = condensed && new Float64Array(p * p);
      if (condensed)
        for (let j = 0; j < p; j++) {
          const d = new Float64Array(N);
          d[places[j]!] = signs[j]!;
          recoverEnds(condensed, d, UNLOADED);
          for (let r = 0; r < p; r++) following![p * r + j] = signs[r]! * d[places[r]!]!;
        }
      const released = (this.isMassless(m) ? [] : (condensed?.eliminations ?? []))
        .filter(({ freedom }) => places.includes(freedom) && !condensed!.loose.includes(freedom))
        .map(({ freedom, spring }) => ({ end: places.indexOf(freedom), spring }));
      const hold: Hold = { length: structure.lengths[m]!, following, released };
      return swingingStrand(strand, this.masses.along[m]!, hold, degrees[i]!);
    });
    const inner = swinging.reduce((sum, { inner }) => sum + inner, 0);
    return { strands, swinging, degrees, inner, mass: massOf(strands, swinging, inner) };
  }

  /** By part of a vector: the displacements of the nodes (6n, nodes' axes). */
  displacementsOf(x: Float64Array, to: Float64Array): Float64Array {
    const { freedoms } = this.system.numbering;
    to.fill(0);
    for (let u = 0; u < freedoms.length; u++) to[freedoms[u]!] = x[u]!;
    return to;
  }

  /** M·x */
  multiply(x: Float64Array): Float64Array {
    const { system, masses, size, firsts } = this;
    this.matrix ??= massMatrix(
      system,
      masses,
      this.members.map(({ mass }, m) => ({ mass, at: firsts[m]! })),
      size,
    );
    const out = multiply(this.matrix, x);
    this.rest(out);
    return out;
  }

  /**
   * The same, member by member, and what of it acts on every node (6n, nodes' axes) in `nodes`, which the supports bear where they hold. `d`: how the nodes move, those that are held
   * too; as x has it where nothing is said.
   */
  act(x: Float64Array, nodes: Float64Array, d = this.displacementsOf(x, this.spread)): Float64Array {
    const { structure: s, matrices, numbering } = this.system;
    const out = new Float64Array(this.size);
    nodes.fill(0);
    for (let i = 0; i < this.masses.nodes.length; i++) {
      const mass = this.masses.nodes[i]!;
      if (mass !== 0) for (let k = 0; k < 3; k++) nodes[FREEDOMS * i + k]! += mass * d[FREEDOMS * i + k]!;
    }
    const [ends, forces] = [new Float64Array(N), new Float64Array(N)];
    const joined = { structure: s, transforms: matrices.transforms };
    const slot = { values: forces, at: 0 };
    for (let m = 0; m < this.members.length; m++) {
      endDisplacements(s, m, matrices.transforms[m], d, ends);
      multiplyMember(this.members[m]!, { ends, forces, x, out, at: this.firsts[m]! });
      addToNodes(joined, m, slot, nodes);
    }
    const { freedoms } = numbering;
    for (let u = 0; u < freedoms.length; u++) out[u] = nodes[freedoms[u]!]!;
    this.rest(out);
    return out;
  }

  /** K⁻¹·x, in place: the inner columns have a stiffness of 1. */
  solve(columns: readonly Float64Array[]): void {
    const { size } = this.system.numbering;
    solveInPlace(this.system.factor, columns.map((one) => one.subarray(0, size))); // oxfmt-ignore
    for (const one of columns) this.rest(one);
  }

  /** Motions that nothing resists are held. */
  private rest(x: Float64Array): void {
    const { loose, basis, numbering } = this.system;
    if (loose.artificialRestraints.length === 0 && basis.length === 0) return;
    const { unknowns, freedoms } = numbering;
    const over = (length: number, part: (k: number) => number, place: (k: number) => number): void => {
      let [along, size] = [0, 0];
      for (let k = 0; k < length; k++) {
        const u = place(k);
        if (u < 0) continue;
        along += part(k) * x[u]!;
        size += part(k) ** 2;
      }
      if (along !== 0) for (let k = 0; k < length; k++) if (place(k) >= 0) x[place(k)]! -= (along / size) * part(k);
    };
    for (const { node, motion } of loose.artificialRestraints)
      over(FREEDOMS, (k) => motion[k]!, (k) => unknowns[FREEDOMS * node + k]!); // oxfmt-ignore
    for (const motion of basis)
      over(
        freedoms.length,
        (u) => motion[freedoms[u]!]!,
        (u) => u,
      );
  }

  /** How many modes lie under λ: the negative pivots of K − λ·M (Sylvester), with what swings between resting nodes (Wittrick and Williams). */
  countUnder(λ: number, kernels: Kernels): number {
    const { structure: s, matrices, numbering, loose, factor } = this.system;
    const nodal = matrices.nodal.slice();
    const known = new Map<SwingingMember, { k: Float64Array; negative: number }>();
    let count = 0;
    this.members.forEach((member, m) => {
      let shifted = known.get(member);
      if (!shifted) known.set(member, (shifted = shiftedMember(member, λ)));
      count += shifted.negative;
      addAtNodes(s, m, matrices.transforms[m], shifted.k, nodal);
    });
    const held = loose.artificialRestraints.map((one) => ({ ...one, stiffness: HELD * one.stiffness }));
    const K = assembleStiffness(s, { nodal }, numbering, held);
    const { freedoms } = numbering;
    for (let u = 0; u < freedoms.length; u++)
      if (freedoms[u]! % FREEDOMS < 3) K.values[K.pointers[u]!]! -= λ * this.masses.nodes[Math.floor(freedoms[u]! / FREEDOMS)]!;
    return count + factorize(numbering.analysis, K, kernels, { held: factor.weak }).negative.length;
  }
}

/** Those of its strands, each of which has its freedoms of the ends to itself. */
function massOf(strands: readonly Strand[], swinging: readonly SwingingStrand[], inner: number): MemberMass {
  const rows: [column: number, value: number][][] = Array.from({ length: N + inner }, () => []);
  let at = N;
  swinging.forEach(({ mass, outer, inner: own }, s) => {
    const { places, signs } = strands[s]!;
    const width = outer + own;
    const first = at;
    const placeOf = (i: number): number => (i < outer ? places[i]! : first + i - outer);
    const signOf = (i: number): number => (i < outer ? signs[i]! : 1);
    for (let i = 0; i < width; i++)
      for (let j = 0; j < width; j++) {
        const value = signOf(i) * signOf(j) * mass[width * i + j]!;
        if (value !== 0) rows[placeOf(i)]!.push([placeOf(j), value]);
      }
    at += own;
  });
  const firsts = new Int32Array(rows.length + 1);
  rows.forEach(({ length }, i) => (firsts[i + 1] = firsts[i]! + length));
  const all = rows.flat();
  return {
    firsts,
    columns: Int32Array.from(all, ([column]) => column),
    values: Float64Array.from(all, ([, value]) => value),
  };
}

interface MemberTask {
  readonly ends: Float64Array;
  readonly forces: Float64Array;
  readonly x: Float64Array;
  readonly out: Float64Array;
  /** Where its inner columns begin in x and out. */
  readonly at: number;
}

/** Room for what a member does, however many columns it has. */
let room = new Float64Array(64);

function multiplyMember({ mass: { firsts, columns, values }, inner }: SwingingMember, task: MemberTask): void {
  const { ends, forces, x, out, at } = task;
  if (room.length < N + inner) room = new Float64Array(2 * (N + inner));
  const own = room;
  for (let i = 0; i < N; i++) own[i] = ends[i]!;
  for (let i = 0; i < inner; i++) own[N + i] = x[at + i]!;
  for (let i = 0, e = 0; i < N + inner; i++) {
    let sum = 0;
    for (const end = firsts[i + 1]!; e < end; e++) sum += values[e]! * own[columns[e]!]!;
    if (i < N) forces[i] = sum;
    else out[at + i - N] = sum;
  }
}

/** What K − λ·M has beside the stiffness of a member, its inner columns eliminated (12 × 12 by rows, local), and how many of their pivots are negative. */
function shiftedMember({ strands, swinging }: SwingingMember, λ: number): { k: Float64Array; negative: number } {
  const k = new Float64Array(N * N);
  let negative = 0;
  swinging.forEach(({ mass, outer: p, inner: q }, s) => {
    const { places, signs } = strands[s]!;
    const width = p + q;
    const A = new Float64Array(q * q);
    const B = new Float64Array(q * p);
    for (let i = 0; i < q; i++) {
      for (let j = 0; j < q; j++) A[q * i + j] = (i === j ? 1 : 0) - λ * mass[width * (p + i) + p + j]!;
      for (let j = 0; j < p; j++) B[p * i + j] = -λ * mass[width * (p + i) + j]!;
    }
    const X = B.slice();
    negative += solveSymmetric(A, q, X, p);
    for (let i = 0; i < p; i++)
      for (let j = 0; j < p; j++) {
        let sum = -λ * mass[width * i + j]!;
        for (let l = 0; l < q; l++) sum -= B[p * l + i]! * X[p * l + j]!;
        k[N * places[i]! + places[j]!] = signs[i]! * signs[j]! * sum;
      }
  });
  return { k, negative };
}
