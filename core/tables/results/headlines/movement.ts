import { once } from '../../../once';
import type { Model } from '../../../model/model';
import { between, dot, minus } from '../../../model/point';
import { spansOf } from '../../../model/patterns/spans';
import { straightRuns } from '../../../model/straight-run';
import { nodePoint } from '../../../results/bodies/vectors';
import { movedAt, type Movement } from '../../../results/movement';
import { nodeAt, type PlaceOnMember } from '../../../results/place-on-member';
import { nodalAt } from '../../../results/read';
import type { Solution } from '../../../results/results';
import { FREEDOMS } from '../../../stiffness/structure';

/** A movement beside the size of what moves. */
export interface Proportion {
  readonly of: 'span' | 'height' | 'cantilever';
  /** How many times as long that is. */
  readonly times: number;
}

/** How many times as long, as one says it: no engineer reads a decimal of it. */
export const timesWords = (times: number): string => String(times >= 10 ? Math.round(times) : Number(times.toPrecision(2)));

/** A sway is a part of the height above the lowest support; what bends is a part of its span, beside the line between that span's ends. */
export function proportionOf(
  model: Model,
  solution: Solution,
  outcome: number,
  { at, way, size }: Movement,
): Proportion | undefined {
  const { structure } = solution;
  const { supported } = solution;
  const height = (node: number): number => structure.coordinates[3 * node + 1]!;
  if (Math.hypot(way[0], way[2]) > Math.SQRT1_2 * size) {
    const feet = structure.names.nodes.flatMap((_, i) => (supported[i] ? [height(i)] : []));
    const [start, end] = [structure.memberNodes[2 * at.member]!, structure.memberNodes[2 * at.member + 1]!];
    const t = at.x / structure.lengths[at.member]!;
    const rise = height(start) + t * (height(end) - height(start)) - Math.min(...feet);
    return rise > 0 ? { of: 'height', times: rise / Math.hypot(way[0], way[2]) } : undefined;
  }
  return spanOf(model, solution, outcome, at);
}

/** The members of the span that a member belongs to. */
const spanWith = once(
  (model: Model, own: string) =>
    spansOf(model, new Set(straightRuns(model)(own))).find((one) => one.members.includes(own))?.members,
);

/** Of the span in which a place lies. */
function spanOf(model: Model, solution: Solution, outcome: number, at: PlaceOnMember): Proportion | undefined {
  const { structure } = solution;
  const { memberNodes, names, lengths } = structure;
  const own = names.members[at.member]!;
  const members = spanWith(model, own);
  if (!members) return undefined;
  const indices = members.map((id) => names.members.indexOf(id));
  const length = indices.reduce((sum, m) => sum + lengths[m]!, 0);
  const count = new Map<number, number>();
  for (const m of indices)
    for (const k of [0, 1]) count.set(memberNodes[2 * m + k]!, (count.get(memberNodes[2 * m + k]!) ?? 0) + 1);
  const [a, b] = [...count].flatMap(([node, times]) => (times === 1 ? [node] : []));
  if (a === undefined || b === undefined) return undefined;
  const down = (node: number): number => nodalAt(solution, outcome, 'displacements', FREEDOMS * node + 1);
  const isFree = (node: number): boolean =>
    solution.supported[node] !== 1 && memberNodes.reduce((sum, one) => sum + (one === node ? 1 : 0), 0) === 1;
  const here = movedAt(solution, outcome, at)[1];
  const node = nodeAt(structure, at);
  if (node === a || node === b) {
    const [tip, root] = node === a ? [a, b] : [b, a];
    if (!isFree(tip)) return undefined;
    const drop = Math.abs(down(tip) - down(root));
    return drop > 0 ? { of: 'cantilever', times: length / drop } : undefined;
  }
  // Beside the line between its ends, at the part of it that is reached there.
  const [from, to] = [nodePoint(structure, a), nodePoint(structure, b)];
  const [start, end] = [nodePoint(structure, memberNodes[2 * at.member]!), nodePoint(structure, memberNodes[2 * at.member + 1]!)];
  const there = between(start, end, at.x / lengths[at.member]!);
  const span = minus(to, from);
  const share = dot(minus(there, from), span) / dot(span, span);
  const sag = Math.abs(here - ((1 - share) * down(a) + share * down(b)));
  return sag > 0 ? { of: 'span', times: length / sag } : undefined;
}
