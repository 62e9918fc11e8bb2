import type { AnalysisSettings } from '../../model/analysis-settings';
import { clamp, EI, G, I, IY, pin, roller, type Reading, type Sketch } from '../build';
import type { Case } from './case';
import { P, q } from './plane';

const L = 5;
const SECOND: AnalysisSettings = { secondOrder: { of: 'everything' } };
const EULER = (Math.PI ** 2 * EI) / L ** 2;

/** A member of length L on the X axis between two supports, pressed by N. */
const strut = (N: number, rest: Partial<Sketch>, analysis: AnalysisSettings = SECOND): Sketch => ({
  nodes: [['1', 0, 0], ['2', L, 0]], // oxfmt-ignore
  members: [['m', '1', '2']],
  supports: [pin('1'), roller('2')],
  ...rest,
  loads: [{ type: 'node', node: '2', fx: -N }, ...(rest.loads ?? [])],
  extra: { analysis, ...rest.extra },
});
const uniform = { type: 'line', member: 'm', from: { wy: -q }, to: { wy: -q } } as const;

/** The middle of a pinned strut under q at a share of Euler's load: q/k²·(1/cos(kL/2) − 1). */
const secant = (share: number): number => {
  const k = Math.sqrt((share * EULER) / EI);
  return (q / k ** 2) * (1 / Math.cos((k * L) / 2) - 1);
};
const tangent = (N: number, soft = 1): number => {
  const k = Math.sqrt(N / (EI * soft));
  return (P * Math.tan(k * L)) / (k * soft);
};
const SHEARED = 0.002;

/** The factor of the first critical load, on 1 N. */
const critical = ({ solution }: Reading): number => {
  const shape = solution.outcomes.find((one) => one.kind === 'shape');
  return shape?.kind === 'shape' ? shape.value : NaN;
};
const buckling: AnalysisSettings = { buckling: { of: ['Q'], modes: 1 } };
const held = (foot: Sketch['supports'], rest: Partial<Sketch> = {}): Sketch => strut(1, { supports: foot, ...rest }, buckling);
/** tan x = x. */
const CLAMPED_PINNED = 4.493409457909064;

/** The second order, and critical loads. Each member is one. */
export const secondOrderForms: readonly Case[] = [
  ...[0.5, 0.9].map((share): Case => [
    `pinned strut under uniform load at ${share} of its critical load, second order`,
    strut(share * EULER, { loads: [uniform] }),
    [
      ['middle q/k²·(1/cos(kL/2) − 1)', (r) => r.at('m', 'Mz', L / 2), secant(share)],
      ['deflection (M − qL²/8)/N', (r) => -r.at('m', 'v', L / 2), (secant(share) - (q * L * L) / 8) / (share * EULER)],
    ],
  ]),
  [
    'cantilever pushed across at 0.8 of its critical load, second order',
    strut(0.2 * EULER, { supports: [clamp('1')], loads: [{ type: 'node', node: '2', fy: -P }] }),
    [
      ['clamp P·tan(kL)/k', (r) => r.reaction('1')[2]!, tangent(0.2 * EULER)],
      ['tip (M − PL)/N', (r) => -r.displacement('2')[1]!, (tangent(0.2 * EULER) - P * L) / (0.2 * EULER)],
    ],
  ],
  [
    'the same with shear deformation, k² = N/(EI(1 − N/GA))',
    strut(
      0.15 * EULER,
      { supports: [clamp('1')], loads: [{ type: 'node', node: '2', fy: -P }], section: { Ay: SHEARED } },
      { ...SECOND, shearDeformation: true },
    ),
    [['clamp P·tan(kL)/(k(1 − N/GA))', (r) => r.reaction('1')[2]!, tangent(0.15 * EULER, 1 - (0.15 * EULER) / (G * SHEARED))]],
  ],
  [
    'cantilever that leans by 1/200 under a force along it',
    strut(0.1 * EULER, { nodes: [['1', 0, 0], ['2', 0, L]], supports: [clamp('1')], loads: [{ type: 'node', node: '2', fx: 0.1 * EULER, fy: -0.1 * EULER }] }, { secondOrder: { of: 'everything', sway: { angle: 1 / 200, towards: 'right' } } }), // oxfmt-ignore
    [['foot N·φ·tan(kL)/k', (r) => r.reaction('1')[2]!, tangent(0.1 * EULER) * ((0.1 * EULER) / (200 * P))]],
  ],
  ['pinned column, critical load', held([pin('1'), roller('2')]), [['π²EI/L²', critical, EULER]]],
  ['cantilever column, critical load', held([clamp('1')]), [['π²EI/(4L²)', critical, EULER / 4]]],
  [
    'column clamped and pinned, critical load',
    held([clamp('1'), roller('2')]),
    [['x²EI/L², tan x = x', critical, (CLAMPED_PINNED ** 2 * EI) / L ** 2]],
  ],
  [
    'column clamped at both ends, critical load',
    held([clamp('1'), { node: '2', uy: 'fixed', rz: 'fixed' }]),
    [['4π²EI/L²', critical, 4 * EULER]],
  ],
  [
    'pinned column with shear deformation, critical load',
    strut(1, { section: { Ay: SHEARED } }, { ...buckling, shearDeformation: true }),
    [['Pₑ/(1 + Pₑ/GA)', critical, EULER / (1 + EULER / (G * SHEARED))]],
  ],
  [
    'mast in space, critical load about its weak axis',
    {
      nodes: [['1', 0, 0, 0], ['2', 0, L, 0]], // oxfmt-ignore
      members: [['m', '1', '2']],
      supports: [{ node: '1', ux: 'fixed', uy: 'fixed', uz: 'fixed', rx: 'fixed', ry: 'fixed', rz: 'fixed' }],
      loads: [{ type: 'node', node: '2', fy: -1 }],
      extra: { analysis: buckling },
    },
    [['π²EIy/(4L²)', critical, (EULER * IY) / (4 * I)]],
  ],
];
