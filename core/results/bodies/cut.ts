import type { Point } from '../../model/point';
import { actingCases, readOutcome } from '../../combinations/outcome';
import { memberCount, nodeCount, type Structure } from '../../stiffness/structure';
import { diagramOf } from '../diagram';
import { valueIn } from '../read';
import type { Resultant, Solution } from '../results';
import { responseOf } from '../sums';
import { appliedToNodes, appliedToPart } from './applied-to';
import { atPoint, inGlobal, nodePoint, NOTHING, plus, pointOf } from './vectors';

/** Where a member is cut, metres from its start, and which of its two parts belongs to the free body. */
export interface CutPlace {
  readonly member: number;
  readonly x: number;
  readonly keeps: 'start' | 'end';
}

/** What a cut frees: its places, the nodes and the whole members of the body. */
export interface FreeBody {
  readonly places: readonly CutPlace[];
  readonly nodes: readonly number[];
  readonly members: readonly number[];
  /** Whether the body hangs together with the rest beside the cut: then nothing balances. */
  readonly isLoose: boolean;
}

/**
 * The body that a cut frees, by the members that are not cut: from the kept part of each cut member all that hangs together with it. Cost:
 * linear in the members.
 */
export function freeBody(s: Structure, places: readonly CutPlace[]): FreeBody {
  const isCut = new Set(places.map(({ member }) => member));
  const links: number[][] = Array.from({ length: nodeCount(s) }, () => []);
  for (let m = 0; m < memberCount(s); m++) {
    if (isCut.has(m)) continue;
    links[s.memberNodes[2 * m]!]!.push(m);
    links[s.memberNodes[2 * m + 1]!]!.push(m);
  }
  const end = ({ member, keeps }: CutPlace): number => s.memberNodes[2 * member + (keeps === 'start' ? 0 : 1)]!;
  const nodes = new Set(places.map(end));
  const members = new Set<number>();
  // A set is walked through also by what is added meanwhile.
  for (const node of nodes)
    for (const m of links[node]!) {
      members.add(m);
      nodes.add(s.memberNodes[2 * m]!);
      nodes.add(s.memberNodes[2 * m + 1]!);
    }
  const others = places.map(({ member, keeps, x }) => end({ member, x, keeps: keeps === 'start' ? 'end' : 'start' }));
  return {
    places,
    nodes: [...nodes].sort((a, b) => a - b),
    members: [...members].sort((a, b) => a - b),
    isLoose: others.some((node) => nodes.has(node)),
  };
}

/**
 * Which parts of some members, each cut in one place, go together: those of the first keep their start, and all others the end that leaves
 * the two sides apart, where there are two. Members whose ends hang together beside the cut keep their start.
 */
export function sidesOf(s: Structure, cuts: readonly Omit<CutPlace, 'keeps'>[]): CutPlace[] {
  const isCut = new Set(cuts.map(({ member }) => member));
  const leader = Array.from({ length: nodeCount(s) }, (_, i) => i);
  const find = (i: number): number => {
    while (leader[i] !== i) i = leader[i] = leader[leader[i]!]!;
    return i;
  };
  for (let m = 0; m < memberCount(s); m++)
    if (!isCut.has(m)) leader[find(s.memberNodes[2 * m]!)] = find(s.memberNodes[2 * m + 1]!);
  const endsOf = (member: number): readonly [number, number] => [
    find(s.memberNodes[2 * member]!),
    find(s.memberNodes[2 * member + 1]!),
  ];
  const side = new Map<number, boolean>();
  // Pieces that cut members join lie on different sides.
  for (const { member: begin } of cuts) {
    if (side.has(endsOf(begin)[0])) continue;
    side.set(endsOf(begin)[0], true);
    for (let goesOn = true; goesOn;) {
      goesOn = false;
      for (const { member } of cuts) {
        const [a, b] = endsOf(member);
        for (const [from, to] of [[a, b], [b, a]] as const)
          if (side.has(from) && !side.has(to)) {
            side.set(to, !side.get(from)!);
            goesOn = true;
          }
      } // oxfmt-ignore
    }
  }
  return cuts.map((cut) => ({ ...cut, keeps: side.get(endsOf(cut.member)[0]) === false ? 'end' : 'start' }));
}

/** The same cut with the body of the other side. */
export const otherSide = (places: readonly CutPlace[]): CutPlace[] =>
  places.map((place) => ({ ...place, keeps: place.keeps === 'start' ? 'end' : 'start' }));

