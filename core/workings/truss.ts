import { Matrix, SingularValueDecomposition } from 'ml-matrix';
import type { Worked } from './worked';
import { FREEDOMS } from '../stiffness/structure';
import { timesVector, transposed } from './matrix';
import { nodalFreedom, transformOf, type WorkedMember } from './worked-member';

/** What is unknown at joints: the tension of a member, or what a support exerts along a freedom (of 6n). */
export type Unknown = { readonly is: 'member'; readonly index: number } | { readonly is: 'reaction'; readonly freedom: number };

/** An equation of equilibrium along a freedom of a node (of 6n): the sum of parts of unknowns, what is known of them, and loads is nothing. */
export interface JointEquation {
  readonly freedom: number;
  readonly parts: readonly { readonly of: Unknown; readonly part: number }[];
  readonly load: number;
}

/** A joint whose equations are solved, and for what. */
export interface WorkedJoint {
  readonly node: number;
  readonly equations: readonly JointEquation[];
  readonly found: readonly { readonly of: Unknown; readonly value: number }[];
}

/** A cut through members that leaves a part of the truss by itself, beside the node with this place along the axis. */
export interface WorkedCut {
  readonly members: readonly number[];
  /** Nodes of the part whose equilibrium is written. */
  readonly nodes: readonly number[];
  /** By member: where the others meet, about which moments are taken; undefined where they are parallel and forces across them are added up. */
  readonly about: readonly {
    readonly member: number;
    readonly point?: readonly [number, number];
    readonly arm: number;
    readonly moment: number;
    readonly value: number;
  }[];
}

export interface WorkedTruss {
  /** What the supports exert by the equilibrium of the whole, where that tells it: it is known when the first joint is solved. */
  readonly whole: readonly { readonly freedom: number; readonly value: number }[];
  readonly joints: readonly WorkedJoint[];
  /** Tensions by member. */
  readonly tensions: readonly number[];
  /** What the stiffness method finds: tensions that the movement of the joints brings about, or that keep lengths. */
  readonly byStiffness: readonly number[];
  readonly cut?: WorkedCut;
}

const NOTHING = 1e-12;

/** Whether only the axis of a member is stiff between its joints. */
function isBar({ condensed, own }: WorkedMember): boolean {
  const size = Math.max(...condensed.flat().map(Math.abs));
  return condensed.every((row, i) =>
    row.every((one, j) => (own[i]! % 6 === 0 && own[j]! % 6 === 0) || Math.abs(one) <= NOTHING * size),
  );
}

/**
 * A statically determinate truss joint by joint, in an order in which no joint has more unknowns than equations (supports count as unknowns where they are met); then a cut. Undefined where it is no such truss, or where
 * no order leads through it.
 */
export function workedTruss(of: Worked): WorkedTruss | undefined {
  const { members, numbered } = of;
  if (members.length === 0 || !members.every(isBar)) return undefined;
  if (numbered.all.some(({ component, state }) => component >= 3 && state === 'free')) return undefined;
  // Freedoms that follow others have their equations like all.
  const freedoms = [...numbered.all.map(({ node, component }) => FREEDOMS * node + component), ...numbered.followers.keys()];
  if (freedoms.some((f) => f % FREEDOMS >= 3 && numbered.followers.has(f))) return undefined;
  const equations = freedoms.filter((f) => f % FREEDOMS < 3);
  const reactions = equations.filter((f) => isSupported(of, f));
  if (members.length + reactions.length !== equations.length) return undefined;
  const loads = loadsOnJoints(of);
  const whole = wholeOf(of, equations, reactions, loads);
  const known = new Map(whole.map(({ freedom, value }) => [keyOf({ is: 'reaction', freedom }), value]));
  const nodes = [...new Set(equations.map(nodeOf))];
  const left = new Map(nodes.map((node) => [node, equations.filter((f) => nodeOf(f) === node).map((f) => equationOf(of, f, loads))])); // oxfmt-ignore
  const joints: WorkedJoint[] = [];
  while (left.size > 0) {
    const next = [...left].map(([node, all]) => ({ node, all, found: solvedJoint(all, known) })).find(({ found }) => found);
    if (!next) return undefined;
    for (const { of: one, value } of next.found!) known.set(keyOf(one), value);
    joints.push({ node: next.node, equations: next.all, found: next.found! });
    left.delete(next.node);
  }
  const tensions = members.map(({ index }) => known.get(keyOf({ is: 'member', index }))!);
  const byStiffness = members.map(({ k, ends, kept }) => kept ?? -k[0]!.reduce((sum, one, j) => sum + one * ends[j]!, 0));
  const cut = cutOf(of, { known, loads });
  return { whole, joints, tensions, byStiffness, ...(cut && { cut }) };
}

