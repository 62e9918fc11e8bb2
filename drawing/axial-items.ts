import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import type { Model } from '@rigid-beam/core/model/model';
import { quantityExtremes } from '@rigid-beam/core/results/read-quantity';
import type { Solution } from '@rigid-beam/core/results/results';
import { inkOf } from './diagram-items';
import { largestOf, type Governing } from './diagram-scale';
import type { Ink, Label } from './display-list';
import { nearness, type DrawnMember } from './geometry';
import { saidOnce } from './runs';
import { SMALL } from './value-labels';
import { unitOfQuantity } from '@rigid-beam/core/results/quantities';
import { valueOnSheet } from './show-quantity-value';
import type { View } from './view';

/** How a member is drawn where its axial force is what matters. */
export interface Bar {
  readonly ink: Ink;
  /** Pixels. */
  readonly width: number;
  /** The largest force along it, with its sign, N. */
  readonly force: number;
}

/** Pixels of the thinnest and the thickest bar. */
const THIN = 1.4;
const THICK = 9;
/** Part of the largest force under which a member carries nothing to speak of. */
const NOTHING = 1e-3;
/** Each member as a bar: its width is the force beside the largest, its ink tells tension from compression. By index. */
export function barsOf(solution: Solution, outcome: number, members: readonly DrawnMember[], largest: number): Map<number, Bar> {
  return new Map(
    members.map(({ index }) => {
      const { max, min } = quantityExtremes(solution, outcome, index, 'N')!;
      const force = Math.abs(max.value) >= Math.abs(min.value) ? max.value : min.value;
      const part = largest > 0 ? Math.abs(force) / largest : 0;
      const isNothing = part < NOTHING;
      return [
        index,
        { ink: isNothing ? 'faint' : inkOf('N', force), width: isNothing ? THIN : THIN + (THICK - THIN) * part, force },
      ];
    }),
  );
}

/** The forces along their bars, with T or C; equal ones beside each other once, small ones when they are pointed at. */
export function barLabels(
  model: Model,
  bars: ReadonlyMap<number, Bar>,
  members: readonly DrawnMember[],
  governing: Governing,
  view: View,
): Label[] {
  const display = { ...defaultDisplay, ...model.display };
  const largest = largestOf(governing);
  const unit = unitOfQuantity('N', display);
  const extremes = new Set(
    [governing.max, governing.min].filter(({ value }) => Math.abs(value) >= SMALL * largest).map(({ member }) => member),
  );
  const near = nearness(model, view);
  const said = members.flatMap((member) => {
    const { force } = bars.get(member.index)!;
    const isPointed = view.pointed === member.id;
    if (Math.abs(force) < (isPointed ? NOTHING : SMALL) * largest) return [];
    const { start, end } = model.members[member.index]!;
    const text = valueOnSheet('N', force, largest, display);
    return [{ member, force, isPointed, nodes: [start, end], text, speaks: isPointed || extremes.has(member.index) }];
  });
  return saidOnce(said).map(({ member, force, isPointed, text }): Label => {
    const isExtreme = extremes.has(member.index);
    const { x1, y1, x2, y2 } = member;
    const bar = bars.get(member.index)!;
    return {
      kind: 'label',
      text: isExtreme ? `${text} ${unit}` : text,
      ...{ x: (x1 + x2) / 2, y: (y1 + y2) / 2, dx: 0, dy: bar.width / 2 + 2, away: [0, 1] },
      along: [x1, y1, x2, y2],
      clear: bar.width / 2 + 2.5,
      ink: bar.ink,
      role: isExtreme ? 'extreme' : 'value',
      rank: (isExtreme ? 1000 : isPointed ? 500 : 70) + (20 * Math.abs(force)) / largest + 30 * near(member.depth),
      subject: { kind: 'extreme', member: member.id, x: member.length / 2 },
    };
  });
}
