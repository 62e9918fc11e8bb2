import { LuDecomposition, Matrix } from 'ml-matrix';
import { isPlane, STIFFNESS_WIDTH } from '../stiffness/structure';
import type { Worked } from './worked';
import type { WorkedMember } from './worked-member';

/** A span between supports, from the first node of the beam on; moments of a member whose ends are held, sagging positive. */
export interface Span {
  readonly member: number;
  readonly L: number;
  readonly EI: number;
  /** Fixed-end moments at its beginning and end. */
  readonly fixed: readonly [number, number];
  /** How much farther its end has settled upwards than its beginning, along local y. */
  readonly rise: number;
}

/** Σ coefficient·M of the supports = side; `about`: at which support, by its place. */
export interface MomentEquation {
  readonly about: number;
  readonly parts: readonly { readonly support: number; readonly factor: number }[];
  readonly side: number;
}

export interface ThreeMoments {
  readonly spans: readonly Span[];
  /** Nodes of the supports, one more than spans. */
  readonly nodes: readonly number[];
  readonly equations: readonly MomentEquation[];
  /** Moments over the supports by these equations, and by the stiffness method. */
  readonly moments: readonly number[];
  readonly byStiffness: readonly number[];
}

/**
 * A continuous beam by its three-moment equations (Clapeyron): members that follow each other on a straight line, in one direction, over nodes that are held across it. Overhangs give the moment
 * of their support. Undefined where it is no such beam.
 */
export function threeMoments(of: Worked): ThreeMoments | undefined {
  const line = lineOf(of);
  if (!line) return undefined;
  const { structure: s, numbered, direct, imposed } = of;
  const held = (node: number, k: number): boolean => {
    const place = numbered.places[6 * node + k]!;
    return place >= 0 && numbered.all[place]!.state === 'held';
  };
  const begin = (m: WorkedMember): number => s.memberNodes[2 * m.index]!;
  const end = (m: WorkedMember): number => s.memberNodes[2 * m.index + 1]!;
  const across = s.axes[9 * line[0]!.index + 3] === 0 ? 1 : 0;
  const overhangs = [line[0]!, line.at(-1)!].map((m, i) => (held(i === 0 ? begin(m) : end(m), across) ? undefined : m));
  const spans = line.filter((m) => !overhangs.includes(m));
  if (spans.length === 0) return undefined;
  const nodes = [begin(spans[0]!), ...spans.map(end)];
  if (!nodes.every((node) => held(node, across))) return undefined;
  // A couple on a node, or a support inside that holds or springs against a turn, would let the moment jump.
  if (numbered.all.some(({ component, spring }, i) => component === 5 && (direct[i] !== 0 || spring > 0))) return undefined;
  if (nodes.slice(1, -1).some((node) => held(node, 5))) return undefined;
  if (overhangs.some((m) => m && (held(begin(m), 5) || held(end(m), 5)))) return undefined;
  const settled = (node: number): number => imposed[numbered.places[6 * node + across]!]! * (across === 1 ? s.axes[9 * line[0]!.index + 4]! : s.axes[9 * line[0]!.index + 3]!); // oxfmt-ignore
  const told = spans.map((m): Span => ({
    ...{ member: m.index, L: m.L, EI: s.stiffnesses[STIFFNESS_WIDTH * m.index + 2]! },
    fixed: [-m.fixed[2]!, m.fixed[5]!],
    rise: settled(end(m)) - settled(begin(m)),
  }));
  const equations = nodes.map((node, i): MomentEquation => {
    const left = told[i - 1];
    const right = told[i];
    const isEnd = !left || !right;
    const overhang = isEnd ? overhangs[i === 0 ? 0 : 1] : undefined;
    if (overhang) return { about: i, parts: [{ support: i, factor: 1 }], side: ofOverhang(of, overhang, i === 0 ? 'before' : 'behind', across) };
    if (isEnd && !held(node, 5)) return { about: i, parts: [{ support: i, factor: 1 }], side: 0 };
    const [l, r] = [left ? left.L / left.EI : 0, right ? right.L / right.EI : 0];
    const parts = [...(left ? [{ support: i - 1, factor: l }] : []), { support: i, factor: 2 * (l + r) }, ...(right ? [{ support: i + 1, factor: r }] : [])];
    const loads = (left ? l * (2 * left.fixed[1] + left.fixed[0]) : 0) + (right ? r * (2 * right.fixed[0] + right.fixed[1]) : 0);
    // An end that is clamped turns by what is imposed on it.
    const turned = isEnd ? imposed[numbered.places[6 * node + 5]!]! * (left ? 6 : -6) : 0;
    return { about: i, parts, side: loads + 6 * ((right ? right.rise / right.L : 0) - (left ? left.rise / left.L : 0)) + turned };
  });
  const A = Matrix.zeros(nodes.length, nodes.length);
  equations.forEach(({ parts }, i) => parts.forEach(({ support, factor }) => A.set(i, support, factor)));
  const factor = new LuDecomposition(A);
  if (factor.isSingular()) return undefined;
  const moments = factor.solve(Matrix.columnVector(equations.map(({ side }) => side))).to1DArray();
  const byStiffness = nodes.map((_, i) => (i < spans.length ? -spans[i]!.forces[2]! : spans[i - 1]!.forces[5]!));
  return { spans: told, nodes, equations, moments, byStiffness };
} // oxfmt-ignore

