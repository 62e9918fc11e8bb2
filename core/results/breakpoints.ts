import { LINE_WIDTH, memberCount, POINT_WIDTH, type MemberLoadTable, type Structure } from '../stiffness/structure';

/** The pieces of all members: piece k of member m runs from `from[k]` to `to[k]` (metres from the start), first[m] ≤ k < first[m+1]. */
export interface Pieces {
  readonly first: Int32Array;
  readonly from: Float64Array;
  readonly to: Float64Array;
}

/** Positions closer than this part of the length are one. */
export const COINCIDENT = 1e-9;

/** Cuts every member where any load of any case begins, ends or stands, so that all cases share the pieces and can be added. */
export function pieces(s: Structure): Pieces {
  const members = memberCount(s);
  const { lineLoads, pointLoads, lengths } = s;
  const first = new Int32Array(members + 1);
  const from: number[] = [];
  const to: number[] = [];
  for (let m = 0; m < members; m++) {
    const L = lengths[m]!;
    if (!isCut(lineLoads, pointLoads, L, m)) {
      from.push(0);
      to.push(L);
      first[m + 1] = from.length;
      continue;
    }
    const cuts = [0, L];
    for (let i = lineLoads.first[m]!; i < lineLoads.first[m + 1]!; i++)
      cuts.push(lineLoads.values[LINE_WIDTH * i]!, lineLoads.values[LINE_WIDTH * i + 1]!);
    for (let i = pointLoads.first[m]!; i < pointLoads.first[m + 1]!; i++) cuts.push(pointLoads.values[POINT_WIDTH * i]!);
    cuts.sort((a, b) => a - b);
    let last = 0;
    for (const cut of cuts) {
      if (cut - last <= COINCIDENT * L || (cut < L && L - cut <= COINCIDENT * L)) continue;
      from.push(last);
      to.push(cut);
      last = cut;
    }
    first[m + 1] = from.length;
  }
  return { first, from: Float64Array.from(from), to: Float64Array.from(to) };
}

/** Whether a load begins, ends or stands anywhere but at the ends of member m, which is L long. */
function isCut(lineLoads: MemberLoadTable, pointLoads: MemberLoadTable, L: number, m: number): boolean {
  if (pointLoads.first[m]! < pointLoads.first[m + 1]!) return true;
  const { first, values } = lineLoads;
  for (let i = first[m]!; i < first[m + 1]!; i++)
    if (values[LINE_WIDTH * i] !== 0 || values[LINE_WIDTH * i + 1] !== L) return true;
  return false;
}
