import { A, ball, clamp3, E, EA, EI, EIY, G, GJ, I, IY } from '../build';
import type { Case } from './case';
import { L, P, q, beam, tip, uniform, free, both, cross } from './space';

const [c30, s30] = [Math.cos(Math.PI / 6), Math.sin(Math.PI / 6)];
const IYZ = 3e-6;
const DET = I * IY - IYZ * IYZ;

const axes: readonly Case[] = [
  [
    'rolled by a quarter: a vertical load meets the weak axis',
    beam([clamp3('1')], [tip({ fy: -P })], { roll: 90 }),
    [
      ['FL³/3EIy', (r) => free(r)[1]!, (-P * L ** 3) / (3 * EIY)],
      ['shown as My', (r) => Math.abs(r.at('a', 'My', 0)), P * L],
      ['and no Mz', (r) => r.at('a', 'Mz', 0), 0, P],
    ],
  ],
  [
    'rolled by 30°: unsymmetrical bending',
    beam([clamp3('1')], [tip({ fy: -P })], { roll: 30 }),
    [
      ['down F L³/3·(cos²/EIz + sin²/EIy)', (r) => free(r)[1]!, ((-P * L ** 3) / 3) * (c30 ** 2 / EI + s30 ** 2 / EIY)],
      ['sideways F L³/3·sin·cos·(1/EIz − 1/EIy)', (r) => free(r)[2]!, ((-P * L ** 3) / 3) * s30 * c30 * (1 / EI - 1 / EIY)],
      ['Mz = F·cos·L', (r) => r.at('a', 'Mz', 0), -P * c30 * L],
    ],
  ],
  [
    'section with Iyz: a vertical load moves it sideways too',
    beam([clamp3('1')], [tip({ fy: -P })], {}, { section: { Iyz: IYZ } }),
    [
      ['v = FL³/3E·Iy/(IzIy − Iyz²)', (r) => free(r)[1]!, (((-P * L ** 3) / (3 * E)) * IY) / DET],
      ['w = −FL³/3E·Iyz/(IzIy − Iyz²)', (r) => free(r)[2]!, (((P * L ** 3) / (3 * E)) * IYZ) / DET],
      ['no My', (r) => r.at('a', 'My', 0), 0, P],
      ['w inside the member', (r) => r.at('a', 'w', 2), (((P * (L * 4 - 8 / 3)) / (2 * E)) * IYZ) / DET],
    ],
  ],
  [
    'fixed beam of a section with Iyz, uniform load',
    beam(both, [uniform({ wy: -q })], {}, { section: { Iyz: IYZ } }),
    [
      ['Mz = −qL²/12 all the same', (r) => r.at('a', 'Mz', 0), (-q * L ** 2) / 12],
      ['no My', (r) => r.at('a', 'My', 0), 0, q * L ** 2],
      ['v = qL⁴/384E·Iy/(IzIy − Iyz²)', (r) => r.at('a', 'v', L / 2), (((-q * L ** 4) / (384 * E)) * IY) / DET],
    ],
  ],
  [
    'post under wind along X: y is −X',
    {
      nodes: [
        ['1', 0, 0, 0],
        ['2', 0, L, 0],
      ],
      members: [['a', '1', '2']],
      supports: [clamp3('1')],
      loads: [tip({ fx: P })],
    },
    [
      ['FL³/3EIz', (r) => free(r)[0]!, (P * L ** 3) / (3 * EI)],
      ['Mz: tension on the windward (−X, +y) face', (r) => r.at('a', 'Mz', 0), -P * L],
    ],
  ],
  [
    'post under wind along Z',
    {
      nodes: [
        ['1', 0, 0, 0],
        ['2', 0, L, 0],
      ],
      members: [['a', '1', '2']],
      supports: [clamp3('1')],
      loads: [tip({ fz: P })],
    },
    [
      ['FL³/3EIy', (r) => free(r)[2]!, (P * L ** 3) / (3 * EIY)],
      ['My', (r) => Math.abs(r.at('a', 'My', 0)), P * L],
    ],
  ],
  [
    'beam that rises in space under snow on its plan',
    {
      nodes: [
        ['1', 0, 0, 0],
        ['2', 2, 1, 2],
      ],
      members: [['a', '1', '2']],
      supports: [ball('1'), { node: '2', ux: 'fixed', uy: 'fixed', axes: { x: [1, 0, -1], y: [0, 1, 0] } }],
      loads: [{ type: 'line', member: 'a', axes: 'projected', from: { wy: -q }, to: { wy: -q } }],
    },
    [['reaction q·plan/2', (r) => r.reactions('2')[1]!, (q * Math.sqrt(8)) / 2, q * 4]],
  ],
  [
    'roller on a slope in space',
    beam(
      [
        { ...ball('1'), rx: 'fixed' },
        { node: '2', uy: 'fixed', uz: 'fixed', axes: { x: [4, 0, -3], y: [0, 1, 0] } },
      ],
      [tip({ fx: P })],
    ),
    [
      // The guide holds the direction normal to (4, 0, −3)/5: its force balances P and bends nothing.
      ['force on the guide', (r) => Math.hypot(r.reactions('2')[0]!, r.reactions('2')[2]!), 0, P],
      ['the pin takes the rest', (r) => r.reactions('1')[0]!, -P],
    ],
  ],
];

