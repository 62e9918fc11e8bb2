import type { Quantity } from '@rigid-beam/core/results/quantities';
import type { BoundCurve } from '@rigid-beam/core/results/envelope-reading';
import { memberReader, type MemberReader } from '@rigid-beam/core/results/read-quantity';
import { isReady, readingOf } from '@rigid-beam/core/results/readings';
import { inSteps, type Steps } from '@rigid-beam/core/steps';
import type { Solution } from '@rigid-beam/core/results/results';
import { inkOf, isLineDrawn, type Outcome } from './diagram-items';
import { worldPath, type Item } from './display-list';
import { pointOn, type DrawnMember } from './geometry';
import { boundOf } from './samples';
import { isBars, type SheetQuantity, type View } from './view';

/** Of what members carry the colour themselves. */
export interface Coloured extends Outcome {
  readonly quantity: SheetQuantity;
}

/**
 * What members show by their colour in this view; undefined where they do not: in another style, before it is found, and of what is no
 * value along a member but the line that it takes, or its bar.
 */
export function colouredOf(solution: Solution | undefined, view: View): Coloured | undefined {
  const { style, quantity, outcome } = view;
  if (style !== 'colour' || quantity === 'none' || isBars(view)) return undefined;
  if (!solution?.outcomes[outcome] || !isReady(solution, outcome, quantity)) return undefined;
  const found = { solution, outcome, quantity };
  return isLineDrawn(found) ? undefined : found;
}

/** Parts of a member that have a colour each, and steps of ink from nothing to the largest value. */
const PARTS = 12;
const STEPS = 9;
/** Pixels. */
const WIDTH = 8;

/**
 * Of each of `parts` equal parts of member m the value of the largest size at its beginning, its middle and its end, with its sign; NaN where it is
 * not known.
 */
export function valuesAlong(solution: Solution, outcome: number, m: number, quantity: Quantity, parts: number): Float64Array {
  const length = solution.structure.lengths[m]!;
  const read = readingOf(solution, outcome)?.curves.get(quantity);
  const at = read ? boundsAt(read, m) : readAt(memberReader(solution, outcome, m), quantity);
  const along = Float64Array.from({ length: 2 * parts + 1 }, (_, i) => at((i / (2 * parts)) * length));
  return Float64Array.from({ length: parts }, (_, i) => larger(larger(along[2 * i + 1]!, along[2 * i]!), along[2 * i + 2]!));
}

const larger = (a: number, b: number): number => (Math.abs(a) >= Math.abs(b) ? a : b);

function readAt(reader: MemberReader, quantity: Quantity): (x: number) => number {
  return (x) => {
    const found = reader.at(quantity, x);
    return found ? larger(found.max, found.min) : NaN;
  };
}

/** Of an envelope that was read ahead the place that was read last before. */
function boundsAt(read: BoundCurve, m: number): (x: number) => number {
  const [high, low] = [boundOf(read, m, 1), boundOf(read, m, -1)];
  return (x) => {
    let k = 0;
    while (k + 1 < high.xs.length && high.xs[k + 1]! <= x) k++;
    return larger(high.values[k] ?? NaN, low.values[k] ?? NaN);
  };
}

/** The members themselves in the ink of the value, the stronger the larger it is; neighbours of one strength are one line. */
export function* colouredInSteps(
  { solution, outcome, quantity }: Coloured,
  members: readonly DrawnMember[],
  largest: number,
  view: View,
): Steps<Item[]> {
  // Bodies carry the colour themselves.
  if (view.solids) return [];
  return yield* inSteps(members, MEMBERS_AT_ONCE, (member): Item[] => {
    const values = valuesAlong(solution, outcome, member.index, quantity, PARTS);
    const found: Item[] = [];
    for (let i = 0; i < PARTS;) {
      const step = stepOf(values[i]!, largest);
      let end = i + 1;
      while (end < PARTS && stepOf(values[end]!, largest) === step) end++;
      if (step !== 0) {
        const points = [i, end].flatMap((k) => pointOn(member, (k / PARTS) * member.length));
        found.push(
          worldPath(points, {
            stroke: inkOf(quantity, step),
            width: WIDTH * view.weight,
            opacity: Math.abs(step) / STEPS,
            texts: 'rather beside',
          }),
        );
      }
      i = end;
    }
    return found;
  });
}

/** Members at a step. */
const MEMBERS_AT_ONCE = 200;

/** From −STEPS to STEPS; what is nothing, or not known, is 0. */
const stepOf = (value: number, largest: number): number =>
  Number.isNaN(value) || largest === 0 ? 0 : Math.round((STEPS * value) / largest);
