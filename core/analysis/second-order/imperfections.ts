import { bowRatio, swayAngle, type SecondOrderSettings } from '../../model/analysis-settings';
import { swayOf } from '../../model/loads/notional';
import { diagramOfResponse } from '../../results/diagram';
import { valueIn } from '../../results/read';
import { meanAxialForce } from '../../results/slack';
import type { StructuralResponse } from '../../results/results';
import { BOWS_V, BOWS_W, isPlane, STIFFNESS_WIDTH, type Structure } from '../../stiffness/structure';
import { integral, OF_FORCE, OF_PUSH, OF_SLOPE, room, UPRIGHT, writeForce, writePush, writeSlope, type Lean } from './along';

/** How the structure leans before anything acts in one outcome: by which angle towards X and Z, and by which bow its members in compression. */
export interface Imperfections {
  readonly sway: readonly [x: number, z: number];
  readonly bow: number;
  readonly leanOf: (m: number) => Lean;
}

const NONE: Imperfections = { sway: [0, 0], bow: 0, leanOf: () => UPRIGHT };

/**
 * The imperfections that settings ask for, towards the most unfavourable side unless one is chosen: the structure leans as the first order moves its loads, a
 * member bows to the side to which it bends, in the plane in which it bends more easily.
 */
export function imperfectionsOf(
  settings: SecondOrderSettings | undefined,
  s: Structure,
  first: StructuralResponse,
): Imperfections {
  const { sway, bow } = settings ?? {};
  if (!sway && !bow) return NONE;
  const angle = sway ? swayAngle(sway) : 0;
  const way = !sway ? [0, 0] : sway.towards ? chosen(swayOf(sway.towards)) : worst(s, first);
  const leaning = [angle * way[0]!, angle * way[1]!] as const;
  const ratio = bow ? bowRatio(bow) : 0;
  const leans = Array.from(s.lengths, (_, m): Lean => {
    const swaying = swayOn(s, m, leaning);
    const bowed = ratio === 0 ? UPRIGHT : bowOn(s, m, first, ratio);
    return bowed === UPRIGHT ? swaying : plus(swaying, bowed);
  });
  return { sway: leaning, bow: ratio, leanOf: (m) => leans[m]! };
}

const chosen = ({ axis, sense }: { axis: 'x' | 'z'; sense: 1 | -1 }): readonly [number, number] =>
  axis === 'x' ? [sense, 0] : [0, sense];

/** Heights grow along Y: a structure that leans by φ towards a direction turns the axis of a member by φ times how steep it is. */
function swayOn({ axes: R }: Structure, m: number, [x, z]: readonly [number, number]): Lean {
  const r = 9 * m;
  const steep = R[r + 1]!;
  if (steep === 0) return UPRIGHT;
  return { v: [steep * (x * R[r + 3]! + z * R[r + 5]!), 0], w: [steep * (x * R[r + 6]! + z * R[r + 8]!), 0] };
}

/** The direction in which a lean of the whole does the most work on the displacements of the first order; X where it does none. */
function worst(s: Structure, first: StructuralResponse): readonly [number, number] {
  const work = [0, 0];
  const [force, slope, pushes] = [room(OF_FORCE), room(OF_SLOPE), room(OF_PUSH)];
  const planes = isPlane(s) ? (['v'] as const) : (['v', 'w'] as const);
  const { first: from, from: begins, to } = first.pieces;
  for (let m = 0; m < s.lengths.length; m++) {
    const [X, Z] = [swayOn(s, m, [1, 0]), swayOn(s, m, [0, 1])];
    if (X === UPRIGHT) continue;
    for (let piece = from[m]!; piece < from[m + 1]!; piece++) {
      const h = to[piece]! - begins[piece]!;
      const place = { piece, into: 0, h };
      writeForce(first, place, force);
      for (const deflection of planes) {
        writeSlope(first, deflection, place, UPRIGHT, slope);
        writePush(force, slope, pushes);
        const push = -h * integral(pushes);
        work[0]! += X[deflection][0]! * push;
        work[1]! += Z[deflection][0]! * push;
      }
    }
  }
  if (isPlane(s)) return [work[0]! < 0 ? -1 : 1, 0];
  const size = Math.hypot(work[0]!, work[1]!);
  return size === 0 ? [1, 0] : [work[0]! / size, work[1]! / size];
}

/** A parabola of height ratio·L between the ends of a member in compression. */
function bowOn(s: Structure, m: number, first: StructuralResponse, ratio: number): Lean {
  const bows = s.bows[m]!;
  if (meanAxialForce(first.ends, m) >= 0 || bows === 0) return UPRIGHT;
  const o = STIFFNESS_WIDTH * m;
  const isWeakAcross =
    !isPlane(s) && (bows & BOWS_W) !== 0 && (!(bows & BOWS_V) || s.stiffnesses[o + 3]! < s.stiffnesses[o + 2]!);
  const deflection = isWeakAcross ? 'w' : 'v';
  if (!(bows & (isWeakAcross ? BOWS_W : BOWS_V))) return UPRIGHT;
  const L = s.lengths[m]!;
  const diagram = diagramOfResponse({ structure: s }, first, m);
  const at = (x: number): number => valueIn(diagram, deflection, x);
  const side = at(L / 2) < (at(0) + at(L)) / 2 ? -1 : 1;
  return { ...UPRIGHT, [deflection]: [4 * side * ratio, (-8 * side * ratio) / L] };
}

const plus = (a: Lean, b: Lean): Lean => ({ v: added(a.v, b.v), w: added(a.w, b.w) });
const added = (a: readonly number[], b: readonly number[]): readonly number[] =>
  Array.from({ length: Math.max(a.length, b.length) }, (_, n) => (a[n] ?? 0) + (b[n] ?? 0));
