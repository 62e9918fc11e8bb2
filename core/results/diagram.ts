import { MEMBER_FREEDOMS } from '../stiffness/structure';
import { commonCuts } from './breakpoints';
import type { LinearOutcome, Solution } from './results';
import { addOver, keptSum, partsOfSum } from './sums';

/** The diagrams of one member in one case or sum. */
export interface Diagram {
  /** Metres: the length between the offset ends. */
  readonly length: number;
  /** Where each piece begins and ends, metres from the member's start. */
  readonly from: Float64Array;
  readonly to: Float64Array;
  /** `width` numbers a piece; quantities lie there as `offsetOf` tells. */
  readonly coefficients: Float64Array;
  readonly width: number;
  /** 12, local: what the nodes exert on the member's ends. */
  readonly ends: Float64Array;
}

/**
 * The diagrams of member m in a case or a sum. Of a sum that nobody keeps only this member is added: reading one member in hundreds of
 * sums costs no more than that.
 */
export function diagramOf(solution: Solution, outcome: number, m: number): Diagram {
  const { kind } = solution.outcomes[outcome]!;
  const whole = kind === 'case' ? solution.cases[outcome] : keptSum(solution, outcome);
  return whole ? partOf(solution, whole, m) : addedDiagram(solution, outcome, m);
}

function partOf({ structure }: Solution, { pieces, coefficients, pieceWidth, ends }: LinearOutcome, m: number): Diagram {
  const [first, end] = [pieces.first[m]!, pieces.first[m + 1]!];
  return {
    length: structure.lengths[m]!,
    from: pieces.from.subarray(first, end),
    to: pieces.to.subarray(first, end),
    coefficients: coefficients.subarray(pieceWidth * first, pieceWidth * end),
    width: pieceWidth,
    ends: ends.subarray(MEMBER_FREEDOMS * m, MEMBER_FREEDOMS * (m + 1)),
  };
}

function addedDiagram(solution: Solution, outcome: number, m: number): Diagram {
  const parts = partsOfSum(solution, outcome);
  const length = solution.structure.lengths[m]!;
  const { from, to } = commonCuts(
    parts.map(({ part }) => part.pieces),
    m,
    length,
  );
  const width = parts[0]!.part.pieceWidth;
  const coefficients = new Float64Array(width * from.length);
  const ends = new Float64Array(MEMBER_FREEDOMS);
  for (const { part, factor } of parts) {
    addOver(part, factor, m, { from, first: 0, end: from.length }, coefficients, 0);
    for (let i = 0; i < MEMBER_FREEDOMS; i++) ends[i]! += factor * part.ends[MEMBER_FREEDOMS * m + i]!;
  }
  return { length, from, to, coefficients, width, ends };
}
