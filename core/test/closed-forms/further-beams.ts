import { clamp, EA, EI, inRow, pin, roller } from '../build';
import type { Case } from './case';
import { beam, L, line, P, q } from './plane';

/** Beams in the plane: springs, grounds that settle, releases, several spans, shear deformation. */
export const furtherBeams: readonly Case[] = [
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
