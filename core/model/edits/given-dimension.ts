import { placeText } from '../parameters/place';
import type { Model } from '../model';
import type { AxisName } from '../point';
import type { Intent } from './intent';

/** Bays of equal length that follow each other along an axis, metres, and what moves with them: all beyond, or their one line alone. */
export interface Bays {
  readonly axis: AxisName;
  readonly from: number;
  readonly ends: readonly number[];
  readonly what: 'beyond' | 'line';
}

/** Nodes within this distance (metres) of a line stand on it. */
const LINE = 1e-9;

/** The places of the nodes at the end of the first bay, and what gives where they stand, if one expression does. */
export function dimensionGiven(
  model: Model,
  { axis, from, ends }: Bays,
): { readonly places: readonly string[]; readonly text: string | undefined } {
  const [places, text] = givenAt(model, axis, ends[0]!);
  const base = baseOf(model, axis, from);
  const isBeyond = text !== undefined && (base === '' || text.startsWith(`${base} + `));
  return { places, text: isBeyond ? distanceFrom(base, text) : undefined };
}

/**
 * What gives the length of each of these bays an expression: their nodes, and those beyond, stand by it from where the first begins. What
 * is beyond keeps its distance, or what gives that.
 */
export function giveDimension(model: Model, { axis, from, ends, what }: Bays, text: string): Intent[] {
  const base = baseOf(model, axis, from);
  const texts = new Map(model.formulas?.map((one) => [one.of, one.is]));
  const starts = ends.map((end) => baseOf(model, axis, end));
  return model.nodes.flatMap((node): Intent[] => {
    const at = node[axis] ?? 0;
    const count = ends.filter((end) => at > end - LINE).length;
    if (count === 0 || (what === 'line' && at > ends[0]! + LINE)) return [];
    const beyond = at - ends[count - 1]!;
    const of = placeOfNode(node, axis);
    const own = texts.get(of);
    const start = starts[count - 1]!;
    const distance = own === undefined ? metres(beyond) : distanceFrom(start, own);
    const is = [base, count === 1 ? text : `${count}*(${text})`, beyond > LINE ? distance : ''].filter(Boolean).join(' + ');
    return [{ type: 'put', list: 'formulas', entry: { of, is } }];
  });
}

/** What is left of an expression beyond another one. */
const distanceFrom = (start: string, own: string): string =>
  start === '' ? own : own.startsWith(`${start} + `) ? own.slice(start.length + 3) : `(${own}) - (${start})`;

const metres = (length: number): string => `${Number(length.toPrecision(12))} m`;
const placeOfNode = ({ id }: { readonly id: string }, axis: AxisName): string => placeText('nodes', id, axis);

/** Where bays begin: by the expression that gives it to all nodes there, or as a length; nothing at the origin. */
function baseOf(model: Model, axis: AxisName, from: number): string {
  const [, text] = givenAt(model, axis, from);
  return text ?? (Math.abs(from) < LINE ? '' : metres(from));
}

function givenAt({ nodes, formulas = [] }: Model, axis: AxisName, at: number): readonly [readonly string[], string | undefined] {
  const places = nodes.filter((node) => Math.abs((node[axis] ?? 0) - at) < LINE).map((node) => placeOfNode(node, axis));
  const texts = new Map(formulas.map(({ of, is }) => [of, is]));
  const [text] = places.map((place) => texts.get(place));
  return [places, places.every((place) => texts.get(place) === text) ? text : undefined];
}
