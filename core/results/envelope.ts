import { COINCIDENT } from './breakpoints';
import { diagramOf, type Diagram } from './diagram';
import { addShifted, evaluate, isNowherePositive, signChanges } from './polynomial';
import { degreeOf, isStored, offsetOf, type LineQuantity } from './quantities';
import { pieceAt } from './read';
import type { Solution } from './results';

/** A part of a member on which one outcome governs: metres from the member's start, and the outcome's index. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly outcome: number;
}

/** A part in the running: its diagram, and its polynomial on the stretch at hand, seen from where that begins. */
interface Candidate {
  readonly outcome: number;
  readonly diagram: Diagram;
  readonly polynomial: Float64Array;
}

/**
 * Which of the `parts` (indices of cases and sums) gives the largest (`side` = 1) or smallest (−1) value along member m, cut
 * exactly where the polynomials cross. A stretch never reaches over a place where one of them has a cut.
 */
export function governing(
  solution: Solution,
  parts: readonly number[],
  m: number,
  quantity: LineQuantity,
  side: 1 | -1,
): Stretch[] {
  const diagrams = parts.map((outcome) => ({ outcome, diagram: diagramOf(solution, outcome, m) }));
  const length = solution.structure.lengths[m]!;
  const slack = COINCIDENT * length;
  const cuts = cutsOf(
    diagrams.map(({ diagram }) => diagram),
    slack,
  );
  const stretches: Stretch[] = [];
  for (let i = 0; i + 1 < cuts.length; i++) {
    const [from, to] = [cuts[i]!, cuts[i + 1]!];
    const candidates = diagrams.map(({ outcome, diagram }): Candidate => ({
      outcome,
      diagram,
      polynomial: seenFrom(diagram, quantity, from),
    }));
    let current: Governed[] = [{ from: 0, to: to - from, by: candidates[0]! }];
    for (const part of candidates.slice(1)) current = current.flatMap((stretch) => challenged(stretch, part, side, slack));
    stretches.push(
      ...merged(current).map(({ by, ...one }) => ({ from: from + one.from, to: from + one.to, outcome: by.outcome })),
    );
  }
  return stretches;
}

/** Where any of several diagrams is cut, its ends included, ascending. */
function cutsOf(diagrams: readonly Diagram[], slack: number): number[] {
  const all = new Set<number>([0]);
  for (const { first, end, to } of diagrams) for (let k = first; k < end; k++) all.add(to[k]!);
  const sorted = [...all].sort((a, b) => a - b);
  return sorted.filter((x, i) => i === 0 || x - sorted[i - 1]! > slack);
}

function seenFrom(diagram: Diagram, quantity: LineQuantity, x: number): Float64Array {
  const degree = degreeOf(quantity);
  const polynomial = new Float64Array(degree + 1);
  if (!isStored(diagram.width, quantity)) return polynomial;
  const k = pieceAt(diagram, x);
  const window = { coefficients: diagram.coefficients, at: k * diagram.width + offsetOf(quantity), degree };
  addShifted(window, x - diagram.from[k]!, 1, polynomial, 0);
  return polynomial;
}

interface Governed {
  readonly from: number;
  readonly to: number;
  readonly by: Candidate;
}

function challenged(stretch: Governed, part: Candidate, side: 1 | -1, slack: number): Governed[] {
  const difference = part.polynomial.map((value, i) => side * (value - stretch.by.polynomial[i]!));
  if (isNowherePositive(difference, stretch.to)) return [stretch];
  const crossings = signChanges(difference, stretch.to).filter((x) => x > stretch.from + slack && x < stretch.to - slack);
  const cuts = [stretch.from, ...crossings, stretch.to];
  const result: Governed[] = [];
  for (let i = 0; i + 1 < cuts.length; i++) {
    const gain = evaluate(difference, 0, difference.length - 1, (cuts[i]! + cuts[i + 1]!) / 2);
    result.push({ from: cuts[i]!, to: cuts[i + 1]!, by: gain > 0 ? part : stretch.by });
  }
  return result;
}

function merged(stretches: readonly Governed[]): Governed[] {
  const result: Governed[] = [];
  for (const stretch of stretches) {
    const last = result[result.length - 1];
    if (last && last.by === stretch.by) result[result.length - 1] = { ...last, to: stretch.to };
    else result.push(stretch);
  }
  return result;
}

/** Largest and smallest of the values that `read` gives for each part of an envelope, with the governing outcome. */
export function enveloped(
  parts: readonly number[],
  read: (part: number) => number,
): { max: number; min: number; maxFrom: number; minFrom: number } {
  let [max, min, maxFrom, minFrom] = [-Infinity, Infinity, parts[0]!, parts[0]!];
  for (const part of parts) {
    const value = read(part);
    if (value > max) [max, maxFrom] = [value, part];
    if (value < min) [min, minFrom] = [value, part];
  }
  return { max, min, maxFrom, minFrom };
}
