import { clamp, EA, EI, inRow, pin, roller } from '../build';
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
  [
    'propped cantilever whose prop settles',
    beam([clamp('1'), roller('2')], [{ type: 'settlement', node: '2', uy: -0.01 }]),
    [
      ['prop 3EIδ/L³', (r) => r.reaction('2')[1]!, (-3 * EI * 0.01) / L ** 3],
      ['root 3EIδ/L²', (r) => r.at('a', 'Mz', 0), (-3 * EI * 0.01) / L ** 2],
    ],
  ],
  [
    'cantilever propped by a spring',
    beam([clamp('1'), { node: '2', uy: 4e5 }], [line({ wy: -q })]),
    [['reaction 3qL/8 / (1 + 3EI/kL³)', (r) => r.reaction('2')[1]!, (3 * q * L) / 8 / (1 + (3 * EI) / (4e5 * L ** 3))]],
  ],
  [
    'spring under a settling ground',
    beam([clamp('1'), { node: '2', uy: 4e5 }], [{ type: 'settlement', node: '2', uy: -0.01 }]),
    [['force δ / (1/k + L³/3EI)', (r) => r.reaction('2')[1]!, -0.01 / (1 / 4e5 + L ** 3 / (3 * EI))]],
  ],
  [
    'beam with an elastic joint at the start',
    beam([clamp('1'), clamp('2')], [line({ wy: -q })], { members: [['a', '1', '2', { releases: { start: { mz: 1e6 } } }]] }),
    [
      [
        'M start by slope deflection',
        (r) => r.at('a', 'Mz', 0),
        (() => {
          // θ at the start of the member: (4EI/L + k)·θ = qL²/12 (turning), M = −k·θ
          const theta = (q * L ** 2) / 12 / ((4 * EI) / L + 1e6);
          return -1e6 * theta;
        })(),
      ],
    ],
  ],
  [
    'member free to slide at its end',
    beam([clamp('1'), clamp('2')], [line({ wx: q })], { members: [['a', '1', '2', { releases: { end: { ux: 'free' } } }]] }),
    [
      ['all goes to the start', (r) => r.reaction('1')[0]!, -q * L],
      ['end moves qL²/2EA', (r) => r.max('a', 'u').value, (q * L ** 2) / (2 * EA)],
    ],
  ],
  [
    'shear released in the middle of a fixed beam',
    {
      nodes: inRow(0, 3, 6),
      members: [
        ['a', '1', '2', { releases: { end: { uy: 'free' } } }],
        ['b', '2', '3'],
      ],
      supports: [clamp('1'), clamp('3')],
      loads: [{ type: 'line', member: 'a', from: { wy: -q }, to: { wy: -q } }],
    },
    [
      ['no shear there', (r) => r.at('a', 'Vy', 3), 0, q],
      ['root carries all', (r) => r.reaction('1')[1]!, q * 3],
    ],
  ],
  [
    'two equal spans, uniform load',
    {
      nodes: inRow(0, L, 2 * L),
      members: [
        ['a', '1', '2'],
        ['b', '3', '2'],
      ],
      supports: [pin('1'), roller('2'), roller('3')],
      loads: ['a', 'b'].map((member) => ({ type: 'line', member, from: { wy: -q }, to: { wy: -q } })),
    },
    [
      ['support −qL²/8', (r) => r.at('a', 'Mz', L), (-q * L ** 2) / 8],
      ['the reversed member says the same', (r) => r.at('b', 'Mz', L), (-q * L ** 2) / 8],
      ['middle 10qL/8', (r) => r.reaction('2')[1]!, (10 * q * L) / 8],
    ],
  ],
  [
    'hinge inside a span',
    {
      nodes: inRow(0, 4, 6),
      members: [
        ['a', '1', '2', { releases: { end: { mz: 'free' } } }],
        ['b', '2', '3'],
      ],
      supports: [clamp('1'), roller('3')],
      loads: [{ type: 'line', member: 'b', from: { wy: -q }, to: { wy: -q } }],
    },
    [
      ['root −(qb/2)·a', (r) => r.at('a', 'Mz', 0), -((q * 2) / 2) * 4],
      ['hinge falls Pa³/3EI', (r) => r.displacement('2')[1]!, ((-(q * 2) / 2) * 4 ** 3) / (3 * EI)],
    ],
  ],
  [
    'three equal spans, uniform load',
    {
      nodes: inRow(0, L, 2 * L, 3 * L),
      members: [
        ['a', '1', '2'],
        ['b', '2', '3'],
        ['c', '3', '4'],
      ],
      supports: [pin('1'), roller('2'), roller('3'), roller('4')],
      loads: ['a', 'b', 'c'].map((member) => ({ type: 'line', member, from: { wy: -q }, to: { wy: -q } })),
    },
    [
      ['inner supports −qL²/10', (r) => r.at('b', 'Mz', 0), (-q * L ** 2) / 10],
      ['end span 2qL²/25', (r) => r.max('a', 'Mz').value, (2 * q * L ** 2) / 25],
      ['inner reaction 11qL/10', (r) => r.reaction('2')[1]!, (11 * q * L) / 10],
    ],
  ],
  [
    'two spans whose middle support settles',
    {
      nodes: inRow(0, L, 2 * L),
      members: [
        ['a', '1', '2'],
        ['b', '2', '3'],
      ],
      supports: [pin('1'), roller('2'), roller('3')],
      loads: [{ type: 'settlement', node: '2', uy: -0.01 }],
    },
    [['M = 3EIδ/L²', (r) => r.at('a', 'Mz', L), (3 * EI * 0.01) / L ** 2]],
  ],
  [
    'cantilever, load falling to zero at the tip',
    beam([clamp('1')], [line({ wy: -q }, { wy: 0 })]),
    [
      ['tip qL⁴/30EI', (r) => r.displacement('2')[1]!, (-q * L ** 4) / (30 * EI)],
      ['root −qL²/6', (r) => r.at('a', 'Mz', 0), (-q * L ** 2) / 6],
    ],
  ],
  [
    'cantilever, load rising to the tip',
    beam([clamp('1')], [line({ wy: 0 }, { wy: -q })]),
    [['tip 11qL⁴/120EI', (r) => r.displacement('2')[1]!, (-11 * q * L ** 4) / (120 * EI)]],
  ],
  [
    'propped cantilever, couple at the prop',
    beam([clamp('1'), roller('2')], [{ type: 'node', node: '2', mz: P }]),
    [
      ['half is carried over', (r) => r.at('a', 'Mz', 0), -P / 2],
      ['θ = ML/4EI', (r) => r.displacement('2')[2]!, (P * L) / (4 * EI)],
    ],
  ],
  [
    'propped cantilever with shear deformation',
    beam([clamp('1'), roller('2')], [line({ wy: -q })], {
      section: { Ay: 0.001 },
      extra: { analysis: { shearDeformation: true } },
    }),
    [
      [
        'prop (qL⁴/8EI + qL²/2GA) / (L³/3EI + L/GA)',
        (r) => r.reaction('2')[1]!,
        ((q * L ** 4) / (8 * EI) + (q * L ** 2) / (2 * 80e9 * 0.001)) / (L ** 3 / (3 * EI) + L / (80e9 * 0.001)),
      ],
    ],
  ],
  [
    'overhanging beam, load at its tip',
    {
      nodes: inRow(0, L, L + 2),
      members: [
        ['a', '1', '2'],
        ['b', '2', '3'],
      ],
      supports: [pin('1'), roller('2')],
      loads: [{ type: 'node', node: '3', fy: -P }],
    },
    [
      ['tip Pc²(L + c)/3EI', (r) => r.displacement('3')[1]!, (-P * 4 * (L + 2)) / (3 * EI)],
      ['lift between the supports PcL²/(9√3EI)', (r) => r.max('a', 'v').value, (P * 2 * L ** 2) / (9 * Math.sqrt(3) * EI)],
      ['uplift Pc/L', (r) => r.reaction('1')[1]!, (-P * 2) / L],
    ],
  ],
];