/** What the rest exerts on the body at one place of the cut. */
export interface CutForce {
  readonly place: CutPlace;
  readonly point: Point;
  /** In the axes of the member, with the signs of the diagrams: N, Vy, Vz, T, My, Mz. */
  readonly inside: readonly [number, number, number, number, number, number];
  /** On the body, global, at the point. */
  readonly force: Point;
  readonly couple: Point;
}

/** Forces and couples on a body, each sum about the origin, N and N·m. */
export interface BodyBalance {
  readonly cut: readonly CutForce[];
  /** The resultant of all that goes through the cut. */
  readonly through: Resultant;
  readonly applied: Resultant;
  readonly reactions: Resultant;
  /** What is left of all three, beside the largest of them; nothing where the body is joined beside the cut, or stands in another shape. */
  readonly residual: number | undefined;
}

/** The middle of the places of a cut, about which its couple is told. */
export function middleOf(s: Structure, places: readonly CutPlace[]): Point {
  const points = places.map(({ member, x }) => pointOf(s, member, x));
  const mean = (k: number): number => points.reduce((sum, point) => sum + point[k]!, 0) / Math.max(1, points.length);
  return [mean(0), mean(1), mean(2)];
}

/** What goes through a cut in a case or sum (not in an envelope, nor where trains travel), and what holds it in balance on the body. */
export function bodyBalance(solution: Solution, outcome: number, body: FreeBody): BodyBalance {
  const { structure } = solution;
  const cut = body.places.map((place) => cutForce(solution, outcome, place));
  const through = cut.reduce((sum, { point, force, couple }) => plus(sum, atPoint(point, force, couple)), NOTHING);
  const { reactions } = responseOf(solution, outcome)!;
  const held = body.nodes.reduce((sum, node) => {
    if (!solution.supported[node]) return sum;
    const [fx, fy, fz, mx, my, mz] = reactions.subarray(6 * node, 6 * node + 6) as unknown as Resultant;
    return plus(sum, atPoint(nodePoint(structure, node), [fx, fy, fz], [mx, my, mz]));
  }, NOTHING);
  const applied = appliedToBody(solution, outcome, body);
  const left = plus(plus(through, applied), held);
  const size = largest([through, applied, held, ...cut.map(({ force, couple }) => [...force, ...couple])]);
  const isPlaced = readOutcome(solution.outcomes[outcome]!, {
    // With factors of its own it was solved in the shape that it takes, where it balances and not here.
    solved: ({ factors }) => factors === undefined,
    superposed: () => true,
    travelling: () => false,
    spectral: () => false,
    envelope: () => false,
    shape: () => false,
  });
  const residual = size > 0 ? largest([left]) / size : 0;
  return { cut, through, applied, reactions: held, residual: body.isLoose || !isPlaced ? undefined : residual };
}

const largest = (all: readonly (readonly number[])[]): number => Math.max(0, ...all.flat().map(Math.abs));

function cutForce(solution: Solution, outcome: number, place: CutPlace): CutForce {
  const { structure } = solution;
  const { member, x, keeps } = place;
  const diagram = diagramOf(solution, outcome, member);
  const read = (quantity: 'N' | 'Vy' | 'Vz' | 'T' | 'My' | 'Mz'): number => valueIn(diagram, quantity, x);
  const inside = [read('N'), read('Vy'), read('Vz'), read('T'), read('My'), read('Mz')] as const;
  const [N, Vy, Vz, T, My, Mz] = inside;
  // On the part that holds the start the face looks along x: there N pulls along x, and shear stands against its axis.
  const sign = keeps === 'start' ? 1 : -1;
  return {
    place,
    point: pointOf(structure, member, x),
    inside,
    force: inGlobal(structure, member, [sign * N, -sign * Vy, -sign * Vz]),
    couple: inGlobal(structure, member, [sign * T, -sign * My, sign * Mz]),
  };
}

function appliedToBody(solution: Solution, outcome: number, { places, nodes, members }: FreeBody): Resultant {
  const { structure } = solution;
  const factors = new Map(actingCases(solution.outcomes[outcome]!));
  const own = new Set(nodes);
  let sum = NOTHING;
  for (const [c, factor] of factors)
    sum = plus(
      sum,
      appliedToNodes(structure, c, (node) => own.has(node)),
      factor,
    );
  const parts = [
    ...members.map((member) => ({ member, from: 0, to: structure.lengths[member]! })),
    ...places.map(({ member, x, keeps }) =>
      keeps === 'start' ? { member, from: 0, to: x } : { member, from: x, to: structure.lengths[member]! },
    ),
  ];
  for (const part of parts) for (const [c, load] of appliedToPart(structure, part)) sum = plus(sum, load, factors.get(c) ?? 0);
  return sum;
}
