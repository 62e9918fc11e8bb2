import type { Load } from '../../model/model';
import { clamp, clamp3, G, inRow, pin, roller, type Reading, type Sketch } from '../build';
import type { Case } from './case';

/** A value as a book prints it: ours must agree to the last printed digit, which is all that can be asked. */
export type Printed = readonly [what: string, ours: (r: Reading) => number, printed: string];
/** A structure from a publication, which its name cites. */
export type PublishedCase = readonly [name: string, structure: Sketch, checks: readonly Printed[]];

/** Half a unit in the last digit of a printed number. */
export const halfUnit = (printed: string): number => 0.5 * 10 ** -(printed.split('.')[1]?.length ?? 0);

/** In kip and inches, which take the place of N and m. */
const planeFrame: PublishedCase = [
  'Plane frame of two members (Weaver and Gere, Matrix Analysis of Framed Structures; kip, in)',
  {
    nodes: [['A', 100, 75], ['B', 0, 75], ['C', 200, 0]],
    members: [['1', 'B', 'A'], ['2', 'A', 'C']],
    supports: [clamp('B'), clamp('C')],
    loads: [
      { type: 'node', node: 'A', fy: -10, mz: -1000 },
      { type: 'line', member: '1', from: { wy: -0.24 }, to: { wy: -0.24 } },
      { type: 'point', member: '2', at: 0.5, fy: -20 },
    ],
    extra: { materials: [{ id: 'm', E: 1e4 }], sections: [{ id: 's', A: 10, Iz: 1000 }] },
  },
  [
    ['joint A moves along X', (r) => r.displacement('A')[0]!, '-0.0202608'],
    ['joint A moves along Y', (r) => r.displacement('A')[1]!, '-0.0993600'],
    ['joint A turns', (r) => r.displacement('A')[2]!, '-0.00179756'],
    ['reaction at B along X', (r) => r.reaction('B')[0]!, '20.261'],
    ['reaction at B along Y', (r) => r.reaction('B')[1]!, '13.138'],
    ['couple at B', (r) => r.reaction('B')[2]!, '436.648'],
    ['reaction at C along Y', (r) => r.reaction('C')[1]!, '40.862'],
    ['couple at C', (r) => r.reaction('C')[2]!, '-889.525'],
  ],
]; // oxfmt-ignore

/** k of J = k·b·t³ by b/t. */
const TORSION: readonly (readonly [ratio: number, printed: string])[] = [
  [1, '0.1406'],
  [1.2, '0.166'],
  [1.5, '0.196'],
  [2, '0.229'],
  [2.5, '0.249'],
  [3, '0.263'],
  [4, '0.281'],
  [5, '0.291'],
  [10, '0.312'],
];

const torsion = TORSION.map(
  ([ratio, printed]): PublishedCase => [
    `Torsion of a rectangular bar, b/t = ${ratio} (Timoshenko and Goodier, Theory of Elasticity, table of §109)`,
    {
      nodes: [['1', 0, 0, 0], ['2', 1, 0, 0]],
      members: [['a', '1', '2']],
      supports: [clamp3('1')],
      loads: [{ type: 'node', node: '2', mx: 1 }],
      extra: { sections: [{ id: 's', shape: { type: 'rectangle', h: 0.1 * ratio, b: 0.1 } }] },
    },
    [['T·L/(G·θ·b·t³)', (r) => 1 / (G * r.displacements('2')[3]! * 0.1 * ratio * 0.1 ** 3), printed]],
  ],
); // oxfmt-ignore

export const published: readonly PublishedCase[] = [planeFrame, ...torsion];

const L = 6;
const q = 5e3;

/** A beam over equal spans under a uniform load on all of them. */
const spans = (count: number): Sketch => ({
  nodes: inRow(...Array.from({ length: count + 1 }, (_, i) => i * L)),
  members: Array.from({ length: count }, (_, i) => [`${i + 1}`, `${i + 1}`, `${i + 2}`]),
  supports: [pin('1'), ...Array.from({ length: count }, (_, i) => roller(`${i + 2}`))],
  loads: Array.from(
    { length: count },
    (_, i): Omit<Load, 'case'> => ({ type: 'line', member: `${i + 1}`, from: { wy: -q }, to: { wy: -q } }) as Load,
  ) as Sketch['loads'] & object,
});

/** Clapeyron's theorem of three moments (Comptes rendus 45, 1857) for equal spans, solved in fractions. */
export const threeMoments: readonly Case[] = [
  [
    'four equal spans, uniform load (Clapeyron 1857)',
    spans(4),
    [
      ['second support −3qL²/28', (r) => r.at('2', 'Mz', 0), (-3 * q * L ** 2) / 28],
      ['middle support −qL²/14', (r) => r.at('3', 'Mz', 0), (-q * L ** 2) / 14],
      ['end reaction 11qL/28', (r) => r.reaction('1')[1]!, (11 * q * L) / 28],
      ['second reaction 8qL/7', (r) => r.reaction('2')[1]!, (8 * q * L) / 7],
      ['end span 121qL²/1568', (r) => r.max('1', 'Mz').value, (121 * q * L ** 2) / 1568],
    ],
  ],
  [
    'five equal spans, uniform load (Clapeyron 1857)',
    spans(5),
    [
      ['second support −2qL²/19', (r) => r.at('2', 'Mz', 0), (-2 * q * L ** 2) / 19],
      ['third support −3qL²/38', (r) => r.at('3', 'Mz', 0), (-3 * q * L ** 2) / 38],
      ['end reaction 15qL/38', (r) => r.reaction('1')[1]!, (15 * q * L) / 38],
      ['second reaction 43qL/38', (r) => r.reaction('2')[1]!, (43 * q * L) / 38],
      ['third reaction 37qL/38', (r) => r.reaction('3')[1]!, (37 * q * L) / 38],
    ],
  ],
];
