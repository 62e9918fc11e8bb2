import { MEMBER_FREEDOMS } from '../stiffness/structure';
import { commonCuts } from './breakpoints';
import type { StructuralResponse, Solution } from './results';
import { addOver, keptSum, partsOfSum, readFromParts, type Weighted } from './sums';

/** The diagrams of one member in one case or sum, as a window into lists that many members share: nothing is copied to be read. */
export interface Diagram {
  /** Metres: the length between the offset ends. */
  readonly length: number;
  /** Its pieces are those from `first` to before `end`. */
  readonly first: number;
  readonly end: number;
  /** By piece: where it begins and ends, metres from the member's start. */
  readonly from: Float64Array;
  readonly to: Float64Array;
  /** By piece `width` numbers; quantities lie there as `offsetOf` tells. */
  readonly coefficients: Float64Array;
  readonly width: number;
  /** Local: what the nodes exert on the member's ends, 12 numbers from `endsAt` on. */
  readonly ends: Float64Array;
  readonly endsAt: number;
}

/**
 * The diagrams of member m in a case or a sum. Of a sum that nobody keeps only this member is added: reading one member in hundreds of
 * sums costs no more than that.
 */
export function diagramOf(solution: Solution, outcome: number, m: number): Diagram {
  const one = solution.outcomes[outcome]!;
  switch (one.kind) {
    case 'solved':
    case 'shape':
      return diagramOfResponse(solution, solution.responses[one.at]!, m);
    case 'superposed': {
      const whole = keptSum(solution, outcome);
      return whole ? diagramOfResponse(solution, whole, m) : diagramOfSum(solution, one.factors, m);
    }
    case 'travelling':
    case 'spectral':
    case 'envelope':
      return readFromParts(one);
  }
}

/** The diagrams of member m in what was solved. */
export const diagramOfResponse = (
  { structure }: Pick<Solution, 'structure'>,
  { pieces, coefficients, pieceWidth, ends }: StructuralResponse,
  m: number,
): Diagram => ({
  length: structure.lengths[m]!,
  first: pieces.first[m]!,
  end: pieces.first[m + 1]!,
  from: pieces.from,
  to: pieces.to,
  coefficients,
  width: pieceWidth,
  ends,
  endsAt: MEMBER_FREEDOMS * m,
});

/** The same in a weighted sum of it. */
export function diagramOfSum(solution: Solution, factors: Float64Array, m: number): Diagram {
  const parts = partsOfSum(solution, factors);
  const cuts = commonCuts(
    parts.map(({ part }) => part.pieces),
    m,
    solution.structure.lengths[m]!,
  );
  return diagramOver(solution, parts, m, { ...cuts, width: parts[0]!.part.pieceWidth });
}

/** A weighted sum, which may be of nothing, over pieces of member m that are as short as those of its parts or shorter. */
export function diagramOver(
  { structure }: Pick<Solution, 'structure'>,
  parts: readonly Weighted[],
  m: number,
  { from, to, width }: Pick<Diagram, 'from' | 'to' | 'width'>,
): Diagram {
  const length = structure.lengths[m]!;
  const coefficients = new Float64Array(width * from.length);
  const ends = new Float64Array(MEMBER_FREEDOMS);
  for (const { part, factor } of parts) {
    addOver(part, factor, m, { from, first: 0, end: from.length }, coefficients);
    for (let i = 0; i < MEMBER_FREEDOMS; i++) ends[i]! += factor * part.ends[MEMBER_FREEDOMS * m + i]!;
  }
  return { length, first: 0, end: from.length, from, to, coefficients, width, ends, endsAt: 0 };
}
