import type { Load } from '@rigid-beam/core/model/model';
import { sizeOf } from '@rigid-beam/core/model/loads/intensities';
import type { ForceComponents, LineLoad, PrimitiveLoad } from '@rigid-beam/core/model/loads/primitive';
import { arrowLength } from './load-marks';

/** An axle on a deck, which is drawn where it stands and not as what it hands to the nodes. */
export interface AxleOnDeck extends ForceComponents {
  readonly type: 'axle';
  readonly case: string;
  readonly nodes: readonly [string, string];
  /** The part of the way from one node to the other that is behind it. */
  readonly part: number;
}

export type DrawnLoad = PrimitiveLoad | AxleOnDeck;

/** A load that acts: as one that was written, and what it stands for on one member. */
export interface ActingLoad {
  readonly load: DrawnLoad;
  readonly origin: Load;
  readonly factor: number;
}

/** Pixels between the back of one comb and the feet of the next. */
const BETWEEN = 7;

/** How large combs stand for their intensities: pixels of a part of the largest. */
export const COMB = 0.72;

interface Placed {
  readonly from: number;
  readonly to: number;
  readonly top: number;
}

/**
 * Line loads that act the same way on the same stretch stand one above the other, as they add up: by the load that was written, the
 * pixels between its member and its feet. `largest`: the intensity that takes the longest arrow.
 */
export function stackedLoads(acting: readonly ActingLoad[], largest: number): ReadonlyMap<string, number> {
  if (!isAnyShared(acting)) return NONE;
  const bases = new Map<string, number>();
  const placed = new Map<string, Placed[]>();
  for (const parts of byOrigin(acting).values()) {
    // A load along several members keeps its back straight: it stands as high as the fullest of them asks.
    const base = Math.max(
      0,
      ...parts.flatMap((part) => (placed.get(part.key) ?? []).filter(overlaps(part)).map(({ top }) => top)),
    );
    if (base > 0) bases.set(parts[0]!.origin, base);
    for (const { key, from, to, size } of parts) {
      const height = arrowLength(size / (largest || 1)) * COMB;
      const there = placed.get(key) ?? [];
      placed.set(key, [...there, { from, to, top: base + height + BETWEEN }]);
    }
  }
  return bases;
}

const NONE: ReadonlyMap<string, number> = new Map();

/** Whether two line loads act on one member: mostly none do, and nothing has to be found. */
function isAnyShared(acting: readonly ActingLoad[]): boolean {
  const members = new Set<string>();
  for (const { load } of acting) {
    if (load.type !== 'line') continue;
    if (members.has(load.member)) return true;
    members.add(load.member);
  }
  return false;
}

interface Part {
  readonly origin: string;
  /** The member, and the way in which it acts there. */
  readonly key: string;
  readonly from: number;
  readonly to: number;
  readonly size: number;
}

function byOrigin(acting: readonly ActingLoad[]): ReadonlyMap<string, Part[]> {
  const found = new Map<string, Part[]>();
  for (const { load, origin, factor } of acting) {
    if (load.type !== 'line') continue;
    const way = wayOf(load, factor);
    // What turns round on its way has no side of its own.
    if (way === undefined) continue;
    const part: Part = {
      origin: origin.id,
      key: `${load.member} ${way}`,
      from: load.from.at ?? 0,
      to: load.to.at ?? Infinity,
      size: Math.abs(factor) * Math.max(sizeOf(load.from), sizeOf(load.to)),
    };
    const all = found.get(origin.id);
    if (all) all.push(part);
    else found.set(origin.id, [part]);
  }
  return found;
}

const overlaps =
  ({ from, to }: Part) =>
  (other: Placed): boolean =>
    from < other.to && other.from < to;

/** The direction of a line load in words that are the same for loads that add up; undefined where it changes along the member. */
function wayOf({ axes, from, to }: LineLoad, factor: number): string | undefined {
  const ways = [from, to].flatMap((end) => {
    const size = sizeOf(end);
    return size === 0 ? [] : [(['wx', 'wy', 'wz'] as const).map((key) => Math.round((100 * Math.sign(factor) * (end[key] ?? 0)) / size) + 0)]; // oxfmt-ignore
  });
  const [first, second = first] = ways.map(String);
  return first === second ? `${axes === 'local' ? 'own' : 'global'} ${first}` : undefined;
}
