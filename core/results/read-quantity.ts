import { isByPlace, isRange } from '../combinations/outcome';
import { pieceFrom, sourcesFrom, type Derived, type OfMember, type Sources, type Sum } from './derived/derived';
import { curvePoints, type CurvePoint, type Range } from './curve-points';
import { diagramOf, type Diagram } from './diagram';
import { governing, joined, type Stretch } from './envelope';
import type { Extremes } from './extreme';
import { enclosing, extremesIn } from './extremes';
import type { Governed } from './nodal-range';
import { isLine, quantityTable, type LineQuantity, type Quantity } from './quantities';
import { extremesRead } from './envelope-reading';
import { AT_ENDS, BESIDE, partsOf, pieceOf, valueIn } from './read';
import { ofMembers } from './of-member';
import { readingOf } from './readings';
import type { Solution } from './results';
import { placeReader } from './place-reader';

/** All quantities of one member in one outcome: of an envelope the diagrams of its parts are found once, and asked as often as one likes. */
export interface MemberReader {
  /** At x metres from the start, and the outcomes that govern there; undefined where the quantity is not known. */
  readonly at: (quantity: Quantity, x: number) => Governed | undefined;
  /** The curve along the whole member, as `curvePoints`. */
  readonly curve: (quantity: Quantity) => readonly CurvePoint[] | undefined;
  /** Exact, as `extremes`; undefined where the quantity is not known. */
  readonly extremes: (quantity: Quantity) => Extremes | undefined;
  /**
   * The parts of the member on which one outcome of an envelope governs, for the greatest or the least value: exact. Undefined of what is derived otherwise than as a sum, and where
   * trains travel or the ground moves.
   */
  readonly governed: (quantity: Quantity, side: 'max' | 'min') => readonly Stretch[] | undefined;
}

export function memberReader(solution: Solution, outcome: number, m: number): MemberReader {
  const member = ofMembers(solution)[m]!;
  const all = partsOf(solution, outcome);
  let readers: readonly PartReader[] | undefined;
  /** Found when first asked for: who governs is read without them. */
  const readersOfParts = (): readonly PartReader[] => (readers ??= all.map((part) => partReader(solution, part, m, member)));
  const at: MemberReader['at'] = (quantity, x) => {
    let [max, min, maxFrom, minFrom] = [-Infinity, Infinity, all[0]!, all[0]!];
    for (const { part, range } of readersOfParts()) {
      const one = range(quantity, x);
      if (!one) return undefined;
      // Of equal ones the first.
      if (one.max > max) [max, maxFrom] = [one.max, part];
      if (one.min < min) [min, minFrom] = [one.min, part];
    }
    return { max, min, maxFrom, minFrom };
  };
  return {
    at,
    curve: (quantity) => {
      const parts = readersOfParts();
      const diagrams = parts.flatMap(({ diagram }) => diagram ?? []);
      if (diagrams.length === parts.length) return curvePoints(diagrams, member, quantity);
      const curves = parts.map(({ curve }) => curve(quantity));
      if (!curves.every((one) => one !== undefined)) return undefined;
      return curves.length === 1 ? curves[0] : enclosed(curves, (x) => at(quantity, x)!, solution.structure.lengths[m]!);
    },
    governed: (quantity, side) => {
      const of = governedAs(quantity, member);
      if (!of || all.some((part) => isByPlace(solution.outcomes[part]!))) return undefined;
      return joined(governing(solution, all, m, of, side === 'max' ? 1 : -1));
    },
    extremes: (quantity) => {
      const found = readersOfParts().map(({ extremes }) => extremes(quantity));
      return found.every((one) => one !== undefined) ? enclosing(found) : undefined;
    },
  };
}

/** As what it is told who governs it: a quantity that is stored, or a sum of some; undefined of what is derived otherwise. */
export function governedAs(quantity: Quantity, member: OfMember): LineQuantity | Sum | undefined {
  if (isLine(quantity)) return quantity;
  const derived = quantityTable[quantity].derived!;
  return 'terms' in derived ? derived.terms(member) : undefined;
}

/** A part of an envelope: of one value, whose diagrams are there, or of a range at each place. */
interface PartReader extends Pick<MemberReader, 'curve' | 'extremes'> {
  readonly part: number;
  readonly diagram?: Diagram;
  readonly range: (quantity: Quantity, x: number) => Range | undefined;
}

