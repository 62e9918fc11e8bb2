import type { CurvePoint, Range } from './curve-points';
import { sumsOf } from './derived/derived';
import type { Diagram } from './diagram';
import type { Extremes } from './extreme';
import { evaluate } from './polynomial';
import { degreeOf, isLine, isStored, offsetOf, quantityTable, type LineQuantity, type Quantity } from './quantities';
import { ofMembers } from './of-member';
import { AT_ENDS, pieceAt } from './read';
import type { Solution } from './results';
import { mostOver, type Looked } from './most-over';

/** A sum of stored quantities, by their factors. */
export type Measure = readonly (readonly [LineQuantity, number])[];

/** What a member has at each place: the greatest and the least value, which follow from no one state of it. */
export interface PlaceReader {
  /** Undefined of what is derived from several forces and is no sum of them, since these are not greatest together. */
  readonly at: (quantity: Quantity, x: number) => Range | undefined;
  readonly curve: (quantity: Quantity) => readonly CurvePoint[] | undefined;
  readonly extremes: (quantity: Quantity) => Extremes | undefined;
  /** What an end feels, as the diagram has it there: a load right at it acts between it and the first place. */
  readonly atEnd: (quantity: LineQuantity, side: 'start' | 'end') => Range;
}

/** How a range is told on the pieces of a member. */
export interface PiecewiseRange {
  readonly solution: Solution;
  /** Its place among the outcomes, by which extremes name it. */
  readonly outcome: number;
  readonly m: number;
  /** Tells the pieces. */
  readonly pieces: Diagram;
  /** At x of piece k: at its ends too, where others may follow. */
  readonly rangeOn: (measure: Measure, k: number, x: number) => Range;
  readonly atEnd: (measure: Measure, side: 'start' | 'end') => Range;
  /** Steps in which piece k is drawn, and in which its extremes are sought. */
  readonly steps: (
    quantity: Quantity,
    measures: readonly Measure[],
    k: number,
  ) => { readonly drawn: number; readonly sought: number };
}

export function piecewiseReader({ solution, outcome, m, pieces, rangeOn, atEnd, steps }: PiecewiseRange): PlaceReader {
  const found = new Map<Quantity, readonly Measure[] | undefined>();
  const measuresOf = (quantity: Quantity): readonly Measure[] | undefined => {
    if (!found.has(quantity))
      found.set(
        quantity,
        isLine(quantity) ? [[[quantity, 1]]] : sumsOf(quantityTable[quantity].derived!, ofMembers(solution)[m]!),
      );
    return found.get(quantity);
  };
  const over = (measures: readonly Measure[], read: (measure: Measure) => Range): Range => {
    let [max, min] = [-Infinity, Infinity];
    for (const measure of measures) {
      const one = read(measure);
      max = Math.max(max, one.max);
      min = Math.min(min, one.min);
    }
    return { max, min };
  };
  const onPiece = (measures: readonly Measure[], k: number, x: number): Range =>
    over(measures, (measure) => rangeOn(measure, k, x));
  const ends = (measures: readonly Measure[]) => ({
    start: over(measures, (measure) => atEnd(measure, 'start')),
    end: over(measures, (measure) => atEnd(measure, 'end')),
  });
  return {
    at: (quantity, x) => {
      const measures = measuresOf(quantity);
      return measures && onPiece(measures, pieceAt(pieces, x), x);
    },
    atEnd: (quantity, side) => atEnd(measuresOf(quantity)![0]!, side),
    curve: (quantity) => {
      const measures = measuresOf(quantity);
      if (!measures) return undefined;
      const { start, end } = ends(measures);
      const points: CurvePoint[] = [{ x: 0, ...start }];
      for (let k = pieces.first; k < pieces.end; k++) {
        const [from, to] = [pieces.from[k]!, pieces.to[k]!];
        const { drawn } = steps(quantity, measures, k);
        for (let i = 0; i <= drawn; i++) {
          const x = i === drawn ? to : from + ((to - from) * i) / drawn;
          points.push({ x, ...onPiece(measures, k, x) });
        }
      }
      return [...points, { x: pieces.length, ...end }];
    },
    extremes: (quantity) => {
      const measures = measuresOf(quantity);
      if (!measures) return undefined;
      const zero = { x: 0, value: 0, from: outcome };
      if (isLine(quantity) && !isStored(pieces.width, quantity)) return { max: zero, min: zero };
      const { start, end } = ends(measures);
      let [max, min] = [{ ...zero, value: start.max }, { ...zero, value: start.min }]; // oxfmt-ignore
      const meet = (high: { readonly x: number; readonly value: number }, low: typeof high): void => {
        // Rounding must not move the place of a value that several places share.
        const slack = 1e-11 * Math.max(Math.abs(high.value), Math.abs(low.value));
        if (high.value > max.value + slack) max = { ...high, from: outcome };
        if (low.value < min.value - slack) min = { ...low, from: outcome };
      };
      const stretches: Looked[] = [];
      for (let k = pieces.first; k < pieces.end; k++)
        stretches.push({ from: pieces.from[k]!, to: pieces.to[k]!, steps: steps(quantity, measures, k).sought });
      const most = mostOver((x, k) => onPiece(measures, pieces.first + k, x), stretches);
      meet(most.max, most.min);
      meet({ x: pieces.length, value: end.max }, { x: pieces.length, value: end.min });
      return { max, min };
    },
  };
}

/** A measure of one diagram at x of its piece k. */
export function valueOnPiece(diagram: Diagram, measure: Measure, k: number, x: number): number {
  let value = 0;
  for (const [quantity, factor] of measure) {
    if (!isStored(diagram.width, quantity)) continue;
    value +=
      factor * evaluate(diagram.coefficients, k * diagram.width + offsetOf(quantity), degreeOf(quantity), x - diagram.from[k]!);
  }
  return value;
}

/** The same as an end feels it. */
export function valueAtEnd(diagram: Diagram, measure: Measure, side: 'start' | 'end'): number {
  const { ends, endsAt, first, end, length } = diagram;
  let value = 0;
  for (const [quantity, factor] of measure) {
    const rule = AT_ENDS[quantity];
    if (!rule)
      value += valueOnPiece(
        diagram,
        [[quantity, factor]],
        ...(side === 'start' ? ([first, 0] as const) : ([end - 1, length] as const)),
      );
    else value += factor * (side === 'start' ? rule[1] * ends[endsAt + rule[0]]! : rule[3] * ends[endsAt + rule[2]]!);
  }
  return value;
}
