import { placeOn, readEffect } from '../influence/read-effect';
import { freedoms, nodalForces } from '../model/freedoms';
import type { Model } from '../model/model';
import { displayOf, massUnit, unitOf, type DisplayUnits } from '../quantities/display';
import { extremesOverMembers } from '../results/extremes-over-members';
import { largestMovement } from '../results/movement';
import { nodalRange } from '../results/nodal-range';
import { quantityTable, symbolOf, unitOfQuantity, type Quantity } from '../results/quantities';
import { partsOf } from '../results/read';
import { rangeAt } from '../results/read-quantity';
import type { Solution } from '../results/results';
import { massesOf } from '../stiffness/compile';
import { FREEDOMS } from '../stiffness/structure';
import { proportionOf } from '../tables/results/headlines/movement';
import { study as WORDS } from './words';

export const ways = ['largest', 'max', 'min'] as const;
export type Way = (typeof ways)[number];

/** One number of the results, as a study follows it: what it is called, its unit, and how it is read. */
export interface Measure {
  /** As it is written: `Mz.max`, `b:Mz.min`, `b:Mz@2.4m`, `3.fy`, `movement`, `span ratio`, `mass`, `critical`. */
  readonly text: string;
  readonly words: string;
  /** The unit in which it is shown; empty for plain numbers. */
  readonly unit: string;
  /** Whether critical loads of the outcome are to be found for it. */
  readonly needsBuckling?: true;
  /** In SI; undefined where there is none, or why there is none. */
  readonly read: (state: Studied) => number | Lacking | undefined;
}

/** Why a state has no such result. */
export interface Lacking {
  readonly reason: string;
}

/** A state of the model, solved. */
export interface Studied {
  readonly model: Model;
  readonly solution: Solution;
  readonly outcome: number;
}

export type ReadMeasure = Measure | Lacking;

/** What there is in every model, and how it is written. */
export const plainMeasures = ['movement', 'span ratio', 'mass', 'critical'] as const;
type PlainMeasure = (typeof plainMeasures)[number];

const EXTREME = /^(?:(.+):)?([^:.@]+)\.(largest|max|min)$/u;
const AT_PLACE = /^(.+):([^:.@]+)@(.+)$/u;
const AT_NODE = /^(.+)\.([a-z]{2})$/u;

/** Reads what is to be followed; `space` and names are those of the model. */
export function readMeasure(text: string, model: Model): ReadMeasure {
  const asked = text.trim();
  const display = displayOf(model);
  if ((plainMeasures as readonly string[]).includes(asked)) return plain(asked as PlainMeasure, display);
  const [, member, symbol, way] = EXTREME.exec(asked) ?? [];
  if (symbol !== undefined) return extreme(asked, { member, symbol, way: way as Way }, model, display);
  const [, on, force, place] = AT_PLACE.exec(asked) ?? [];
  if (on !== undefined) return atPlace(asked, { member: on, symbol: force!, place: place! }, model, display);
  const [, node, component] = AT_NODE.exec(asked) ?? [];
  if (node !== undefined) return atNode(asked, { node, component: component! }, model, display);
  return { reason: WORDS.unreadable(asked) };
}

function plain(text: PlainMeasure, display: DisplayUnits): Measure {
  switch (text) {
    case 'mass':
      return { text, words: WORDS.plain.mass, unit: massUnit(display), read: ({ model, solution }) => massOf(model, solution) };
    case 'movement':
      return {
        text,
        words: WORDS.plain.movement,
        unit: display.deflection,
        read: (state) => overParts(state, (part) => largestMovement(state.solution, part)?.size ?? 0, 'max'),
      };
    case 'span ratio':
      return {
        text,
        words: WORDS.plain['span ratio'],
        unit: '',
        read: (state) => overParts(state, (part) => timesOf(state, part), 'min'),
      };
    case 'critical':
      return { text, words: WORDS.plain.critical, unit: '', needsBuckling: true, read: criticalOf };
  }
}

/** Of an envelope the worst of its parts. */
function overParts(
  { solution, outcome }: Studied,
  read: (part: number) => number | undefined,
  worst: 'max' | 'min',
): number | undefined {
  const all = partsOf(solution, outcome).flatMap((part) => read(part) ?? []);
  return all.length > 0 ? Math[worst](...all) : undefined;
}

function timesOf({ model, solution }: Studied, part: number): number | undefined {
  const movement = largestMovement(solution, part);
  return movement && proportionOf(model, solution, part, movement)?.times;
}

function massOf(model: Model, { structure }: Solution): number {
  const each = massesOf(model);
  return structure.names.members.reduce((sum, _, m) => sum + each(m) * structure.lengths[m]!, 0);
}

