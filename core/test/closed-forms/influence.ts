import type { Component, Effect } from '../../influence/effect';
import type { Model } from '../../model/model';
import type { LineQuantity } from '../../results/quantities';
import { clamp, EI, inRow, pin, roller, sketch } from '../build';
import type { Way } from '../influence';

export const reaction = (node: number, component: Component): Effect => ({ kind: 'reaction', node, component });
export const movement = (node: number, component: Component): Effect => ({ kind: 'movement', node, component });
export const along = (quantity: LineQuantity, member: number, at: number): Effect => ({ kind: 'along', member, at, quantity });

export const spans = (...places: readonly number[]) => inRow(...places).slice(1).map(([id], i) => [`s${i + 1}`, `${i + 1}`, id] as [string, string, string]); // oxfmt-ignore
export const row = (model: Model): Way => ({ over: model.members.map(({ id }) => id) });

export const L = 10;
export const simple = sketch({ nodes: inRow(0, L), members: spans(0, L), supports: [pin('1'), roller('2')] });
export const fixed = sketch({ nodes: inRow(0, L), members: spans(0, L), supports: [clamp('1'), clamp('2')] });
export const two = sketch({
  nodes: inRow(0, L, 2 * L),
  members: spans(0, L, 2 * L),
  supports: [pin('1'), roller('2'), roller('3')],
});
export const three = sketch({
  nodes: inRow(0, L, 2 * L, 3 * L),
  members: spans(0, L, 2 * L, 3 * L),
  supports: [pin('1'), roller('2'), roller('3'), roller('4')],
});
/** Two hinges, as stiff in beam and columns: the thrust is 3·P·a·b / (2·h·L·(2k + 3)), k = h/L (Kleinlogel, Rahmenformeln). */
const [h, span] = [6, 12];
export const portal = sketch({
  nodes: [['1', 0, 0], ['2', 0, h], ['3', span, h], ['4', span, 0]],
  members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4']],
  supports: [pin('1'), pin('4')],
  section: { A: 1e4 },
}); // oxfmt-ignore
/** Four bays of 3 m, 2 m deep, with falling and rising diagonals; the deck lies on its lower nodes. */
export const truss = sketch({
  nodes: [...inRow(0, 3, 6, 9, 12), ['6', 3, 2], ['7', 6, 2], ['8', 9, 2]],
  members: ([['1', '2'], ['2', '3'], ['3', '4'], ['4', '5'], ['6', '7'], ['7', '8'], ['1', '6'], ['6', '3'], ['3', '8'], ['8', '5'], ['2', '6'], ['3', '7'], ['4', '8']] as const)
    .map(([a, b]) => [`${a}-${b}`, a, b, { behaviour: 'truss' }]),
  supports: [pin('1'), roller('5')],
}); // oxfmt-ignore
export const deck: Way = { across: ['1', '2', '3', '4', '5'] };

/** What an influence line is of, its model and way, and ordinates that are known. */
export type InfluenceForm = readonly [
  what: string,
  model: Model,
  way: Way,
  effect: Effect,
  theory: readonly (readonly [s: number, value: number])[],
];
const everywhere = (f: (s: number) => number, from = 0, to = L): [number, number][] =>
  [0, 0.13, 0.5, 0.77, 1].map((t) => [from + t * (to - from), f(from + t * (to - from))] as [number, number]);

export const influenceForms: readonly InfluenceForm[] = [
  ['a simple beam’s reaction', simple, row(simple), reaction(0, 1), everywhere((s) => 1 - s / L)],
  ['its moment at 4 m', simple, row(simple), along('Mz', 0, 4), everywhere((s) => (s <= 4 ? 0.6 * s : 0.4 * (L - s)))],
  ['its shear at 4 m', simple, row(simple), along('Vy', 0, 4), [[0, 0], [3.9, -0.39], [4, 0.6], [7, 0.3], [10, 0]]],
  ['its deflection at midspan', simple, row(simple), along('v', 0, 5), everywhere((s) => (-s * (3 * L * L - 4 * s * s)) / (48 * EI), 0, 5)],
  ['its slope at the support', simple, row(simple), movement(0, 5), everywhere((s) => (-s * (L - s) * (2 * L - s)) / (6 * EI * L))],
  ['a fixed beam’s end moment', fixed, row(fixed), along('Mz', 0, 0), everywhere((s) => (-s * (L - s) ** 2) / L ** 2)],
  ['its couple on the foundation', fixed, row(fixed), reaction(0, 5), everywhere((s) => (s * (L - s) ** 2) / L ** 2)],
  ['the middle support of two spans', two, row(two), reaction(1, 1), everywhere((s) => ((s / L) * (3 - (s / L) ** 2)) / 2)],
  ['the moment over it', two, row(two), along('Mz', 1, 0), everywhere((s) => (-s * (L ** 2 - s ** 2)) / (4 * L ** 2))],
  ['the moment over the first support of three spans', three, row(three), along('Mz', 0, L), [[5, -0.1 * L], [15, -0.075 * L], [25, 0.025 * L]]],
  ['a portal’s thrust', portal, { over: ['b'] }, reaction(0, 0), everywhere((s) => (3 * s * (span - s)) / (2 * h * span * ((2 * h) / span + 3)), 0, span)],
  ['a truss’s lower chord under a deck', truss, deck, along('N', 1, 1), everywhere((s) => (s * 0.75) / 2, 0, 3)],
  ['its upper chord', truss, deck, along('N', 4, 0), everywhere((s) => (-s * 0.5) / 2, 0, 6)],
  ['its hanger', truss, deck, along('N', 10, 0), [[0, 0], [1.5, 0.5], [3, 1], [4.5, 0.5], [6, 0], [9, 0]]],
]; // oxfmt-ignore