/** The members from one end of the beam to the other; undefined where they do not follow each other on a line, or where something is released or shears. */
function lineOf({ structure: s, members }: Worked): readonly WorkedMember[] | undefined {
  if (!isPlane(s) || s.supportRotations.size > 0 || members.length === 0) return undefined;
  const [first] = members as [WorkedMember];
  const isLike = ({ index, condensations }: WorkedMember): boolean =>
    condensations.length === 0 &&
    s.stiffnesses[STIFFNESS_WIDTH * index + 5] === Infinity &&
    [0, 1, 2, 3, 4, 5].every((k) => s.endOffsets[6 * index + k] === 0) &&
    [0, 1].every((k) => Math.abs(s.axes[9 * index + k]! - s.axes[9 * first.index + k]!) < 1e-12);
  // Along X or along Y: supports hold along these.
  if (!members.every(isLike) || (s.axes[9 * first.index]! !== 0 && s.axes[9 * first.index + 1]! !== 0)) return undefined;
  const starting = new Map(members.map((m) => [s.memberNodes[2 * m.index]!, m]));
  const ending = new Set(members.map(({ index }) => s.memberNodes[2 * index + 1]!));
  const begins = members.filter(({ index }) => !ending.has(s.memberNodes[2 * index]!));
  if (begins.length !== 1 || starting.size !== members.length) return undefined;
  const line: WorkedMember[] = [];
  for (let next: WorkedMember | undefined = begins[0]; next && line.length < members.length; next = starting.get(s.memberNodes[2 * next.index + 1]!)) line.push(next); // oxfmt-ignore
  return line.length === members.length ? line : undefined;
}

/** What an overhang brings about over its support, sagging positive: by its loads and by those at its end. */
function ofOverhang({ structure: s, direct, numbered }: Worked, { fixed, L, index }: WorkedMember, side: 'before' | 'behind', across: number): number {
  // Fixed-end actions stand for its loads: across at 1 and 4, about at 2 and 5.
  const free = s.memberNodes[2 * index + (side === 'before' ? 0 : 1)]!;
  const place = numbered.places[6 * free + across]!;
  const y = s.axes[9 * index + 3 + across]!;
  const atEnd = y * direct[place]!;
  if (side === 'behind') return -(fixed[2]! + fixed[5]! + fixed[4]! * L) + atEnd * L;
  return fixed[2]! + fixed[5]! - fixed[1]! * L + atEnd * L;
} // oxfmt-ignore
