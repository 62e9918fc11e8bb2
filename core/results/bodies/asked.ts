import { cross, dot, minus, type Point } from '../../model/point';
import { memberCount, type Structure } from '../../stiffness/structure';
import { otherSide, sidesOf, type CutPlace } from './cut';
import { pointOf } from './vectors';

/**
 * Where a structure is cut: along a line of the drawing, which from where one looks is a plane from one of its ends to the other, or through
 * the middles of some members; and of which side the body is told.
 */
export type AskedCut = { readonly side: 'one' | 'other' } & (
  | { readonly kind: 'line'; readonly from: Point; readonly to: Point; readonly toward: Point }
  | { readonly kind: 'members'; readonly members: readonly string[] }
);

/** A cut this near to a joint, as a part of the member, is beside the joint. */
const BESIDE_JOINT = 1e-6;
/** Sine of the angle under which a member lies in the plane of a cut. */
const ALONG = 1e-6;

/** The places of a cut; none where nothing is met. */
export function placesOfCut(s: Structure, asked: AskedCut): CutPlace[] {
  const places = asked.kind === 'line' ? metBy(s, asked) : middles(s, asked.members);
  return asked.side === 'one' ? places : otherSide(places);
}

function middles(s: Structure, members: readonly string[]): CutPlace[] {
  const wanted = new Set(members);
  const cuts = s.names.members.flatMap((id, member) => (wanted.has(id) ? [{ member, x: s.lengths[member]! / 2 }] : []));
  return sidesOf(s, cuts);
}

/** Members that the plane meets between the ends of the line; the body lies to the left of it as one looks from its beginning. */
function metBy(s: Structure, { from, to, toward }: Extract<AskedCut, { kind: 'line' }>): CutPlace[] {
  const line = minus(to, from);
  const length2 = dot(line, line);
  const normal = cross(toward, line);
  const places: CutPlace[] = [];
  for (let member = 0; member < memberCount(s); member++) {
    const length = s.lengths[member]!;
    const [start, end] = [pointOf(s, member, 0), pointOf(s, member, length)];
    const [a, b] = [dot(minus(start, from), normal), dot(minus(end, from), normal)];
    if (a > 0 === b > 0 || Math.abs(b - a) <= ALONG * length * Math.sqrt(length2)) continue;
    const share = Math.min(Math.max(a / (a - b), BESIDE_JOINT), 1 - BESIDE_JOINT);
    const x = share * length;
    const along = dot(minus(pointOf(s, member, x), from), line) / length2;
    if (along >= 0 && along <= 1) places.push({ member, x, keeps: a > 0 ? 'start' : 'end' });
  }
  return places;
}