const keyOf = (of: Unknown): string => (of.is === 'member' ? `m${of.index}` : `r${of.freedom}`);

const nodeOf = (f: number): number => Math.floor(f / FREEDOMS);

/** The direction of a freedom along an axis. */
function directionOf({ structure: s }: Worked, f: number): readonly [number, number, number] {
  const component = f % FREEDOMS;
  const turn = s.supportRotations.get(nodeOf(f));
  return [0, 1, 2].map((k) => (turn ? turn[3 * component + k]! : k === component ? 1 : 0)) as unknown as [number, number, number];
}

/** Reactions by the equilibrium of the whole truss: forces along, couples about the origin. */
function wholeOf(
  of: Worked,
  equations: readonly number[],
  reactions: readonly number[],
  loads: Float64Array,
): WorkedTruss['whole'] {
  const { structure: s } = of;
  const rows = s.active.length === 3 ? [0, 1, 5] : [0, 1, 2, 3, 4, 5];
  if (reactions.length !== rows.length) return [];
  /** A force of 1 along a freedom: forces, then couples about the origin. */
  const acting = (f: number): readonly number[] => {
    const [dx, dy, dz] = directionOf(of, f);
    const node = nodeOf(f);
    const [x, y, z] = s.coordinates.subarray(3 * node, 3 * node + 3) as unknown as [number, number, number];
    const six = [dx, dy, dz, y * dz - z * dy, z * dx - x * dz, x * dy - y * dx];
    return rows.map((k) => six[k]!);
  };
  const A = new Matrix(rows.map((_, k) => reactions.map((f) => acting(f)[k]!)));
  const side = rows.map((_, k) => -equations.reduce((sum, f) => sum + acting(f)[k]! * loads[f]!, 0));
  const decomposition = new SingularValueDecomposition(A, { autoTranspose: true });
  if (decomposition.rank < rows.length) return [];
  const x = decomposition.solve(Matrix.columnVector(side));
  return reactions.map((freedom, i) => ({ freedom, value: x.get(i, 0) }));
}

/** Whether a support holds a freedom, or a spring does. */
function isSupported({ numbered }: Worked, f: number): boolean {
  const one = numbered.all[numbered.places[f]!];
  return one?.state === 'held' || (one ?? numbered.followers.get(f))!.spring > 0;
}

/** What acts on joints (6n) along their axes, of members as well; without what the feet of springs push. */
function loadsOnJoints({ structure: s, members, onNodes }: Worked): Float64Array {
  const loads = onNodes.slice();
  for (const { index, own, released } of members)
    timesVector(transposed(transformOf(s, index, own)), released).forEach(
      (one, j) => (loads[nodalFreedom(s, index, own[j]!)]! -= one),
    );
  return loads;
}

function equationOf(of: Worked, freedom: number, loads: Float64Array): JointEquation {
  const { structure: s, members } = of;
  const parts: { of: Unknown; part: number }[] = [];
  for (const { index, own } of members) {
    let part = 0;
    const T = transformOf(s, index, own);
    own.forEach((e, j) => {
      if (nodalFreedom(s, index, e) !== freedom) return;
      // Tension pulls the joint along the member: from its start onwards, at its end back.
      const isStart = e < FREEDOMS;
      part += (isStart ? 1 : -1) * T[own.indexOf(isStart ? 0 : FREEDOMS)]![j]!;
    });
    if (Math.abs(part) > NOTHING) parts.push({ of: { is: 'member', index }, part });
  }
  if (isSupported(of, freedom)) parts.push({ of: { is: 'reaction', freedom }, part: 1 });
  return { freedom, parts, load: loads[freedom]! };
}

