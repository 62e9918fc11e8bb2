import { LuDecomposition, Matrix, pseudoInverse } from 'ml-matrix';
import { CHANGES_LENGTH, FREEDOMS, STIFFNESS_WIDTH, STRAIN_WIDTH, type Structure } from '../stiffness/structure';
import type { Dense } from './matrix';
import type { Acting } from './acting';

/** A freedom of a node (its place among all 6n) times a factor. */
export type Share = readonly [freedom: number, factor: number];

/** The lengthening of a member by the movements of its nodes, which is imposed on it: nothing, or what temperature and lack of fit ask for, metres. */
export interface LengthKept {
  readonly member: number;
  readonly shares: readonly Share[];
  readonly imposed: number;
}

/** What members that keep their lengths leave free: others follow. */
export interface Following {
  readonly lengths: readonly LengthKept[];
  /** By freedom that follows: what it follows, and by how much it moves besides, metres or radians. */
  readonly follows: ReadonlyMap<number, { readonly shares: readonly Share[]; readonly besides: number }>;
  /** Freedoms that follow, one for each length that tells something, and those lengths by their places. */
  readonly pivots: readonly number[];
  readonly telling: readonly number[];
}

/** Stiffness of the joints along member m at its start and its end, N/m: 0 where an end slides, Infinity where it is fixed. */
const alongAt = ({ releases }: Structure, m: number): readonly [number, number] => [
  releases[2 * FREEDOMS * m]!,
  releases[2 * FREEDOMS * m + FREEDOMS]!,
];

/** Whether member m holds its nodes at its length: one that keeps its length does not where an end slides or is sprung along it. */
export const holdsLength = (s: Structure, m: number): boolean =>
  s.keepsLength[m] !== CHANGES_LENGTH && alongAt(s, m).every((spring) => spring === Infinity);

/** How a member that keeps its length is held between joints along it. */
export interface BetweenJoints {
  /** Of both joints one behind the other, N/m: what the member resists along its axis. */
  readonly stiffness: number;
  /** The part of what acts along it that its start takes; its end takes the rest. */
  readonly atStart: number;
}

/** Undefined of a member that changes its length, or holds it. */
export function betweenJoints(s: Structure, m: number): BetweenJoints | undefined {
  if (s.keepsLength[m] === CHANGES_LENGTH || holdsLength(s, m)) return undefined;
  const [start, end] = alongAt(s, m);
  const stiffness = start === 0 || end === 0 ? 0 : 1 / (1 / start + 1 / end);
  return { stiffness, atStart: end === Infinity ? 0 : start === Infinity ? 1 : start / (start + end) };
}

const NOTHING = 1e-10;

/** What is imposed on the length of member m, metres. */
function imposedOn({ strains, lengths }: Structure, m: number, acting: Acting): number {
  let sum = 0;
  for (let i = strains.first[m]!; i < strains.first[m + 1]!; i++)
    for (const [at, factor] of acting)
      if (strains.cases[i] === at) sum += factor * lengths[m]! * strains.values[STRAIN_WIDTH * i]!;
  return sum;
}

/**
 * Which freedoms follow which where members keep their lengths: their lengthenings by the movements of nodes (`lengthening`, by freedom) are
 * solved one after the other for a freedom each, the last one that it can be, so that what is numbered first stays; for a sprung one only where
 * no other is left. Held freedoms follow nothing.
 */
export function followingOf(
  s: Structure,
  acting: Acting,
  lengthening: (member: number) => readonly Share[],
  isFree: (freedom: number) => boolean,
): Following {
  const kept = [...s.keepsLength.keys()].filter((m) => holdsLength(s, m));
  const lengths = kept.map((member): LengthKept => ({
    member,
    shares: lengthening(member).filter(([, factor]) => Math.abs(factor) > NOTHING),
    imposed: imposedOn(s, member, acting),
  }));
  const rows: { pivot: number; shares: Map<number, number>; imposed: number }[] = [];
  const telling: number[] = [];
  for (const [at, { shares: own, imposed: asked }] of lengths.entries()) {
    const shares = new Map(own);
    let imposed = asked;
    const less = (factor: number, row: (typeof rows)[number]): void => {
      for (const [f, share] of row.shares) shares.set(f, (shares.get(f) ?? 0) - factor * share);
      imposed -= factor * row.imposed;
    };
    for (const row of rows) less(shares.get(row.pivot) ?? 0, row);
    const open = [...shares].filter(([f, share]) => isFree(f) && Math.abs(share) > NOTHING);
    if (open.length === 0) continue;
    const most = Math.max(...open.map(([, share]) => Math.abs(share)));
    const telltale = open.filter(([, share]) => Math.abs(share) > 1e-3 * most);
    const unsprung = telltale.filter(([f]) => s.restraints[f] === 0);
    const candidates = unsprung.length > 0 ? unsprung : telltale;
    const largest = Math.max(...candidates.map(([, share]) => Math.abs(share)));
    const pivot = Math.max(...candidates.flatMap(([f, share]) => (Math.abs(share) > 0.999 * largest ? [f] : [])));
    const by = shares.get(pivot)!;
    const row = {
      pivot,
      shares: new Map([...shares].map(([f, share]) => [f, f === pivot ? 1 : share / by])),
      imposed: imposed / by,
    };
    for (const other of rows) {
      const factor = other.shares.get(pivot) ?? 0;
      if (factor === 0) continue;
      for (const [f, share] of row.shares) other.shares.set(f, (other.shares.get(f) ?? 0) - factor * share);
      other.imposed -= factor * row.imposed;
    }
    rows.push(row);
    telling.push(at);
  }
  const follows = new Map(
    rows.map(({ pivot, shares, imposed }) => [
      pivot,
      {
        shares: [...shares].flatMap(([f, share]): Share[] => (f === pivot || Math.abs(share) < NOTHING ? [] : [[f, -share]])),
        besides: imposed,
      },
    ]),
  );
  return { lengths, follows, pivots: rows.map(({ pivot }) => pivot), telling };
}

/**
 * The axial forces that keep the lengths, N, tension positive, by the balance of the freedoms that follow: `left` is what the nodes lack of it
 * (6n). Where members hold each other lengthwise they share by their areas.
 */
export function forcesOfLengths(
  s: Structure,
  following: Following,
  left: Float64Array,
  isFree: (freedom: number) => boolean,
): readonly number[] {
  const { lengths, pivots, telling } = following;
  if (lengths.length === 0) return [];
  if (telling.length === lengths.length && lengths.every((_, i) => telling.includes(i))) {
    const A = pivots.map((f) => lengths.map(({ shares }) => shares.find(([other]) => other === f)?.[1] ?? 0));
    return new LuDecomposition(new Matrix(A)).solve(Matrix.columnVector(pivots.map((f) => left[f]!))).to1DArray();
  }
  const freedoms = [...new Set(lengths.flatMap(({ shares }) => shares.flatMap(([f]) => (isFree(f) ? [f] : []))))];
  const weights = lengths.map(({ member }) => Math.sqrt(s.stiffnesses[STIFFNESS_WIDTH * member]! / s.lengths[member]!));
  const most = Math.max(...weights);
  if (freedoms.length === 0) return lengths.map(() => 0);
  const G: Dense = freedoms.map((f) =>
    lengths.map(({ shares }, i) => ((shares.find(([other]) => other === f)?.[1] ?? 0) * weights[i]!) / most),
  );
  const found = pseudoInverse(new Matrix(G as number[][])).mmul(Matrix.columnVector(freedoms.map((f) => left[f]!)));
  return lengths.map((_, i) => (found.get(i, 0) * weights[i]!) / most);
}
