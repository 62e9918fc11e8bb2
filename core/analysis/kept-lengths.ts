import { once } from '../once';
import type { Factor } from '../linear-algebra/factor';
import { solveInPlace } from '../linear-algebra/solve';
import { addTimes } from '../linear-algebra/vectors';
import { addMemberLoads, freedomOf } from '../stiffness/assemble';
import { recoverEnds } from '../stiffness/condensation';
import type { MemberLoads } from '../stiffness/equivalent-loads';
import { slotOf } from '../stiffness/load-slots';
import {
  CHANGES_LENGTH,
  FREEDOMS,
  givingIn,
  MEMBER_FREEDOMS,
  memberCount,
  nodeCount,
  STIFFNESS_WIDTH,
  STRAIN_WIDTH,
  type Structure,
} from '../stiffness/structure';
import { endDisplacements } from '../stiffness/transformation';
import type { System } from './factorise';

const N = MEMBER_FREEDOMS;

/*
 * Members that keep their lengths, as a true constraint and on the factor that is there. A member is made longer at will (`y`, metres)
 * while the forces along it change its length as its EA lets them: the y that brings all members back to their lengths is found, and what
 * then acts along them is the force of the constraint. With P·y the lengthening of the structure that follows y, P·y = −e is to be solved
 * for the lengthening e without it. P is symmetric in the product Σ EA/L·a·b, its values lie between 0 and 1 and most near 1: conjugate
 * gradients (Hestenes and Stiefel, 1952) need some twenty steps for whole buildings. EA does not count in the result, but where members hold each other lengthwise.
 */

/** What a case asks of lengths beside its loads: a section of a member that is opened, metres. */
export interface Opening {
  readonly member: number;
  readonly along: number;
}

const keeps = ({ keepsLength }: Structure, m: number): boolean => keepsLength[m] !== CHANGES_LENGTH;

/** EA/L: by which lengthenings are weighed against each other, N/m; 0 of members that change their lengths. */
const weight = (s: Structure, m: number): number => (keeps(s, m) ? s.stiffnesses[STIFFNESS_WIDTH * m]! / s.lengths[m]! : 0);

const NO_LOADS = new Float64Array(N);
const d = new Float64Array(N);

/** By how much members become longer between their own ends (m, metres) as nodes move (6n, nodes' axes) under what lies on the members. */
export function lengtheningsOf(
  { structure: s, matrices }: System,
  displacements: Float64Array,
  loads: MemberLoads,
): Float64Array {
  const found = new Float64Array(memberCount(s));
  for (let m = 0; m < found.length; m++) {
    if (!keeps(s, m)) continue;
    endDisplacements(s, m, matrices.transforms[m], displacements, d);
    const condensed = matrices.condensed[m];
    const slot = condensed ? slotOf(loads, m) : -1;
    if (condensed) recoverEnds(condensed, d, slot < 0 ? NO_LOADS : loads.values, Math.max(slot, 0));
    found[m] = d[6]! - d[0]!;
  }
  return found;
}

/** By how much members are to become longer in case c (m, metres): as what they are made of does by itself, or as a section is opened. */
export function imposedLengthenings(s: Structure, c: number, opening?: Opening): Float64Array {
  const { first, cases, values } = s.strains;
  const imposed = new Float64Array(memberCount(s));
  for (let m = 0; m < imposed.length; m++) {
    for (let i = first[m]!; i < first[m + 1]!; i++) if (cases[i] === c) imposed[m]! += s.lengths[m]! * values[STRAIN_WIDTH * i]!;
    // Where an end gives along the member, its own end is behind that of the joint.
    for (const [freedom, by] of givingIn(s, m, c)) imposed[m]! += freedom === 0 ? -by : freedom === FREEDOMS ? by : 0;
  }
  if (opening) imposed[opening.member]! += opening.along;
  return imposed;
}

/** Loads on members with those that make them longer by y. */
export function withLengthenings(s: Structure, y: Float64Array, others?: MemberLoads): MemberLoads {
  const members = Int32Array.from(y.keys());
  const starts = members.map((m) => N * m);
  const values = new Float64Array(N * members.length);
  others?.members.forEach((m, i) => values.set(others.values.subarray(others.starts[i], others.starts[i]! + N), N * m));
  for (let m = 0; m < members.length; m++) {
    const force = weight(s, m) * y[m]!;
    values[N * m]! -= force;
    values[N * m + FREEDOMS]! += force;
  }
  return { members, starts, values };
}

/** The largest force that lengthenings bring about in members that are held, N. */
export const forceOf = (s: Structure, lengthenings: Float64Array): number =>
  lengthenings.reduce((most, one, m) => Math.max(most, weight(s, m) * Math.abs(one)), 0);

/**
 * How members and nodes move each other lengthwise: by member the movements of its nodes that lengthen it (12, by `freedomOf`), which are
 * the forces at its nodes that a lengthening of L/EA calls up as well, and the part of its lengthening that its released ends take by themselves.
 */
interface Lengthwise {
  readonly rows: Float64Array;
  readonly own: Float64Array;
  readonly weights: Float64Array;
}

