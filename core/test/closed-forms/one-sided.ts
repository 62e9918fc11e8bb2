import type { Support } from '../../model/model';
import { clamp, EA, EI, pin, roller, type Sketch } from '../build';
import type { Case } from './case';
import { P, q } from './plane';

const SIDE = 3;
/** A square of hinged bars with two crossed ties, pushed at its head. */
export const crossed = (fx: number): Sketch => ({
  nodes: [['1', 0, 0], ['2', 0, SIDE], ['3', SIDE, SIDE], ['4', SIDE, 0]], // oxfmt-ignore
  members: [
    ['left', '1', '2', { behaviour: 'truss' }],
    ['beam', '2', '3', { behaviour: 'truss' }],
    ['right', '4', '3', { behaviour: 'truss' }],
    ['up', '1', '3', { behaviour: 'tensionOnly' }],
    ['down', '2', '4', { behaviour: 'tensionOnly' }],
  ],
  supports: [pin('1'), pin('4')],
  loads: [{ type: 'node', node: '2', fx }],
});

const SPAN = 8;
const HEIGHT = 3;
/** A beam on a strut under its middle that only pushes. */
const propped = (wy: number): Sketch => ({
  nodes: [['1', 0, 0], ['2', SPAN / 2, 0], ['3', SPAN, 0], ['4', SPAN / 2, -HEIGHT]], // oxfmt-ignore
  members: [
    ['a', '1', '2'],
    ['b', '2', '3'],
    ['strut', '4', '2', { behaviour: 'compressionOnly' }],
  ],
  supports: [pin('1'), roller('3'), pin('4')],
  loads: ['a', 'b'].map((member) => ({ type: 'line', member, from: { wy }, to: { wy } })),
});
/** What the strut carries, by the force method. */
const prop = (5 * q * SPAN ** 4) / (384 * EI) / (SPAN ** 3 / (48 * EI) + HEIGHT / EA);

/** Two spans of which one is loaded; the far end lies on a support that only pushes. */
const lifting = (more: Partial<Support>): Sketch => ({
  nodes: [['1', 0, 0], ['2', SPAN, 0], ['3', 2 * SPAN, 0]], // oxfmt-ignore
  members: [['a', '1', '2'], ['b', '2', '3']], // oxfmt-ignore
  supports: [pin('1'), roller('2'), { node: '3', uy: 'fixed', oneWay: { uy: 'positive' }, ...more }],
  loads: [{ type: 'line', member: 'a', from: { wy: -q }, to: { wy: -q } }],
});

/** How far the tip of a cantilever sinks, and a gap under it that closes. */
const CLOSED = (P * SPAN ** 3) / (3 * EI);
const GAP = 0.3 * CLOSED;
const SPRING = 2e5;
const closing = (gap: number, more: Partial<Support> = {}): Sketch => ({
  nodes: [['1', 0, 0], ['2', SPAN, 0]], // oxfmt-ignore
  members: [['a', '1', '2']],
  supports: [clamp('1'), { node: '2', uy: 'fixed', oneWay: { uy: 'positive' }, gaps: { uy: gap }, ...more }],
  loads: [{ type: 'node', node: '2', fy: -P }],
});

/** N·m/rad, and rad: a joint, and how far it gives before its spring acts. */
const [JOINT, GIVES] = [8e5, 4e-3];
const giving = (P: number): Sketch => ({
  nodes: [['1', 0, 0], ['2', SPAN, 0]], // oxfmt-ignore
  members: [['a', '1', '2', { releases: { start: { mz: JOINT } }, gaps: { start: { mz: GIVES } } }]],
  supports: [clamp('1')],
  loads: [{ type: 'node', node: '2', fy: -P }],
});

