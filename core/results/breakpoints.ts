import { sameNumbers } from '../linear-algebra/same-numbers';
import { caseCount, LINE_WIDTH, memberCount, POINT_WIDTH, type Structure } from '../stiffness/structure';

/** The pieces of all members: piece k of member m runs from `from[k]` to `to[k]` (metres from the start), first[m] ≤ k < first[m+1]. */
export interface Pieces {
  readonly first: Int32Array;
  readonly from: Float64Array;
  readonly to: Float64Array;
}

/** Positions closer than this part of the length are one. */
export const COINCIDENT = 1e-9;

/**
 * By case: every member cut where a load of that case begins, ends or stands. Cases that cut nothing share their pieces; `former` ones
 * that are the same are taken over.
 */
export function piecesOfCases(s: Structure, former: readonly Pieces[] = []): Pieces[] {
  const cuts = cutsOfCases(s);
  let whole: Pieces | undefined;
  return Array.from({ length: caseCount(s) }, (_, c) => {
    const cut = cuts.get(c);
    const before = former[c];
    if (cut) {
      const made = cutMembers(s, cut);
      return before && samePieces(before, made) ? before : made;
    }
    return (whole ??= before && isWhole(before, s) ? before : wholeMembers(s));
  });
}

/** Every member in one piece. */
export function wholeMembers({ lengths }: Structure): Pieces {
  const first = new Int32Array(lengths.length + 1);
  for (let m = 0; m < first.length; m++) first[m] = m;
  return { first, from: new Float64Array(lengths.length), to: lengths.slice() };
}

/** By case that cuts members at all, and by member: where it is cut, beside its ends. */
function cutsOfCases(s: Structure): Map<number, Map<number, number[]>> {
  const { lineLoads, pointLoads, lengths } = s;
  const cuts = new Map<number, Map<number, number[]>>();
  const add = (c: number, m: number, x: number): void => {
    if (!(x > 0 && x < lengths[m]!)) return;
    let members = cuts.get(c);
    if (!members) cuts.set(c, (members = new Map()));
    const there = members.get(m);
    if (there) there.push(x);
    else members.set(m, [x]);
  };
  for (let m = 0; m < memberCount(s); m++) {
    for (let i = lineLoads.first[m]!; i < lineLoads.first[m + 1]!; i++) {
      const o = LINE_WIDTH * i;
      if (lineLoads.values[o] !== 0) add(lineLoads.cases[i]!, m, lineLoads.values[o]!);
      if (lineLoads.values[o + 1] !== lengths[m]) add(lineLoads.cases[i]!, m, lineLoads.values[o + 1]!);
    }
    for (let i = pointLoads.first[m]!; i < pointLoads.first[m + 1]!; i++)
      add(pointLoads.cases[i]!, m, pointLoads.values[POINT_WIDTH * i]!);
  }
  return cuts;
}

/** Cuts a member of length L at some places, in any order. */
function cutMember(places: readonly number[], L: number, from: number[], to: number[]): void {
  let last = 0;
  for (const x of [...places, L].sort((a, b) => a - b)) {
    if (x - last <= COINCIDENT * L || (x < L && L - x <= COINCIDENT * L)) continue;
    from.push(last);
    to.push(x);
    last = x;
  }
}

/** Members cut at the given places, metres from their starts in any order, and left whole where there are none. */
function cutMembers({ lengths }: Structure, cuts: ReadonlyMap<number, readonly number[]>): Pieces {
  const first = new Int32Array(lengths.length + 1);
  const from: number[] = [];
  const to: number[] = [];
  for (let m = 0; m < lengths.length; m++) {
    cutMember(cuts.get(m) ?? [], lengths[m]!, from, to);
    first[m + 1] = from.length;
  }
  return { first, from: Float64Array.from(from), to: Float64Array.from(to) };
}

/** Every member cut wherever one of several sets of pieces cuts it; that set itself where they are all the same. */
export function commonPieces(s: Structure, all: readonly Pieces[]): Pieces {
  const different = [...new Set(all)];
  const [one, ...others] = different;
  if (one && others.every((other) => samePieces(one, other))) return one;
  const cuts = new Map<number, number[]>();
  for (const { first, to } of different)
    for (let m = 0; m < memberCount(s); m++)
      for (let k = first[m]!; k + 1 < first[m + 1]!; k++) {
        const places = cuts.get(m);
        if (places) places.push(to[k]!);
        else cuts.set(m, [to[k]!]);
      }
  return cutMembers(s, cuts);
}

/** The same of one member, which is L long. */
export function commonCuts(all: readonly Pieces[], m: number, L: number): Pick<Pieces, 'from' | 'to'> {
  const places: number[] = [];
  let before: Pieces | undefined;
  for (const pieces of all) {
    if (pieces !== before) for (let k = pieces.first[m]!; k + 1 < pieces.first[m + 1]!; k++) places.push(pieces.to[k]!);
    before = pieces;
  }
  const from: number[] = [];
  const to: number[] = [];
  cutMember(places, L, from, to);
  return { from: Float64Array.from(from), to: Float64Array.from(to) };
}

export const samePieces = (a: Pieces, b: Pieces): boolean =>
  a === b || (sameNumbers(a.first, b.first) && sameNumbers(a.from, b.from) && sameNumbers(a.to, b.to));

/** Whether no member is cut, and all are as long as they are now. */
const isWhole = ({ from, to }: Pieces, { lengths }: Structure): boolean =>
  from.length === lengths.length && sameNumbers(to, lengths);
