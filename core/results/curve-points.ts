import { pieceFrom, sourcesFrom, type OfMember } from './derived/derived';
import type { Diagram } from './diagram';
import { evaluate, stationary } from './polynomial';
import { degreeOf, isLine, isStored, offsetOf, quantityTable, type LineQuantity, type Quantity } from './quantities';
import { AT_ENDS, pieceAt, pieceOf } from './read';

/** A quantity at one place: from the least to the greatest value, which are one unless an envelope or a whole section is meant. */
export interface Range {
  readonly max: number;
  readonly min: number;
}

/** A point of a curve along a member: metres from its start, and the greatest and the least value there. */
export interface CurvePoint extends Range {
  readonly x: number;
}

/** Straight steps of a curve between two places at which something changes. */
const STEPS = 12;

/**
 * The curve of a quantity along a member, of one diagram or enclosing several: exact at both ends, on both sides of every jump, where pieces
 * begin and at every peak of a piece. Where a value jumps, two points have the same place. Undefined where the quantity is not known.
 */
export function curvePoints(
  diagrams: readonly Diagram[],
  member: OfMember,
  quantity: Quantity,
): readonly CurvePoint[] | undefined {
  const { length } = diagrams[0]!;
  const places = [...new Set([0, length, ...diagrams.flatMap((diagram) => placesOf(diagram, member, quantity))])].sort(
    (a, b) => a - b,
  );
  const points: CurvePoint[] = [];
  const add = (x: number, read: (diagram: Diagram) => Range | undefined): boolean => {
    let [max, min] = [-Infinity, Infinity];
    for (const diagram of diagrams) {
      const range = read(diagram);
      if (!range) return false;
      max = Math.max(max, range.max);
      min = Math.min(min, range.min);
    }
    points.push({ x, max, min });
    return true;
  };
  // What the ends feel: a load right at an end acts between it and the first piece.
  if (!add(0, (diagram) => atEnd(diagram, member, quantity, 'start'))) return undefined;
  for (let i = 1; i < places.length; i++) {
    const [from, to] = [places[i - 1]!, places[i]!];
    const middle = (from + to) / 2;
    for (let k = 0; k <= STEPS; k++) {
      const x = k === STEPS ? to : from + ((to - from) * k) / STEPS;
      add(x, (diagram) => onPiece(diagram, pieceAt(diagram, middle), x, member, quantity));
    }
  }
  add(length, (diagram) => atEnd(diagram, member, quantity, 'end'));
  return points;
}

/** Where pieces begin, and where the quantity turns inside them. */
function placesOf(diagram: Diagram, member: OfMember, quantity: Quantity): number[] {
  const places: number[] = [];
  for (let k = diagram.first; k < diagram.end; k++) {
    const [from, length] = [diagram.from[k]!, diagram.to[k]! - diagram.from[k]!];
    places.push(from);
    for (const s of turnsIn(diagram, k, length, member, quantity)) if (s > 0 && s < length) places.push(from + s);
  }
  return places;
}

function turnsIn(diagram: Diagram, k: number, length: number, member: OfMember, quantity: Quantity): readonly number[] {
  const piece = (source: LineQuantity): Float64Array => pieceOf(diagram, k, source);
  if (!isLine(quantity)) {
    const derived = quantityTable[quantity].derived!;
    return derived.turns(pieceFrom(derived, length, piece), member);
  }
  if (!isStored(diagram.width, quantity)) return [];
  return [...stationary(diagram.coefficients, k * diagram.width + offsetOf(quantity), degreeOf(quantity), length)];
}

/** What is derived of what is read one by one, or one of them itself. */
function rangeOf(read: (quantity: LineQuantity) => number, member: OfMember, quantity: Quantity): Range | undefined {
  if (isLine(quantity)) {
    const value = read(quantity);
    return { max: value, min: value };
  }
  const derived = quantityTable[quantity].derived!;
  return derived.at(sourcesFrom(derived, read), member);
}

/** The values of piece k itself, at its ends too, where others may follow. */
const onPiece = (diagram: Diagram, k: number, x: number, member: OfMember, quantity: Quantity): Range | undefined =>
  rangeOf(
    (one) => {
      const c = pieceOf(diagram, k, one);
      return evaluate(c, 0, c.length - 1, x - diagram.from[k]!);
    },
    member,
    quantity,
  );

function atEnd(diagram: Diagram, member: OfMember, quantity: Quantity, side: 'start' | 'end'): Range | undefined {
  const [x, k] = side === 'start' ? [0, diagram.first] : [diagram.length, diagram.end - 1];
  return rangeOf(
    (one) => {
      const rule = AT_ENDS[one];
      if (rule) return side === 'start' ? rule[1] * diagram.ends[diagram.endsAt + rule[0]]! : rule[3] * diagram.ends[diagram.endsAt + rule[2]]!;
      const c = pieceOf(diagram, k, one);
      return evaluate(c, 0, c.length - 1, x - diagram.from[k]!);
    },
    member,
    quantity,
  ); // oxfmt-ignore
}
