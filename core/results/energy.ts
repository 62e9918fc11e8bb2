import { actingCases, isRange } from '../combinations/outcome';
import { toOwnAxesOf } from '../stiffness/transformation';
import {
  BOWS_V,
  BOWS_W,
  FREEDOMS,
  LINE_WIDTH,
  MEMBER_FREEDOMS,
  POINT_WIDTH,
  axialStiffness,
  STIFFNESS_WIDTH,
  type MemberLoadTable,
  type Structure,
} from '../stiffness/structure';
import { diagramOf, type Diagram } from './diagram';
import { integrate } from './integrate';
import { evaluate } from './polynomial';
import { pieceAt, pieceOf } from './read';
import type { LineQuantity } from './quantities';
import type { Solution } from './results';
import { responseOf } from './sums';

/** What loads do on the way to where they stand, and what is stored in members and springs, J. By Clapeyron's theorem both are the same. */
export interface Energies {
  readonly work: number;
  readonly stored: number;
}

/**
 * Of an outcome of one value. Found from diagrams and loads, and not from the stiffness: forces and curvatures that do not belong to each other, or to the displacements, tell it.
 * Undefined where strains or settlements are imposed, couples act on members between their ends, or a bar bends of which no stiffness is known.
 */
export function energiesOf(solution: Solution, outcome: number): Energies | undefined {
  const one = solution.outcomes[outcome]!;
  const response = isRange(one) ? undefined : responseOf(solution, outcome);
  if (!response) return undefined;
  const { structure } = solution;
  const factors = factorsOf(solution, outcome);
  const work = workOfLoads(solution, factors, outcome);
  if (work === undefined) return undefined;
  let stored = inSprings(structure, response.reactions, response.ends);
  for (let m = 0; m < structure.names.members.length; m++) {
    const held = storedIn(structure, diagramOf(solution, outcome, m), m);
    if (held === undefined) return undefined;
    stored += held;
  }
  return { work: work / 2, stored: stored / 2 };
}

/**
 * What the loads of each of two outcomes do on the movements of the other, J: by Betti's theorem both are the same. Undefined as the energies
 * are.
 */
export function mutualWork(solution: Solution, one: number, other: number): readonly [number, number] | undefined {
  if ([one, other].some((outcome) => !responseOf(solution, outcome))) return undefined;
  const there = workOfLoads(solution, factorsOf(solution, one), other);
  const back = workOfLoads(solution, factorsOf(solution, other), one);
  return there === undefined || back === undefined ? undefined : [there, back];
}

/** By which factor each case acts in an outcome. */
function factorsOf({ responses, outcomes }: Solution, outcome: number): Float64Array {
  const factors = new Float64Array(responses.length);
  for (const [at, factor] of actingCases(outcomes[outcome]!)) factors[at] = factor;
  return factors;
}

/** Loads times the movements that their places make in an outcome of one value. */
function workOfLoads(solution: Solution, factors: Float64Array, outcome: number): number | undefined {
  const { structure } = solution;
  const { displacements } = responseOf(solution, outcome)!;
  const { strains, settlements, nodeLoads } = structure;
  const acts = ({ cases }: MemberLoadTable, i: number): number => factors[cases[i]!]!;
  const isImposed =
    strains.cases.some((_, i) => acts(strains, i) !== 0) ||
    factors.some((factor, c) => factor !== 0 && settlements.first[c] !== settlements.first[c + 1]);
  if (isImposed) return undefined;
  let work = 0;
  for (const [c, factor] of factors.entries())
    for (let row = nodeLoads.first[c]!; row < nodeLoads.first[c + 1]!; row++)
      for (let k = 0; k < FREEDOMS; k++)
        work += factor * nodeLoads.values[FREEDOMS * row + k]! * displacements[FREEDOMS * nodeLoads.nodes[row]! + k]!;
  for (let m = 0; m < structure.names.members.length; m++) {
    const done = workOn(structure, diagramOf(solution, outcome, m), m, acts);
    if (done === undefined) return undefined;
    work += done;
  }
  return work;
}

/** ∫ f dx over piece k. */
const over = (diagram: Diagram, k: number, f: (x: number) => number): number => integrate(diagram.from[k]!, diagram.to[k]!, f);

function at(diagram: Diagram, k: number, quantity: LineQuantity, x: number): number {
  const c = pieceOf(diagram, k, quantity);
  return evaluate(c, 0, c.length - 1, x - diagram.from[k]!);
}