const lengthwiseOf = once(({ structure: s, matrices }: System): Lengthwise => {
  const count = memberCount(s);
  const [rows, own, weights] = [new Float64Array(N * count), new Float64Array(count), new Float64Array(count)];
  const p = new Float64Array(FREEDOMS * nodeCount(s));
  const members = new Int32Array(1);
  for (let m = 0; m < count; m++) {
    const w = weight(s, m);
    if (w === 0) continue;
    weights[m] = w;
    members[0] = m;
    const values = new Float64Array(N);
    [values[0], values[FREEDOMS]] = [-w, w];
    const condensed = matrices.condensed[m];
    if (condensed) {
      d.fill(0);
      recoverEnds(condensed, d, values);
      own[m] = d[FREEDOMS]! - d[0]!;
    }
    addMemberLoads(s, matrices, { members, starts: Int32Array.of(0), values }, p);
    for (let i = 0; i < N; i++) {
      const f = freedomOf(s, m, i);
      rows[N * m + i] = p[f]! / w;
      p[f] = 0;
    }
  }
  return { rows, own, weights };
});

/** P·y of several. */
function following(system: System, { rows, own, weights }: Lengthwise, all: readonly Float64Array[]): Float64Array[] {
  const { structure: s, numbering, factor } = system;
  const { unknowns, freedoms, size } = numbering;
  const p = new Float64Array(FREEDOMS * nodeCount(s));
  const sides = all.map((y) => {
    p.fill(0);
    for (let m = 0; m < y.length; m++) {
      const force = weights[m]! * y[m]!;
      if (force === 0) continue;
      for (let i = 0; i < N; i++) p[freedomOf(s, m, i)]! += force * rows[N * m + i]!;
    }
    const side = new Float64Array(size);
    for (let u = 0; u < size; u++) side[u] = p[freedoms[u]!]!;
    return side;
  });
  solveInPlace(factor, sides);
  return sides.map((x, c) =>
    all[c]!.map((y, m) => {
      let along = own[m]! * y;
      for (let i = 0; i < N; i++) {
        const unknown = unknowns[freedomOf(s, m, i)]!;
        if (unknown >= 0) along += rows[N * m + i]! * x[unknown]!;
      }
      return along;
    }),
  );
}

/** What is left of a lengthening beside what was to be brought about. */
const SOLVED = 1e-13;
/** A lengthening of which the structure follows no more than this part is resisted by members that hold each other. */
const RESISTED = 1e-11;
const MOST_STEPS = 200;

/** The y with P·y as asked, of what the structure can follow. */
export function solveLengthenings(system: System, asked: readonly Float64Array[]): Float64Array[] {
  const lengthwise = lengthwiseOf(system);
  const { weights } = lengthwise;
  const product = (a: Float64Array, b: Float64Array): number => {
    let sum = 0;
    for (let m = 0; m < a.length; m++) sum += weights[m]! * a[m]! * b[m]!;
    return sum;
  };
  const all = asked.map((one) => {
    const square = product(one, one);
    return { y: new Float64Array(one.length), left: one.slice(), along: one.slice(), square, enough: SOLVED ** 2 * square };
  });
  let due = all.filter(({ square }) => square > 0);
  for (let step = 0; step < MOST_STEPS && due.length > 0; step++) {
    const followed = following(system, lengthwise, due.map(({ along }) => along)); // oxfmt-ignore
    due = due.filter((one, i) => {
      const done = product(one.along, followed[i]!);
      if (!(done > RESISTED * product(one.along, one.along))) return false;
      const size = one.square / done;
      addTimes(one.y, one.along, size);
      addTimes(one.left, followed[i]!, -size);
      const square = product(one.left, one.left);
      const turned = one.left.slice();
      addTimes(turned, one.along, square / one.square);
      Object.assign(one, { along: turned, square });
      return square > one.enough;
    });
  }
  return all.map(({ y }) => y);
}

/** What members can follow of some lengthenings: the rest of them is what they hold each other back from. */
export const followable = (system: System, lengthenings: readonly Float64Array[]): Float64Array[] =>
  solveLengthenings(system, following(system, lengthwiseOf(system), lengthenings));

/** Beside the largest of all so much is more than rounding. */
const MORE_THAN_ROUNDING = 1e-7;

const sharing = new WeakMap<Factor, readonly number[]>();

/**
 * Members that hold each other lengthwise, by their places: statics and the constraint leave open how they share a force. Found by lengthenings
 * at random, of which they do not follow all.
 */
export function sharingMembers(system: System): readonly number[] {
  const known = sharing.get(system.factor);
  if (known) return known;
  const { structure: s } = system;
  const any = Float64Array.from({ length: memberCount(s) }, (_, m) =>
    keeps(s, m) ? Math.sin(12.9898 * (m + 1) + 4.1414) + 1.5 : 0,
  );
  const [followed] = followable(system, [any]);
  const found = [...any.keys()].filter((m) => Math.abs(any[m]! - followed![m]!) > MORE_THAN_ROUNDING);
  sharing.set(system.factor, found);
  return found;
}