/** What is unknown in the equations of a joint, if they tell all of it. */
function solvedJoint(equations: readonly JointEquation[], known: ReadonlyMap<string, number>): WorkedJoint['found'] | undefined {
  const unknowns = [...new Map(equations.flatMap(({ parts }) => parts.map(({ of }) => [keyOf(of), of] as const))).entries()].filter(([key]) => !known.has(key)); // oxfmt-ignore
  if (unknowns.length > equations.length) return undefined;
  if (unknowns.length === 0) return [];
  const A = new Matrix(
    equations.map(({ parts }) => unknowns.map(([key]) => parts.find(({ of }) => keyOf(of) === key)?.part ?? 0)),
  );
  const side = equations.map(
    ({ parts, load }) => -parts.reduce((sum, { of, part }) => sum + part * (known.get(keyOf(of)) ?? 0), load),
  );
  const decomposition = new SingularValueDecomposition(A, { autoTranspose: true });
  if (decomposition.rank < unknowns.length) return undefined;
  const x = decomposition.solve(Matrix.columnVector(side));
  return unknowns.map(([, of], i) => ({ of, value: x.get(i, 0) }));
}

/** What acts on joints (6n), and what is known of members and supports. */
interface Acting {
  readonly known: ReadonlyMap<string, number>;
  readonly loads: Float64Array;
}

/** In the plane a cut between two lines of nodes that meets three members, of which no three meet in a point: the one nearest the middle. */
function cutOf({ structure: s, members, numbered }: Worked, { known, loads }: Acting): WorkedCut | undefined {
  if (s.active.length !== 3 || s.supportRotations.size > 0) return undefined;
  const nodes = [...new Set([...numbered.all, ...numbered.followers.values()].map(({ node }) => node))];
  const x = (node: number): number => s.coordinates[3 * node]!;
  const y = (node: number): number => s.coordinates[3 * node + 1]!;
  const lines = [...new Set(nodes.map(x))].sort((a, b) => a - b);
  const middle = (lines[0]! + lines.at(-1)!) / 2;
  const places = lines.slice(1).map((line, i) => (line + lines[i]!) / 2).sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle)); // oxfmt-ignore
  for (const at of places) {
    const met = members.filter(({ index }) => (x(s.memberNodes[2 * index]!) - at) * (x(s.memberNodes[2 * index + 1]!) - at) < 0);
    if (met.length !== 3) continue;
    const part = nodes.filter((node) => x(node) < at).sort((a, b) => a - b);
    const force = (node: number, k: number): number => {
      const f = FREEDOMS * node + k;
      if (numbered.places[f]! < 0 && !numbered.followers.has(f)) return 0;
      return loads[f]! + (known.get(keyOf({ is: 'reaction', freedom: f })) ?? 0);
    };
    const lineOf = ({ index }: WorkedMember) => {
      const [a, b] = [s.memberNodes[2 * index]!, s.memberNodes[2 * index + 1]!];
      const [from, to] = x(a) < at ? [a, b] : [b, a];
      const L = Math.hypot(x(to) - x(from), y(to) - y(from));
      return { px: x(from), py: y(from), dx: (x(to) - x(from)) / L, dy: (y(to) - y(from)) / L };
    };
    const about = met.map((one, i): WorkedCut['about'][number] | undefined => {
      const own = lineOf(one);
      const [p, q] = met.filter((_, j) => j !== i).map(lineOf) as [ReturnType<typeof lineOf>, ReturnType<typeof lineOf>];
      const cross = p.dx * q.dy - p.dy * q.dx;
      if (Math.abs(cross) < 1e-9) {
        // Both others are parallel: what acts across them.
        const arm = own.dx * -p.dy + own.dy * p.dx;
        const moment = part.reduce((sum, node) => sum + force(node, 0) * -p.dy + force(node, 1) * p.dx, 0);
        return Math.abs(arm) < 1e-9 ? undefined : { member: one.index, arm, moment, value: -moment / arm };
      }
      const t = ((q.px - p.px) * q.dy - (q.py - p.py) * q.dx) / cross;
      const point = [p.px + t * p.dx, p.py + t * p.dy] as const;
      const arm = (own.px - point[0]) * own.dy - (own.py - point[1]) * own.dx;
      const moment = part.reduce(
        (sum, node) => sum + (x(node) - point[0]) * force(node, 1) - (y(node) - point[1]) * force(node, 0),
        0,
      );
      return Math.abs(arm) < 1e-9 ? undefined : { member: one.index, point, arm, moment, value: -moment / arm };
    });
    if (about.every((one) => one !== undefined)) return { members: met.map(({ index }) => index), nodes: part, about };
  }
  return undefined;
}
