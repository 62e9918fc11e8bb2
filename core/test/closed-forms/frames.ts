import type { Support } from '../../model/model';
import { clamp, E, EA, EI, G, I, inRow, pin, roller, type Sketch } from '../build';
import type { Case, LooseLoad } from './case';
import { beam, L, line, P, q } from './plane';

const H = 4;

function portal(supports: Support[], loads: LooseLoad[]): Sketch {
  return {
    nodes: [
      ['1', 0, 0],
      ['2', 0, H],
      ['3', L, H],
      ['4', L, 0],
    ],
    members: [
      ['a', '1', '2'],
      ['b', '2', '3'],
      ['c', '4', '3'],
    ],
    supports,
    loads,
  };
}

/** Shear X in the middle of the beam of a fixed portal that sways under P/2 at each corner, by the force method, columns shortening. */
const portalShear = ((P / 2) * (H ** 2 / 2) * (L / 2)) / (L ** 3 / 24 + (L ** 2 * H) / 4 + (H * EI) / EA);
/** Thrust of a pinned portal under a uniform beam load, by the force method, the beam shortening. */
const portalThrust = (q * L ** 3 * H) / 12 / (H ** 2 * L + (2 * H ** 3) / 3 + (EI / EA) * L);

/** Portals, trusses, and what lies at an angle. */
export const frames: readonly Case[] = [
  [
    'portal on fixed feet, sway load',
    portal(
      [clamp('1'), clamp('4')],
      ['2', '3'].map((node) => ({ type: 'node', node, fx: P / 2 })),
    ),
    [
      ['shears add up', (r) => r.reaction('1')[0]! + r.reaction('4')[0]!, -P],
      ['foot moment', (r) => r.reaction('1')[2]!, (P / 2) * H - (portalShear * L) / 2],
      ['corner moment', (r) => Math.abs(r.at('b', 'Mz', 0)), (portalShear * L) / 2],
    ],
  ],
  [
    'portal on pinned feet, sway load',
    portal([pin('1'), pin('4')], [{ type: 'node', node: '2', fx: P }]),
    [['vertical reaction PH/L', (r) => r.reaction('4')[1]!, (P * H) / L]],
  ],
  [
    'portal on pinned feet, beam load',
    portal([pin('1'), pin('4')], [{ type: 'line', member: 'b', from: { wy: -q }, to: { wy: -q } }]),
    [
      ['thrust', (r) => r.reaction('1')[0]!, portalThrust],
      ['corner moment', (r) => r.at('b', 'Mz', 0), -portalThrust * H],
    ],
  ],
  [
    'truss by joints',
    {
      nodes: [
        ['1', 0, 0],
        ['2', 4, 0],
        ['3', 2, 3],
      ],
      members: [
        ['a', '1', '2', { behaviour: 'truss' }],
        ['b', '1', '3', { behaviour: 'truss' }],
        ['c', '3', '2', { behaviour: 'truss' }],
      ],
      supports: [pin('1'), roller('2')],
      loads: [{ type: 'node', node: '3', fy: -P }],
    },
    [
      ['rafter −P/2 / sin', (r) => r.at('b', 'N', 0), -P / 2 / (3 / Math.hypot(2, 3))],
      ['tie', (r) => r.at('a', 'N', 2), (P / 2) * (2 / 3)],
      [
        'joint is lowered (virtual work)',
        (r) => r.displacement('3')[1]!,
        (() => {
          const l = Math.hypot(2, 3);
          const n = -0.5 / (3 / l);
          return -(P / EA) * (2 * n * n * l + (1 / 3) ** 2 * 4);
        })(),
      ],
    ],
  ],
  [
    'truss member with its own load bends as a simple span',
    {
      nodes: inRow(0, L),
      members: [['a', '1', '2', { behaviour: 'truss' }]],
      supports: [pin('1'), pin('2')],
      loads: [line({ wy: -q })],
    },
    [
      ['qL²/8', (r) => r.max('a', 'Mz').value, (q * L ** 2) / 8],
      ['5qL⁴/384EI', (r) => r.min('a', 'v').value, (-5 * q * L ** 4) / (384 * EI)],
    ],
  ],
  ...(
    [
      ['truss member', { behaviour: 'truss' }],
      ['frame member with both bending ends freed', { releases: { start: { mz: 'free' }, end: { mz: 'free' } } }],
    ] as const
  ).map(([name, ends]): Case => [
    `${name} with its own load and shear deformation`,
    {
      nodes: inRow(0, L),
      members: [['a', '1', '2', ends]],
      supports: [pin('1'), pin('2')],
      loads: [line({ wy: -q })],
      section: { Ay: 0.002 },
      extra: { analysis: { shearDeformation: true } },
    },
    [
      ['qL²/8', (r) => r.max('a', 'Mz').value, (q * L ** 2) / 8],
      ['5qL⁴/384EI + qL²/8GA', (r) => r.min('a', 'v').value, (-5 * q * L ** 4) / (384 * EI) - (q * L ** 2) / (8 * G * 0.002)],
    ],
  ]),
  [
    'sloping beam under snow on its plan',
    {
      nodes: [
        ['1', 0, 0],
        ['2', 4, 3],
      ],
      members: [['a', '1', '2']],
      supports: [pin('1'), roller('2')],
      loads: [line({ wy: -q }, { wy: -q }, { axes: 'projected' })],
    },
    [
      ['M = q·plan²/8', (r) => r.max('a', 'Mz').value, (q * 4 ** 2) / 8],
      ['reaction q·plan/2', (r) => r.reaction('1')[1]!, (q * 4) / 2],
      ['N at the foot', (r) => r.at('a', 'N', 0), -((q * 4) / 2) * (3 / 5)],
    ],
  ],
  [
    'roller on a slope',
    {
      nodes: inRow(0, L),
      members: [['a', '1', '2']],
      supports: [pin('1'), { node: '2', uy: 'fixed', angle: 30 }],
      loads: [line({ wy: -q })],
    },
    [
      ['vertical qL/2', (r) => r.reaction('2')[1]!, (q * L) / 2],
      ['normal to the slope', (r) => r.reaction('2')[0]!, -((q * L) / 2) * Math.tan(Math.PI / 6)],
    ],
  ],
  [
    'rigid arms shorten the span',
    beam([clamp('1'), clamp('2')], [line({ wy: -q })], {
      members: [['a', '1', '2', { offset: { start: [1, 0, 0], end: [-1, 0, 0] } }]],
    }),
    [
      ['member end −q·l²/12', (r) => r.at('a', 'Mz', 0), (-q * 4 ** 2) / 12],
      ['couple at the node = ql²/12 + ql/2·1', (r) => r.reaction('1')[2]!, (q * 16) / 12 + ((q * 4) / 2) * 1],
    ],
  ],
  [
    'section on its side uses the weak axis',
    beam([clamp('1')], [{ type: 'node', node: '2', fy: -P }], {
      members: [['a', '1', '2', { roll: 90 }]],
      section: { Iy: I / 4 },
    }),
    [['tip PL³/3EIy', (r) => r.displacement('2')[1]!, (-P * L ** 3) / (3 * E * (I / 4))]],
  ],
  [
    'self weight',
    beam([pin('1'), roller('2')], [], {
      extra: { cases: [{ id: 'Q', category: 'permanent', selfWeight: 1.1 }], materials: [{ id: 'm', E, density: 7850 }] },
    }),
    [['ρAgL·f/2', (r) => r.reaction('1')[1]!, (1.1 * 7850 * 0.005 * 9.80665 * L) / 2]],
  ],
  [
    'square panel with both diagonals, hinged',
    {
      nodes: [
        ['1', 0, 0],
        ['2', 3, 0],
        ['3', 3, 3],
        ['4', 0, 3],
      ],
      members: (
        [
          ['a', '2', '3'],
          ['b', '3', '4'],
          ['c', '4', '1'],
          ['d', '1', '3'],
          ['e', '2', '4'],
        ] as const
      ).map(([id, start, end]) => [id, start, end, { behaviour: 'truss' }]),
      supports: [pin('1'), pin('2')],
      loads: [{ type: 'node', node: '4', fx: P }],
    },
    [
      // One redundant X, the diagonal e: n = −1/√2 in a, b and c, 1 in both diagonals; without it N: d = P√2, a = −P, b = −P.
      ['force in the redundant diagonal', (r) => r.at('e', 'N', 1), -(P * 3 * Math.SQRT2 + P * 6) / (3 * 1.5 + 6 * Math.SQRT2)],
    ],
  ],
  [
    'bar between walls that is heated against a spring',
    beam([clamp('1'), { node: '2', ux: 5e7, uy: 'fixed' }], [{ type: 'thermal', member: 'a', uniform: 30 }]),
    [['N = −αTL / (L/EA + 1/k)', (r) => r.at('a', 'N', 1), (-1.2e-5 * 30 * L) / (L / EA + 1 / 5e7)]],
  ],
  [
    'rigid portal between clamped feet, warmed: the beam pushes its columns apart',
    portal([clamp('1'), clamp('4')], [{ type: 'thermal', member: 'b', uniform: 25 }]),
    [['the feet push back alike', (r) => r.reaction('1')[0]! + r.reaction('4')[0]!, 0, 1e3]],
  ],
];
