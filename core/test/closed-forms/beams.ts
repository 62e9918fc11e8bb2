import { clamp, EA, EI, pin, roller } from '../build';
import type { Case, LooseLoad } from './case';
import { beam, L, line, P, q } from './plane';

const point = (at: number, force: object): LooseLoad => ({ type: 'point', member: 'a', at, ...force }) as LooseLoad;

/** Beams in the plane, of one span and of several. */
export const beams: readonly Case[] = [
  [
    'simple beam, uniform load',
    beam([pin('1'), roller('2')], [line({ wy: -q })]),
    [
      ['M midspan = qL²/8', (r) => r.max('a', 'Mz').value, (q * L ** 2) / 8],
      ['at midspan', (r) => r.max('a', 'Mz').x, L / 2],
      ['V start = qL/2', (r) => r.max('a', 'Vy').value, (q * L) / 2],
      ['V end = −qL/2', (r) => r.min('a', 'Vy').value, (-q * L) / 2],
      ['deflection 5qL⁴/384EI', (r) => r.min('a', 'v').value, (-5 * q * L ** 4) / (384 * EI)],
      ['slope qL³/24EI', (r) => r.displacement('1')[2]!, (-q * L ** 3) / (24 * EI)],
    ],
  ],
  [
    'simple beam, load rising from zero',
    beam([pin('1'), roller('2')], [line({ wy: 0 }, { wy: -q })]),
    [
      ['largest M = qL²/(9√3)', (r) => r.max('a', 'Mz').value, (q * L ** 2) / (9 * Math.sqrt(3))],
      ['at L/√3', (r) => r.max('a', 'Mz').x, L / Math.sqrt(3)],
      ['reaction qL/6', (r) => r.reaction('1')[1]!, (q * L) / 6],
      ['largest deflection at L·√(1 − √(8/15))', (r) => r.min('a', 'v').x, L * Math.sqrt(1 - Math.sqrt(8 / 15))],
    ],
  ],
  [
    'simple beam, point load off the middle',
    beam([pin('1'), roller('2')], [point(1 / 3, { fy: -P })]),
    [
      ['M = Pab/L', (r) => r.max('a', 'Mz').value, (P * 2 * 4) / L],
      ['under the load', (r) => r.max('a', 'Mz').x, 2],
      ['v under load = Pa²b²/3EIL', (r) => r.at('a', 'v', 2), (-P * 2 ** 2 * 4 ** 2) / (3 * EI * L)],
      ['largest v at L − √((L²−a²)/3)', (r) => r.min('a', 'v').x, L - Math.sqrt((L ** 2 - 2 ** 2) / 3)],
    ],
  ],
  [
    'simple beam, couple in the middle',
    beam([pin('1'), roller('2')], [point(0.5, { mz: P })]),
    [
      ['M just before = P/2', (r) => Math.abs(r.max('a', 'Mz').value), P / 2],
      ['M just behind = −P/2', (r) => r.min('a', 'Mz').value, -P / 2],
      ['reaction P/L', (r) => r.reaction('1')[1]!, P / L],
    ],
  ],
  [
    'simple beam, partial uniform load',
    beam([pin('1'), roller('2')], [line({ at: 1, wy: -q }, { at: 3, wy: -q }, { measure: 'length' })]),
    [
      ['reaction by moments', (r) => r.reaction('1')[1]!, (q * 2 * 4) / L],
      ['M where V vanishes', (r) => r.max('a', 'Mz').value, ((q * 2 * 4) / L) * 1 + ((q * 2 * 4) / L) ** 2 / (2 * q)],
    ],
  ],
  [
    'cantilever, tip load',
    beam([clamp('1')], [{ type: 'node', node: '2', fy: -P }]),
    [
      ['M at the root = −PL', (r) => r.min('a', 'Mz').value, -P * L],
      ['tip PL³/3EI', (r) => r.displacement('2')[1]!, (-P * L ** 3) / (3 * EI)],
      ['tip slope PL²/2EI', (r) => r.displacement('2')[2]!, (-P * L ** 2) / (2 * EI)],
      ['couple of the support', (r) => r.reaction('1')[2]!, P * L],
    ],
  ],
  [
    'cantilever, uniform load',
    beam([clamp('1')], [line({ wy: -q })]),
    [
      ['tip qL⁴/8EI', (r) => r.displacement('2')[1]!, (-q * L ** 4) / (8 * EI)],
      ['root −qL²/2', (r) => r.at('a', 'Mz', 0), (-q * L ** 2) / 2],
    ],
  ],
  [
    'cantilever, tip load with shear deformation',
    beam([clamp('1')], [{ type: 'node', node: '2', fy: -P }], {
      section: { Ay: 0.002 },
      extra: { analysis: { shearDeformation: true } },
    }),
    [
      ['tip PL³/3EI + PL/GA', (r) => r.displacement('2')[1]!, (-P * L ** 3) / (3 * EI) - (P * L) / (80e9 * 0.002)],
      ['half way', (r) => r.at('a', 'v', 3), (-P * ((L * 9) / 2 - 27 / 6)) / EI - (P * 3) / (80e9 * 0.002)],
    ],
  ],
  [
    'fixed beam, uniform load',
    beam([clamp('1'), clamp('2')], [line({ wy: -q })]),
    [
      ['ends −qL²/12', (r) => r.at('a', 'Mz', 0), (-q * L ** 2) / 12],
      ['midspan qL²/24', (r) => r.max('a', 'Mz').value, (q * L ** 2) / 24],
      ['qL⁴/384EI', (r) => r.min('a', 'v').value, (-q * L ** 4) / (384 * EI)],
    ],
  ],
  [
    'fixed beam, uniform load with shear deformation',
    beam([clamp('1'), clamp('2')], [line({ wy: -q })], {
      section: { Ay: 0.002 },
      extra: { analysis: { shearDeformation: true } },
    }),
    [['qL⁴/384EI + qL²/8GA', (r) => r.min('a', 'v').value, (-q * L ** 4) / (384 * EI) - (q * L ** 2) / (8 * 80e9 * 0.002)]],
  ],
  [
    'fixed beam, triangular load',
    beam([clamp('1'), clamp('2')], [line({ wy: 0 }, { wy: -q })]),
    [
      ['start −qL²/30', (r) => r.at('a', 'Mz', 0), (-q * L ** 2) / 30],
      ['end −qL²/20', (r) => r.at('a', 'Mz', L), (-q * L ** 2) / 20],
    ],
  ],
  [
    'fixed beam, point load at a',
    beam([clamp('1'), clamp('2')], [point(2 / 6, { fy: -P })]),
    [
      ['start −Pab²/L²', (r) => r.at('a', 'Mz', 0), (-P * 2 * 16) / 36],
      ['end −Pa²b/L²', (r) => r.at('a', 'Mz', L), (-P * 4 * 4) / 36],
    ],
  ],
  [
    'fixed beam, warmer above',
    beam([clamp('1'), clamp('2')], [{ type: 'thermal', member: 'a', uniform: 20, gradientY: 50 }]),
    [
      ['N = −EAαT', (r) => r.at('a', 'N', 1), -EA * 1.2e-5 * 20],
      ['M = EIα·gradient, tension below', (r) => r.at('a', 'Mz', 1), EI * 1.2e-5 * 50],
      ['it does not move', (r) => r.at('a', 'v', 3), 0, 1],
    ],
  ],
  [
    'simple beam, warmer above, bends up',
    beam([pin('1'), roller('2')], [{ type: 'thermal', member: 'a', gradientY: 50 }]),
    [
      ['v = α·gradient·L²/8', (r) => r.at('a', 'v', 3), (1.2e-5 * 50 * L ** 2) / 8],
      ['no moment', (r) => r.at('a', 'Mz', 3), 0, 1e3],
    ],
  ],
  [
    'member made too long between fixed ends',
    beam([clamp('1'), clamp('2')], [{ type: 'strain', member: 'a', elongation: 0.002 }]),
    [['N = −EA·e/L', (r) => r.at('a', 'N', 1), (-EA * 0.002) / L]],
  ],
  [
    'propped cantilever, uniform load',
    beam([clamp('1'), roller('2')], [line({ wy: -q })]),
    [
      ['root −qL²/8', (r) => r.at('a', 'Mz', 0), (-q * L ** 2) / 8],
      ['span 9qL²/128', (r) => r.max('a', 'Mz').value, (9 * q * L ** 2) / 128],
      ['at 5L/8', (r) => r.max('a', 'Mz').x, (5 * L) / 8],
      ['prop 3qL/8', (r) => r.reaction('2')[1]!, (3 * q * L) / 8],
    ],
  ],
];