/** Members and supports that act one way, and joints with gaps. */
export const oneSidedForms: readonly Case[] = [
  [
    'two crossed ties, pushed from the left: one is slack',
    crossed(P),
    [
      ['tie P·√2', (r) => r.at('up', 'N', 1), P * Math.SQRT2],
      ['slack tie', (r) => r.at('down', 'N', 1), 0, P],
      ['post and beam −P', (r) => r.at('beam', 'N', 1), -P],
      ['sway by virtual work, P·a(2 + 2√2)/EA', (r) => r.displacement('2')[0]!, (P * SIDE * (2 + 2 * Math.SQRT2)) / EA],
    ],
  ],
  [
    'the same, pushed from the right: the other one',
    crossed(-P),
    [
      ['tie P·√2', (r) => r.at('down', 'N', 1), P * Math.SQRT2],
      ['slack tie', (r) => r.at('up', 'N', 1), 0, P],
    ],
  ],
  [
    'beam on a strut that only pushes, load down: it acts',
    propped(-q),
    [
      ['strut by the force method', (r) => r.at('strut', 'N', 1), -prop],
      ['M over the strut = qL²/8 − X·L/4', (r) => r.at('a', 'Mz', SPAN / 2), (q * SPAN ** 2) / 8 - (prop * SPAN) / 4],
    ],
  ],
  [
    'the same, load up: it lifts off',
    propped(q),
    [
      ['strut', (r) => r.at('strut', 'N', 1), 0, q * SPAN],
      ['M in the middle = −qL²/8', (r) => r.at('a', 'Mz', SPAN / 2), (-q * SPAN ** 2) / 8],
    ],
  ],
  [
    'two equal spans, one loaded, on an end support that only pushes: it lifts off',
    lifting({}),
    [
      ['the end', (r) => r.reaction('3')[1]!, 0, q * SPAN],
      ['it rises by the turn over the middle, qL³/24EI · L', (r) => r.displacement('3')[1]!, (q * SPAN ** 4) / (24 * EI)],
      ['M in the first span qL²/8', (r) => r.at('a', 'Mz', SPAN / 2), (q * SPAN ** 2) / 8],
    ],
  ],
  [
    'cantilever over a support with a gap',
    closing(GAP),
    [
      ['support 3EI/L³·(PL³/3EI − gap)', (r) => r.reaction('2')[1]!, P - (3 * EI * GAP) / SPAN ** 3],
      ['the tip lies on it', (r) => r.displacement('2')[1]!, -GAP],
    ],
  ],
  [
    'the same with a gap that stays open',
    closing(2 * CLOSED),
    [
      ['support', (r) => r.reaction('2')[1]!, 0, P],
      ['tip PL³/3EI', (r) => -r.displacement('2')[1]!, (P * SPAN ** 3) / (3 * EI)],
    ],
  ],
  [
    'cantilever whose foot is sprung and gives by a gap first',
    giving(P),
    [
      ['M at the foot −P·L', (r) => r.at('a', 'Mz', 0), -P * SPAN],
      [
        'the tip sinks by (gap + PL/k)·L + PL³/3EI',
        (r) => r.displacement('2')[1]!,
        -(GIVES + (P * SPAN) / JOINT) * SPAN - (P * SPAN ** 3) / (3 * EI),
      ],
      [
        'and the middle by (gap + PL/k)·L/2 + 5PL³/48EI',
        (r) => r.at('a', 'v', SPAN / 2),
        (-(GIVES + (P * SPAN) / JOINT) * SPAN) / 2 - (5 * P * SPAN ** 3) / (48 * EI),
      ],
    ],
  ],
  [
    'beam whose ends are sprung joints within their gaps: it bears as if hinged',
    {
      nodes: [['1', 0, 0], ['2', SPAN, 0]], // oxfmt-ignore
      members: [['a', '1', '2', { releases: { start: { mz: JOINT }, end: { mz: JOINT } }, gaps: { start: { mz: 1 }, end: { mz: 1 } } }]],
      supports: [clamp('1'), clamp('2')],
      loads: [{ type: 'line', member: 'a', from: { wy: q }, to: { wy: q } }],
    },
    [
      ['M in the middle = −qL²/8', (r) => r.at('a', 'Mz', SPAN / 2), (-q * SPAN ** 2) / 8],
      ['M at the joint', (r) => r.at('a', 'Mz', 0), 0, q * SPAN ** 2],
    ],
  ],
  [
    'the same on a spring behind the gap, turned by 180°',
    closing(GAP, { uy: SPRING, angle: 180, oneWay: { uy: 'negative' } }),
    [['spring k·(PL³/3EI − gap)/(1 + kL³/3EI)', (r) => r.reaction('2')[1]!, (SPRING * (CLOSED - GAP)) / (1 + (SPRING * SPAN ** 3) / (3 * EI))]],
  ],
]; // oxfmt-ignore