const ALONG = ['u', 'v', 'w'] as const;

/** Loads times the movements of their places; undefined where a couple turns with what is not read. */
function workOn(
  { lineLoads, pointLoads }: Structure,
  diagram: Diagram,
  m: number,
  acts: (table: MemberLoadTable, i: number) => number,
): number | undefined {
  let work = 0;
  for (let i = pointLoads.first[m]!; i < pointLoads.first[m + 1]!; i++) {
    const factor = acts(pointLoads, i);
    if (factor === 0) continue;
    const [x, ...force] = pointLoads.values.subarray(POINT_WIDTH * i, POINT_WIDTH * (i + 1)) as unknown as [number, ...number[]];
    if (force.slice(3).some((couple) => couple !== 0)) return undefined;
    const k = pieceAt(diagram, x);
    ALONG.forEach((quantity, axis) => (work += factor * force[axis]! * at(diagram, k, quantity, x)));
  }
  for (let i = lineLoads.first[m]!; i < lineLoads.first[m + 1]!; i++) {
    const factor = acts(lineLoads, i);
    if (factor === 0) continue;
    const [a, b, ...q] = lineLoads.values.subarray(LINE_WIDTH * i, LINE_WIDTH * (i + 1)) as unknown as [
      number,
      number,
      ...number[],
    ];
    for (let k = diagram.first; k < diagram.end; k++) {
      // The load may be one of another outcome, which begins and ends within a piece.
      const [low, high] = [Math.max(a, diagram.from[k]!), Math.min(b, diagram.to[k]!)];
      if (!(high > low)) continue;
      ALONG.forEach((quantity, axis) => {
        const intensity = (x: number): number => q[2 * axis]! + ((q[2 * axis + 1]! - q[2 * axis]!) * (x - a)) / (b - a);
        work += factor * integrate(low, high, (x) => intensity(x) * at(diagram, k, quantity, x));
      });
    }
  }
  return work;
}

/** Twice the energy of a member: forces times the strains that belong to them. */
function storedIn(s: Structure, diagram: Diagram, m: number): number | undefined {
  const { stiffnesses, bows } = s;
  const EA = axialStiffness(s, m);
  const [, GJ, EIz, EIy, EIyz, GAy, GAz] = stiffnesses.subarray(STIFFNESS_WIDTH * m, STIFFNESS_WIDTH * (m + 1));
  const det = EIz! * EIy! - EIyz! * EIyz!;
  const [vv, vw, ww] = EIy === 0 ? [1 / EIz!, 0, 0] : [EIy! / det, -EIyz! / det, EIz! / det];
  const isBent = (quantity: 'My' | 'Mz', k: number): boolean => pieceOf(diagram, k, quantity).some((c) => c !== 0);
  let stored = 0;
  for (let k = diagram.first; k < diagram.end; k++) {
    if ((!(bows[m]! & BOWS_V) && isBent('Mz', k)) || (!(bows[m]! & BOWS_W) && isBent('My', k))) return undefined;
    const square = (quantity: LineQuantity, stiffness: number): number =>
      stiffness > 0 && stiffness < Infinity ? over(diagram, k, (x) => at(diagram, k, quantity, x) ** 2) / stiffness : 0;
    stored += square('N', EA) + square('T', GJ!) + square('Vy', GAy!) + square('Vz', GAz!);
    stored += over(diagram, k, (x) => {
      const [Mz, My] = [at(diagram, k, 'Mz', x), at(diagram, k, 'My', x)];
      return Mz * (vv! * Mz + vw! * My) + My * (vw! * Mz + ww! * My);
    });
  }
  return stored;
}

/** Twice the energy of sprung supports and joints. */
function inSprings(s: Structure, reactions: Float64Array, ends: Float64Array): number {
  const { restraints, releases } = s;
  const own = reactions.slice();
  for (let node = 0; node < s.names.nodes.length; node++)
    toOwnAxesOf(s, node, own.subarray(FREEDOMS * node, FREEDOMS * (node + 1)));
  let stored = 0;
  restraints.forEach((k, f) => {
    if (k > 0 && k < Infinity) stored += own[f]! ** 2 / k;
  });
  for (let i = 0; i < MEMBER_FREEDOMS * s.names.members.length; i++) {
    const k = releases[i]!;
    if (k > 0 && k < Infinity) stored += ends[i]! ** 2 / k;
  }
  return stored;
}