/** The least positive factor by which the loads of the outcome may grow. */
function criticalOf({ solution, outcome }: Studied): number | undefined {
  const factors = solution.outcomes.flatMap((one) =>
    one.kind === 'shape' && one.measure === 'factor' && one.of === outcome && one.value > 0 ? [one.value] : [],
  );
  return factors.length > 0 ? Math.min(...factors) : undefined;
}

interface AskedExtreme {
  readonly member: string | undefined;
  readonly symbol: string;
  readonly way: Way;
}

function extreme(text: string, { member, symbol, way }: AskedExtreme, model: Model, display: DisplayUnits): ReadMeasure {
  const quantity = quantityCalled(symbol, member, model, display);
  if (typeof quantity !== 'string') return quantity;
  return {
    text,
    words: WORDS.extreme(way, symbolOf(model.space, quantity, display), member),
    unit: unitOfQuantity(quantity, display),
    read: ({ solution, outcome }) => {
      const m = member === undefined ? undefined : solution.structure.names.members.indexOf(member);
      if (m === -1) return undefined;
      const over = extremesOverMembers(solution, outcome, quantity, m === undefined ? undefined : [m]);
      if (!over) return undefined;
      const [max, min] = [over.max.value, over.min.value];
      return way === 'max' ? max : way === 'min' ? min : Math.max(Math.abs(max), Math.abs(min));
    },
  };
}

/** A quantity by its symbol as the reader has it, or by its own name; why there is none, or no such member. */
function quantityCalled(symbol: string, member: string | undefined, model: Model, display: DisplayUnits): Quantity | Lacking {
  const there = (Object.keys(quantityTable) as Quantity[]).filter((one) => model.space === 'space' || quantityTable[one].inPlane);
  const symbols = there.map((one) => symbolOf(model.space, one, display));
  const quantity = there.find((_, i) => symbols[i] === symbol) ?? there.find((one) => one === symbol);
  if (!quantity) return { reason: WORDS.noQuantity(symbol, symbols.join(', ')) };
  if (member !== undefined && model.members.every(({ id }) => id !== member)) return { reason: WORDS.noMember(member) };
  return quantity;
}

interface AskedPlace {
  readonly member: string;
  readonly symbol: string;
  readonly place: string;
}

/** What a member feels at a place, which is looked for in each state anew: its length may follow the parameter. */
function atPlace(text: string, { member, symbol, place }: AskedPlace, model: Model, display: DisplayUnits): ReadMeasure {
  const quantity = quantityCalled(symbol, member, model, display);
  if (typeof quantity !== 'string') return quantity;
  return {
    text,
    words: WORDS.atPlace(symbolOf(model.space, quantity, display), member, place),
    unit: unitOfQuantity(quantity, display),
    read: ({ solution, outcome }) => {
      const { names, lengths } = solution.structure;
      const m = names.members.indexOf(member);
      if (m < 0) return { reason: WORDS.noMember(member) };
      const at = placeOn(place, lengths[m]!);
      if (typeof at !== 'number') return at;
      const range = rangeAt(solution, outcome, m, quantity, at);
      return range && strongest(range);
    },
  };
}

/** A reaction or a movement of a node. */
function atNode(
  text: string,
  { node, component }: { readonly node: string; readonly component: string },
  model: Model,
  display: DisplayUnits,
): ReadMeasure {
  if (model.nodes.every(({ id }) => id !== node)) return { reason: WORDS.noNode(node) };
  const isReaction = nodalForces.some((one) => one === component);
  if (!isReaction && !freedoms.some((one) => one === component)) return { reason: WORDS.unreadable(text) };
  const turns = component.startsWith('m') || component.startsWith('r');
  return {
    text,
    words: isReaction ? WORDS.reaction(component, node) : WORDS.movement(component, node),
    unit: isReaction ? (turns ? display.moment : display.force) : turns ? unitOf('angle', display) : display.deflection,
    read: (state) => {
      const found = readEffect(text, state.model, state.solution.structure);
      if (!('kind' in found)) return { reason: found.message };
      if (found.kind === 'along') return undefined;
      const key = found.kind === 'reaction' ? 'reactions' : 'displacements';
      return strongest(nodalRange(state.solution, state.outcome, key, FREEDOMS * found.node + found.component));
    },
  };
}

/** Of a range the value that is the greater, whatever its sign. */
const strongest = ({ max, min }: { readonly max: number; readonly min: number }): number =>
  Math.abs(max) >= Math.abs(min) ? max : min;
