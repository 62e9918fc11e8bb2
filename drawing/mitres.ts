import { isRange } from '@rigid-beam/core/combinations/outcome';
import type { Member, Model } from '@rigid-beam/core/model/model';
import { diagramOf } from '@rigid-beam/core/results/diagram';
import { evaluate } from '@rigid-beam/core/results/polynomial';
import { pieceOf } from '@rigid-beam/core/results/read';
import { sideOf, standsOn, type DrawnQuantity, type Mitre } from './diagram-items';
import type { DrawnMember } from './geometry';

/** The sharpest kink round which a diagram is led, as the lean of its ordinate there: beyond it, ordinates stand square. */
const SHARPEST = Math.tan((22 * Math.PI) / 180);
/** Parts of a value by which two members' ends may differ and still be drawn as one. */
const SAME = 1e-6;

interface End {
  readonly member: DrawnMember;
  readonly end: 'start' | 'end';
}

/**
 * How ordinates lean where two members, and no third that bends there, meet in a kink with the same moment: both meet in the bisector. In space, and for
 * what jumps at a kink as forces do, nothing leans.
 */
export function mitresOf(model: Model, drawn: DrawnQuantity, members: readonly DrawnMember[]): ReadonlyMap<number, Mitre> {
  const leans = new Map<number, { start: number; end: number }>();
  if (model.space !== 'plane' || drawn.quantity !== 'Mz') return leans;
  const ends = new Map<string, End[]>();
  for (const member of members) {
    const own = model.members[member.index]!;
    const { start, end } = own;
    for (const [node, which] of [
      [start, 'start'],
      [end, 'end'],
    ] as const) {
      // An end that is freed carries no moment: what goes past it is as if it were not there.
      if (isFreed(own, which)) continue;
      const known = ends.get(node);
      if (known) known.push({ member, end: which });
      else ends.set(node, [{ member, end: which }]);
    }
  }
  for (const [a, b, ...more] of ends.values()) {
    if (!a || !b || more.length > 0 || a.member === b.member) continue;
    const own = model.members[a.member.index]!;
    const other = model.members[b.member.index]!;
    if (own.offset || other.offset) continue;
    const met = meeting(a, b, drawn);
    if (!met) continue;
    for (const [one, lean] of [
      [a, met[0]],
      [b, met[1]],
    ] as const) {
      const known = leans.get(one.member.index) ?? { start: 0, end: 0 };
      known[one.end] = lean;
      leans.set(one.member.index, known);
    }
  }
  return leans;
}

const isFreed = ({ behaviour, releases }: Member, end: 'start' | 'end'): boolean =>
  (behaviour ?? 'frame') !== 'frame' || (releases?.[end]?.mz ?? 'fixed') !== 'fixed';

/** The leans of two ends, along the members away from the node, for an ordinate of 1 on each one's own normal. */
function meeting(a: End, b: End, drawn: DrawnQuantity): readonly [number, number] | undefined {
  if (!isOne(a, b, drawn)) return undefined;
  const [da, db] = [inwards(a), inwards(b)];
  const [na, nb] = [standsOn(a.member, drawn.quantity), standsOn(b.member, drawn.quantity)];
  // On the same face: a moment that goes on turns its sign where the two members run towards each other.
  const sense = a.end === b.end ? -1 : 1;
  const [tx, ty] = [na[0] - sense * nb[0], na[1] - sense * nb[1]];
  const [ex, ey] = [db[0] - da[0], db[1] - da[1]];
  const length = ex * ex + ey * ey;
  if (length < 1e-12) return undefined;
  const lean = (tx * ex + ty * ey) / length;
  if (Math.abs(lean) > SHARPEST || Math.hypot(tx - lean * ex, ty - lean * ey) > 1e-6) return undefined;
  return [lean, sense * lean];
}

/** Whether the moment is the same on both sides; of an envelope no node's couples are known, and it counts as such. */
function isOne(a: End, b: End, drawn: DrawnQuantity): boolean {
  if (isRange(drawn.solution.outcomes[drawn.outcome]!)) return true;
  const [va, vb] = [Math.abs(valueAt(a, drawn)), Math.abs(valueAt(b, drawn))];
  return Math.abs(va - vb) <= SAME * Math.max(va, vb);
}

const inwards = ({ member, end }: End): readonly [number, number] =>
  end === 'start' ? member.ex : [-member.ex[0], -member.ex[1]];

function valueAt({ member, end }: End, { solution, outcome }: DrawnQuantity): number {
  const diagram = diagramOf(solution, outcome, member.index);
  const k = end === 'start' ? diagram.first : diagram.end - 1;
  const piece = pieceOf(diagram, k, 'Mz');
  return sideOf('Mz') * evaluate(piece, 0, piece.length - 1, end === 'start' ? 0 : diagram.to[k]! - diagram.from[k]!);
}
