import { readOutcome } from '../combinations/outcome';
import { MEMBER_FREEDOMS } from '../stiffness/structure';
import { commonCuts } from './breakpoints';
import type { Diagram } from './diagram';
import type { Solution } from './results';
import { addOver, readFromParts } from './sums';

/** What the cases have of a block of members, over pieces that they share: `numbers` coefficients, then the end forces. */
export interface Block {
  readonly lengths: Float64Array;
  readonly width: number;
  readonly first: Int32Array;
  readonly from: Float64Array;
  readonly to: Float64Array;
  readonly numbers: number;
  readonly cases: readonly Float64Array[];
}

/** Members `from` to before `to` of all that was solved, or of these `cases` of it. */
export function blockOf({ responses, structure }: Solution, from: number, to: number, cases = responses): Block {
  const pieces = cases.map((one) => one.pieces);
  const first = new Int32Array(to - from + 1);
  const [starts, stops]: [number[], number[]] = [[], []];
  for (let m = from; m < to; m++) {
    const cuts = commonCuts(pieces, m, structure.lengths[m]!);
    starts.push(...cuts.from);
    stops.push(...cuts.to);
    first[m - from + 1] = starts.length;
  }
  const over = Float64Array.from(starts);
  const width = cases[0]!.pieceWidth;
  const numbers = width * starts.length;
  const own = cases.map((one) => {
    const all = new Float64Array(numbers + MEMBER_FREEDOMS * (to - from));
    for (let m = from; m < to; m++) addOver(one, 1, m, { from: over, first: first[m - from]!, end: first[m - from + 1]! }, all);
    all.set(one.ends.subarray(MEMBER_FREEDOMS * from, MEMBER_FREEDOMS * to), numbers);
    return all;
  });
  const lengths = structure.lengths.subarray(from, to);
  return { lengths, width, first, from: over, to: Float64Array.from(stops), numbers, cases: own };
}

/** With which factors all that was solved makes up a part of an envelope; a sum of the first order has none of what was solved behind the cases. */
export function weightsOf(solution: Solution, part: number): ArrayLike<number> {
  const alone = ({ at }: { readonly at: number }): ArrayLike<number> => solution.responses.map((_, c) => (c === at ? 1 : 0));
  return readOutcome<ArrayLike<number>>(solution.outcomes[part]!, {
    solved: alone,
    superposed: ({ factors }) =>
      factors.length === solution.responses.length ? factors : solution.responses.map((_, c) => factors[c] ?? 0),
    travelling: readFromParts,
    spectral: readFromParts,
    envelope: readFromParts,
    shape: alone,
  });
}

/** The diagrams of member m of a block in a sum of its cases. */
export function diagramIn(block: Block, sum: Float64Array, m: number): Diagram {
  const { first, from, to, width, numbers, lengths } = block;
  const [begin, end] = [first[m]!, first[m + 1]!];
  return {
    length: lengths[m]!,
    first: begin,
    end,
    from,
    to,
    coefficients: sum,
    width,
    ends: sum,
    endsAt: numbers + MEMBER_FREEDOMS * m,
  };
}
