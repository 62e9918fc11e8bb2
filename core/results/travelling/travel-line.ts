import { UNIT_PLACES } from '../../model/loads/travelling';
import { addShifted } from '../polynomial';
import { valueOfPiece, type InfluenceLine, type InfluencePiece } from './line';
import { fitted, type Travel } from './travel';

/** What a force on a member itself brings about at places of it behind the force, beside what it does before it: Σ c[k]·(x − a)^k. */
export interface OwnMember {
  readonly member: number;
  /** Metres from the member's start at which it is read. */
  readonly x: number;
  readonly length: number;
  readonly behind: Float64Array;
}

/** Places closer than this part of a member are one, as where pieces of diagrams meet. */
const SAME = 1e-9;

/**
 * What 1 N brings about by where on the path it stands, of what it brings about at four places of each member. `read`: of a response; `own`: where it is read on a
 * member of the path, on which a force at x makes it jump or kink.
 */
export function travelLine({ path, units }: Travel, read: (response: number) => number, own?: OwnMember): InfluenceLine {
  const pieces: InfluencePiece[] = [];
  path.spans.forEach((span, i) => {
    if (span.kind === 'joint') return;
    const { from, to } = span;
    const values = units[i]!.map(read);
    if (span.kind === 'nodes') {
      // A deck hands what stands on it to both of its nodes.
      pieces.push({ from, to, coefficients: Float64Array.of(values[0]!, (values[1]! - values[0]!) / (to - from), 0, 0) });
      return;
    }
    const { way, member } = span;
    if (own?.member !== member) {
      pieces.push({ from, to, coefficients: fitted(values, way, to - from) });
      return;
    }
    const { x, length, behind } = own;
    const degree = behind.length - 1;
    // Without what it does behind itself, the value is a cubic of where the force stands.
    const smooth = values.map((value, k) => {
      const a = UNIT_PLACES[k]! * length;
      if (a > x + SAME * length) return value;
      return value - behind.reduceRight((sum, c) => sum * (x - a) + c, 0);
    });
    const before = fitted(smooth, way, length);
    const after = new Float64Array(4);
    const cut = way === 'along' ? x : length - x;
    if (way === 'along') {
      // The force stands before x on this part of the path: (x − s)^k.
      addShifted({ coefficients: behind, at: 0, degree }, x, 1, after, 0);
      for (let k = 1; k < 4; k += 2) after[k] = -after[k]!;
      for (let k = 0; k < 4; k++) after[k]! += before[k]!;
    } else {
      addShifted({ coefficients: before, at: 0, degree: 3 }, cut, 1, after, 0);
      for (let k = 0; k <= degree; k++) after[k]! += behind[k]!;
    }
    const ahead = new Float64Array(4);
    if (way === 'along') addShifted({ coefficients: before, at: 0, degree: 3 }, cut, 1, ahead, 0);
    const parts = way === 'along' ? [after, ahead] : [before, after];
    if (cut > SAME * length) pieces.push({ from, to: from + cut, coefficients: parts[0]! });
    if (cut < length * (1 - SAME)) pieces.push({ from: from + cut, to, coefficients: parts[1]! });
  });
  return { length: path.length, pieces: joined(pieces, path) };
}

/** With straight lines over stiff joints, from what is before them to what comes behind. */
function joined(pieces: readonly InfluencePiece[], { spans }: Travel['path']): readonly InfluencePiece[] {
  if (!spans.some(({ kind }) => kind === 'joint')) return pieces;
  return pieces.flatMap((piece, i) => {
    const next = pieces[i + 1];
    const gap = next ? next.from - piece.to : 0;
    if (!next || !(gap > 0)) return [piece];
    const [start, end] = [valueOfPiece(piece, piece.to), next.coefficients[0]!];
    return [piece, { from: piece.to, to: next.from, coefficients: Float64Array.of(start, (end - start) / gap, 0, 0) }];
  });
}