/** J of a bar of 0.2 × 0.1 m: b·t³·(1/3 − 64/π⁵·t/b·Σ tanh(nπb/2t)/n⁵), n odd (Timoshenko and Goodier, §109). */
const J_TWO_TO_ONE =
  0.2 *
  0.1 ** 3 *
  (1 / 3 -
    (32 / Math.PI ** 5) *
      Array.from({ length: 999 }, (_, i) => Math.tanh((2 * i + 1) * Math.PI) / (2 * i + 1) ** 5).reduce((a, b) => a + b));

const H = 2.5;
const leg = Math.hypot(2, 3);
const joints: readonly Case[] = [
  [
    'bracket of two members at right angles: bending and torsion',
    {
      nodes: [
        ['1', 0, 0, 0],
        ['m', L, 0, 0],
        ['2', L, 0, H],
      ],
      members: [
        ['a', '1', 'm'],
        ['b', 'm', '2'],
      ],
      supports: [clamp3('1')],
      loads: [tip({ fy: -P })],
    },
    [
      ['FL³/3EI + FH³/3EI + FH²L/GJ', (r) => free(r)[1]!, -P * (L ** 3 / (3 * EI) + H ** 3 / (3 * EI) + (H ** 2 * L) / GJ)],
      ['torque in the first', (r) => Math.abs(r.at('a', 'T', 1)), P * H],
      ['moment at the root', (r) => r.at('a', 'Mz', 0), -P * L],
    ],
  ],
  [
    'two simple beams that cross in the middle share the load',
    {
      ...cross(3, 2),
      supports: [ball('w'), ball('e'), { node: 'n', uy: 'fixed' }, { node: 's', uy: 'fixed' }],
      loads: [tip({ fy: -P })],
    },
    [
      ['the short one takes 6³/(6³ + 4³)', (r) => r.reactions('n')[1]! + r.reactions('s')[1]!, (P * 216) / (216 + 64)],
      ['sinks by F/(48EI/6³ + 48EI/4³)', (r) => free(r)[1]!, -P / ((48 * EI) / 216 + (48 * EI) / 64)],
    ],
  ],
  [
    'grid of four arms fixed at their far ends',
    {
      ...cross(3, 3),
      supports: [clamp3('w'), clamp3('e'), clamp3('n'), clamp3('s')],
      loads: [tip({ fy: -P })],
    },
    [
      ['Fl³/48EI', (r) => free(r)[1]!, (-P * 27) / (48 * EI)],
      ['Mz at the middle = Fl/8', (r) => r.at('a', 'Mz', 3), (P * 3) / 8],
    ],
  ],
  [
    'three clamped arms along the axes, a couple about Z at their joint',
    {
      nodes: [
        ['x', -3, 0, 0],
        ['y', 0, -3, 0],
        ['z', 0, 0, -3],
        ['2', 0, 0, 0],
      ],
      members: [
        ['a', 'x', '2'],
        ['b', 'y', '2'],
        ['c', 'z', '2'],
      ],
      supports: [clamp3('x'), clamp3('y'), clamp3('z'), { node: '2', ux: 'fixed', uy: 'fixed', uz: 'fixed' }],
      loads: [tip({ mz: 6e3 })],
    },
    [
      ['θ = M / (4EIz/l + 4EIz/l + GJ/l)', (r) => free(r)[5]!, (6e3 * 3) / (8 * EI + GJ)],
      ['torque of the arm along Z', (r) => Math.abs(r.at('c', 'T', 1)), (6e3 * GJ) / (8 * EI + GJ)],
    ],
  ],
  [
    'tripod under its own top load',
    {
      nodes: [
        ['p', 2, 0, 0],
        ['q', -1, 0, Math.sqrt(3)],
        ['s', -1, 0, -Math.sqrt(3)],
        ['2', 0, 3, 0],
      ],
      members: [
        ['a', 'p', '2', { behaviour: 'truss' }],
        ['b', 'q', '2', { behaviour: 'truss' }],
        ['c', 's', '2', { behaviour: 'truss' }],
      ],
      supports: [ball('p'), ball('q'), ball('s')],
      loads: [tip({ fy: -P })],
    },
    [
      ['leg −F/(3·sin)', (r) => r.at('a', 'N', 1), -P / (3 * (3 / leg))],
      ['sinks by F·l³/(3·EA·h²)', (r) => free(r)[1]!, (-P * leg ** 3) / (3 * EA * 9)],
      ['thrust of a foot', (r) => r.reactions('p')[0]!, (-P / 3) * (2 / 3)],
    ],
  ],
  [
    'tripod with one leg made too long: nothing is strained, the top moves',
    {
      nodes: [
        ['p', 2, 0, 0],
        ['q', -1, 0, Math.sqrt(3)],
        ['s', -1, 0, -Math.sqrt(3)],
        ['2', 0, 3, 0],
      ],
      members: [
        ['a', 'p', '2', { behaviour: 'truss' }],
        ['b', 'q', '2', { behaviour: 'truss' }],
        ['c', 's', '2', { behaviour: 'truss' }],
      ],
      supports: [ball('p'), ball('q'), ball('s')],
      loads: [{ type: 'strain', member: 'a', elongation: 0.003 }],
    },
    [
      ['no force', (r) => r.at('a', 'N', 1), 0, EA * 1e-3],
      ['rises by e·l/(3h) (virtual work)', (r) => free(r)[1]!, (0.003 * leg) / 9],
    ],
  ],
  [
    'load beside the axis: a rigid arm twists the cantilever',
    beam(
      [clamp3('1')],
      [tip({ fy: -P })],
      { offset: { end: [0, 0, -0.4] } },
      {
        nodes: [
          ['1', 0, 0, 0],
          ['2', L, 0, 0.4],
        ],
      },
    ),
    [
      ['torque F·e', (r) => r.at('a', 'T', 1), P * 0.4],
      ['tip FL³/3EI + F·e²·L/GJ', (r) => free(r)[1]!, (-P * L ** 3) / (3 * EI) - (P * 0.4 ** 2 * L) / GJ],
    ],
  ],
  [
    'hanging bar stretches under its own weight',
    {
      nodes: [
        ['1', 0, 6, 1],
        ['2', 0, 0, 1],
      ],
      members: [['a', '1', '2']],
      supports: [clamp3('1')],
      extra: {
        cases: [{ id: 'Q', category: 'permanent', selfWeight: 1 }],
        materials: [{ id: 'm', E, G, density: 7850 }],
      },
    },
    [
      ['ρgL²/2E', (r) => free(r)[1]!, (-7850 * 9.80665 * 36) / (2 * E)],
      ['N at the top = ρgAL', (r) => r.max('a', 'N').value, 7850 * 9.80665 * A * 6],
    ],
  ],
  [
    'rectangular bar twists by the series for its section',
    beam(
      [clamp3('1')],
      [tip({ mx: 1e3 })],
      {},
      {
        extra: { sections: [{ id: 's', shape: { type: 'rectangle', h: 0.2, b: 0.1 } }] },
      },
    ),
    [['TL/GJ', (r) => free(r)[3]!, (1e3 * L) / (G * J_TWO_TO_ONE)]],
  ],
];

/** Members that lie at an angle, and those that meet others. */
export const spaceStructures: readonly Case[] = [...axes, ...joints];