function partReader(solution: Solution, part: number, m: number, member: OfMember): PartReader {
  const outcome = solution.outcomes[part]!;
  if (isByPlace(outcome)) {
    const { at, curve, extremes } = placeReader(solution, part, outcome, m);
    return { part, range: at, curve, extremes };
  }
  const diagram = diagramOf(solution, part, m);
  return {
    part,
    diagram,
    range: (quantity, x) => rangeIn(diagram, member, quantity, x),
    curve: (quantity) => curvePoints([diagram], member, quantity),
    extremes: (quantity) => extremesOf(diagram, member, quantity, part),
  };
}

/** The curve around several: at each of their points, and at both sides of where one of them jumps. */
function enclosed(curves: readonly (readonly CurvePoint[])[], at: (x: number) => Range, length: number): readonly CurvePoint[] {
  const places = new Set<number>();
  for (const curve of curves)
    curve.forEach(({ x }, i) => {
      places.add(x);
      if (x === curve[i + 1]?.x && x > BESIDE * length) places.add(x - BESIDE * length);
    });
  return [...places].sort((a, b) => a - b).map((x) => ({ x, ...at(x) }));
}

function rangeIn(diagram: Diagram, member: OfMember, quantity: Quantity, x: number): Range | undefined {
  if (isLine(quantity)) {
    const value = valueIn(diagram, quantity, x);
    return { max: value, min: value };
  }
  const derived = quantityTable[quantity].derived!;
  return derived.at(
    sourcesFrom(derived, (source) => valueIn(diagram, source, x)),
    member,
  );
}

/** Any quantity of member m at x metres from its start; undefined where it is not known there. */
export const rangeAt = (solution: Solution, outcome: number, m: number, quantity: Quantity, x: number): Range | undefined =>
  memberReader(solution, outcome, m).at(quantity, x);

/** The exact extremes of any quantity on member m, as `extremes`; undefined where it is not known. An envelope that was read ahead is looked up. */
export function quantityExtremes(solution: Solution, outcome: number, m: number, quantity: Quantity): Extremes | undefined {
  const reading = readingOf(solution, outcome);
  if (reading) return extremesRead(reading, quantity, m);
  if (isRange(solution.outcomes[outcome]!)) return memberReader(solution, outcome, m).extremes(quantity);
  return extremesOf(diagramOf(solution, outcome, m), ofMembers(solution)[m]!, quantity, outcome);
}

const extremesOf = (diagram: Diagram, member: OfMember, quantity: Quantity, from: number): Extremes | undefined =>
  isLine(quantity)
    ? extremesIn(diagram, quantity, from)
    : derivedExtremes(quantityTable[quantity].derived!, member, diagram, from);

/** The same of a derived quantity in one diagram; `from`: the outcome that it belongs to. */
export function derivedExtremes(derived: Derived, member: OfMember, diagram: Diagram, from: number): Extremes | undefined {
  let [max, min]: (Extremes['max'] | undefined)[] = [];
  const meet = (x: number, here: Sources): void => {
    const range = derived.at(here, member);
    if (!range) return;
    // Rounding must not move the place of a value that several points share.
    const slack = 1e-11 * Math.max(Math.abs(range.max), Math.abs(range.min));
    if (!max || range.max > max.value + slack) max = { x, value: range.max, from };
    if (!min || range.min < min.value - slack) min = { x, value: range.min, from };
  };
  meet(0, atEnd(derived, diagram, 'start'));
  for (let k = diagram.first; k < diagram.end; k++) {
    const start = diagram.from[k]!;
    const length = diagram.to[k]! - start;
    const piece = pieceFrom(derived, length, (source) => pieceOf(diagram, k, source));
    for (const s of [0, ...derived.turns(piece, member).sort((a, b) => a - b), length])
      meet(
        start + s,
        sourcesFrom(derived, (source) => value(piece[source], s)),
      );
  }
  meet(diagram.length, atEnd(derived, diagram, 'end'));
  return max && min && { max, min };
}

const value = (c: Float64Array, s: number): number => c.reduceRight((sum, coefficient) => sum * s + coefficient, 0);

/** What the ends feel counts too: a load right at an end acts between the end and the first piece. Movements do not jump there. */
const atEnd = (derived: Derived, diagram: Diagram, side: 'start' | 'end'): Sources =>
  sourcesFrom(derived, (source) => {
    const rule = AT_ENDS[source];
    if (!rule) return valueIn(diagram, source, side === 'start' ? 0 : diagram.length);
    const { ends, endsAt } = diagram;
    return side === 'start' ? rule[1] * ends[endsAt + rule[0]]! : rule[3] * ends[endsAt + rule[2]]!;
  });
