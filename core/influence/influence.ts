import { commonCuts } from '../results/breakpoints';
import type { System } from '../analysis/factorise';
import type { Notice } from '../model/notice';
import { addShifted } from '../results/polynomial';
import { degreeOf, isStored, offsetOf } from '../results/quantities';
import { BOWS_V, BOWS_W, FREEDOMS, type Structure } from '../stiffness/structure';
import { toLocal } from '../stiffness/compile-loads';
import { adjoints, type Adjoint } from './adjoint';
import type { Effect } from './effect';
import { carried } from './gap';
import { reversed, valueOfPiece, type InfluenceLine, type InfluencePiece } from '../results/travelling/line';
import type { MemberSpan, Path, Span } from '../results/travelling/path';

/** Influence lines are cubics, since nothing acts along the members where they are read. */
const DEGREE = 3;
/** Pieces shorter than this part of a member are none. */
const NOTHING = 1e-9;

export const isLines = (found: readonly InfluenceLine[] | readonly Notice[]): found is readonly InfluenceLine[] =>
  found.length === 0 || 'pieces' in found[0]!;

/** The influence lines of some effects for a load along a path; notices where there are none. */
export function influenceLines(
  system: System,
  effects: readonly Effect[],
  path: Path,
): readonly InfluenceLine[] | readonly Notice[] {
  const found = adjoints(system, effects, path);
  return isMoved(found) ? found.map((one) => lineOf(system.structure, one, path)) : found;
}

const isMoved = (found: readonly Adjoint[] | readonly Notice[]): found is readonly Adjoint[] =>
  found.length === 0 || 'response' in found[0]!;

function lineOf(s: Structure, adjoint: Adjoint, path: Path): InfluenceLine {
  const own = path.spans.map((span) => piecesOf(s, adjoint, path, span));
  // A stiff joint leads straight from what is before it to what comes behind.
  const pieces = own.flatMap((some, i) => {
    const { kind, from, to } = path.spans[i]!;
    if (kind !== 'joint') return some;
    return [linear(from, to, endOf(own[i - 1]!.at(-1)!), own[i + 1]![0]!.coefficients[0]!)];
  });
  return { length: path.length, pieces };
}

const endOf = (piece: InfluencePiece): number => valueOfPiece(piece, piece.to);

const linear = (from: number, to: number, start: number, end: number): InfluencePiece => ({
  from,
  to,
  coefficients: Float64Array.of(start, (end - start) / (to - from), 0, 0),
});

function piecesOf(s: Structure, adjoint: Adjoint, path: Path, span: Span): InfluencePiece[] {
  if (span.kind === 'joint') return [];
  if (span.kind === 'member') return memberPieces(s, adjoint, path, span);
  const { displacements } = adjoint.response;
  const [start, end] = span.nodes.map((node) =>
    path.direction.reduce((sum, part, k) => sum + adjoint.factor * part * displacements[FREEDOMS * node + k]!, 0),
  );
  return [linear(span.from, span.to, start!, end!)];
}

/** The movement of a member's axis along the load, as the load meets it. */
function memberPieces(
  s: Structure,
  adjoint: Adjoint,
  { direction }: Path,
  { member: m, way, from }: MemberSpan,
): InfluencePiece[] {
  const { response, gap, factor } = adjoint;
  const L = s.lengths[m]!;
  const along = toLocal(s, m, direction, 'global').map((part) => factor * part);
  const { pieces, coefficients, pieceWidth } = response;
  const isCut = gap?.member === m;
  const own = commonCuts([pieces], m, L);
  const cuts = [...own.from, ...(isCut && gap.at > NOTHING * L && gap.at < L * (1 - NOTHING) ? [gap.at] : [])].sort(
    (a, b) => a - b,
  );
  const known = isBowKnown(s, m);
  const found = cuts.map((start, i): InfluencePiece => {
    const end = cuts[i + 1] ?? L;
    const sum = new Float64Array(DEGREE + 1);
    // The last stored piece that begins at or before this one.
    const k = pieces.first[m]! + own.from.findLastIndex((x) => x <= start + NOTHING * L);
    (['u', 'v', 'w'] as const).forEach((quantity, axis) => {
      if (along[axis] === 0 || !isStored(pieceWidth, quantity)) return;
      const at = k * pieceWidth + offsetOf(quantity);
      const degree = Math.min(DEGREE, degreeOf(quantity));
      addShifted({ coefficients, at, degree }, start - pieces.from[k]!, along[axis]!, sum, 0);
      if (!isCut) return;
      const total = carried(gap.opening, L - gap.at)[axis]!;
      // A member whose bow is not known runs straight between its ends, of which the far one is carried by the opening.
      if (axis > 0 && !known[axis - 1]!) {
        sum[0]! -= (along[axis]! * total * start) / L;
        sum[1]! -= (along[axis]! * total) / L;
      }
      if (start < gap.at - NOTHING * L || gap.at >= L * (1 - NOTHING)) return;
      const [here, there] = [carried(gap.opening, start - gap.at)[axis]!, carried(gap.opening, start - gap.at + 1)[axis]!];
      sum[0]! += along[axis]! * here;
      sum[1]! += along[axis]! * (there - here);
    });
    return { from: start, to: end, coefficients: sum };
  });
  const asMet = way === 'along' ? found : reversed({ length: L, pieces: found }).pieces;
  return asMet.map((piece) => ({ ...piece, from: from + piece.from, to: from + piece.to }));
}

/** Whether the bow of a member across y, and across z, is known: without it, it is straight between its ends. */
const isBowKnown = ({ bows }: Structure, m: number): readonly [v: boolean, w: boolean] => [
  (bows[m]! & BOWS_V) !== 0,
  (bows[m]! & BOWS_W) !== 0,
];
