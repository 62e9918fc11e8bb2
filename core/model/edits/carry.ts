import { memberAxes } from '../local-axes';
import type { MemberLoad, NodeLoad } from '../loads/primitive';
import { memberEnds, translations, type Member, type Model, type Support } from '../model';
import { turnOf } from '../support-axes';
import { endsOf, type NodePlaces } from '../places';
import { dot, minus, rounded, type Point } from '../point';
import type { Carried } from './motion';

/** Local axes of a member between its offset ends, as rows. */
export interface Axes {
  readonly x: Point;
  readonly y: Point;
  readonly z: Point;
}

export function axesOf(member: Member, places: NodePlaces, space: Model['space']): Axes {
  const [from, to] = endsOf(member, places);
  const [dx, dy, dz] = minus(to, from);
  return rowsOf(memberAxes(dx, dy, dz, space === 'plane' ? 0 : (member.roll ?? 0)));
}

const rowsOf = (a: Float64Array): Axes => ({
  x: [a[0]!, a[1]!, a[2]!],
  y: [a[3]!, a[4]!, a[5]!],
  z: [a[6]!, a[7]!, a[8]!],
});

/**
 * The member with its section and arms carried along. `before`: its axes where it was; its nodes must stand where they go by then,
 * as in `places`. In space the roll is the one that keeps y where the motion brings it, since local axes follow the global Y.
 */
export function carriedMember(member: Member, before: Axes, places: NodePlaces, space: Model['space'], motion: Carried): Member {
  const offset = member.offset && {
    offset: Object.fromEntries(
      memberEnds.flatMap((end) => {
        const arm = member.offset?.[end];
        return arm ? [[end, motion.direction(arm as Point).map(rounded)]] : [];
      }),
    ),
  };
  const carried: Member = { ...member, ...offset };
  if (space === 'plane') return carried;
  const upright = axesOf({ ...carried, roll: 0 }, places, space);
  const y = motion.direction(before.y);
  const roll = rounded((Math.atan2(dot(y, upright.z), dot(y, upright.y)) * 180) / Math.PI);
  const { roll: _, ...rest } = carried;
  return roll === 0 ? rest : { ...rest, roll };
}

type Keys = readonly [string, string, string];
const FORCES: Keys = ['fx', 'fy', 'fz'];
const COUPLES: Keys = ['mx', 'my', 'mz'];
const INTENSITIES: Keys = ['wx', 'wy', 'wz'];

/** Entries with the three parts of a vector replaced; parts that are and were nothing stay unwritten. */
function withVector<T extends object>(entry: T, keys: Keys, change: (v: Point) => Point): T {
  const values = entry as Record<string, number | undefined>;
  if (keys.every((key) => values[key] === undefined)) return entry;
  const after = change(keys.map((key) => values[key] ?? 0) as unknown as Point);
  const largest = Math.max(...after.map(Math.abs));
  const clean = after.map((part) => (Math.abs(part) < 1e-12 * largest ? 0 : part));
  const parts = keys.map((key, i) => [key, clean[i]!] as const).filter(([key, part]) => part !== 0 || values[key] !== undefined);
  return { ...entry, ...Object.fromEntries(parts) };
}

/** A load on a node: a mirror turns it round, any other motion leaves its global direction as it is (weight stays weight). */
export function carriedNodeLoad(load: NodeLoad, motion: Carried): NodeLoad {
  if (motion.hand === 1) return load;
  const mirrored = withVector(load, FORCES, motion.direction);
  return withVector(mirrored, COUPLES, (v) => motion.direction(v).map((part) => -part) as unknown as Point);
}

/** A load on a member: local ones go with the member, global ones as on a node. `from` and `to`: the member's axes before and after. */
export function carriedMemberLoad<L extends MemberLoad>(load: L, from: Axes, to: Axes, motion: Carried): L {
  const global = (a: Axes, v: Point): Point => [0, 1, 2].map((k) => a.x[k]! * v[0] + a.y[k]! * v[1] + a.z[k]! * v[2]) as never;
  const local = (a: Axes, v: Point): Point => [dot(a.x, v), dot(a.y, v), dot(a.z, v)];
  const along = (v: Point): Point => local(to, motion.direction(global(from, v)));
  const about = (v: Point): Point => along(v).map((part) => part * motion.hand) as unknown as Point;
  const face = (before: Point, after: Point): 1 | -1 => (dot(motion.direction(before), after) < 0 ? -1 : 1);
  switch (load.type) {
    case 'point': {
      if (load.axes === 'local') return withVector(withVector(load, FORCES, along), COUPLES, about);
      return carriedNodeLoad(load as unknown as NodeLoad, motion) as unknown as L;
    }
    case 'line': {
      if (load.axes !== 'local' && motion.hand === 1) return load;
      const way = load.axes === 'local' ? along : motion.direction;
      return { ...load, from: withVector(load.from, INTENSITIES, way), to: withVector(load.to, INTENSITIES, way) };
    }
    case 'thermal':
      return {
        ...load,
        ...(load.gradientY && { gradientY: load.gradientY * face(from.y, to.y) }),
        ...(load.gradientZ && { gradientZ: load.gradientZ * face(from.z, to.z) }),
      };
    default:
      return load;
  }
}

/** A turned support turns further; one along the global axes stays along them. What it pushes one way it pushes as its image does. */
export function carriedSupport(support: Support, motion: Carried): Support {
  const turned = turnedSupport(support, motion);
  if (!support.oneWay) return turned;
  const [before, after] = [turnOf(support) ?? UNTURNED, turnOf(turned) ?? UNTURNED];
  const oneWay = { ...support.oneWay };
  translations.forEach((along, k) => {
    const way = oneWay[along];
    if (!way) return;
    const image = motion.direction([before[3 * k]!, before[3 * k + 1]!, before[3 * k + 2]!]);
    const isTurned = image.reduce((sum, part, i) => sum + part * after[3 * k + i]!, 0) < 0;
    if (isTurned) oneWay[along] = way === 'positive' ? 'negative' : 'positive';
  });
  return { ...turned, oneWay };
}

const UNTURNED = Float64Array.of(1, 0, 0, 0, 1, 0, 0, 0, 1);

function turnedSupport(support: Support, motion: Carried): Support {
  if (support.angle !== undefined) {
    const turn = (support.angle * Math.PI) / 180;
    const [x, y] = motion.direction([Math.cos(turn), Math.sin(turn), 0]);
    const angle = rounded((Math.atan2(y, x) * 180) / Math.PI);
    return { ...support, angle };
  }
  if (!support.axes) return support;
  const axis = (along: readonly number[]): number[] => motion.direction(along as Point).map(rounded);
  return { ...support, axes: { x: axis(support.axes.x), y: axis(support.axes.y) } };
}
