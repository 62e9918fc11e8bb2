import { COINCIDENT } from './breakpoints';
import { signChanges } from './polynomial';
import type { LineQuantity } from './quantities';
import { pieceOf } from './read';
import type { Solution } from './results';

/** A part of a member on which one outcome governs: metres from the member's start, the piece, and the outcome's index. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly piece: number;
  readonly outcome: number;
}

/**
 * Which of the `parts` (indices of cases and sums) gives the largest (`side` = 1) or smallest (−1) value along member m, cut
 * exactly where the polynomials cross.
 */
export function governing(
  solution: Solution,
  parts: readonly number[],
  m: number,
  quantity: LineQuantity,
  side: 1 | -1,
): Stretch[] {
  const { pieces } = solution;
  const stretches: Stretch[] = [];
  for (let k = pieces.first[m]!; k < pieces.first[m + 1]!; k++) {
    let current: Stretch[] = [{ from: pieces.from[k]!, to: pieces.to[k]!, piece: k, outcome: parts[0]! }];
    const slack = COINCIDENT * solution.structure.lengths[m]!;
    for (const part of parts.slice(1))
      current = current.flatMap((stretch) => challenged(solution, stretch, part, quantity, side, slack));
    stretches.push(...merged(current));
  }
  return stretches;
}

function challenged(
  solution: Solution,
  stretch: Stretch,
  part: number,
  quantity: LineQuantity,
  side: 1 | -1,
  slack: number,
): Stretch[] {
  const start = solution.pieces.from[stretch.piece]!;
  const a = pieceOf(solution.linear[stretch.outcome]!, stretch.piece, quantity);
  const b = pieceOf(solution.linear[part]!, stretch.piece, quantity);
  const difference = b.map((value, i) => side * (value - a[i]!));
  const crossings = signChanges(difference, solution.pieces.to[stretch.piece]! - start)
    .map((s) => start + s)
    .filter((x) => x > stretch.from + slack && x < stretch.to - slack);
  const cuts = [stretch.from, ...crossings, stretch.to];
  const result: Stretch[] = [];
  for (let i = 0; i + 1 < cuts.length; i++) {
    const middle = (cuts[i]! + cuts[i + 1]!) / 2 - start;
    const gain = difference.reduceRight((sum, coefficient) => sum * middle + coefficient, 0);
    result.push({ ...stretch, from: cuts[i]!, to: cuts[i + 1]!, outcome: gain > 0 ? part : stretch.outcome });
  }
  return result;
}

function merged(stretches: readonly Stretch[]): Stretch[] {
  const result: Stretch[] = [];
  for (const stretch of stretches) {
    const last = result[result.length - 1];
    if (last && last.outcome === stretch.outcome) result[result.length - 1] = { ...last, to: stretch.to };
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
