import type { SpectrumSettings } from '../../model/spectrum-settings';
import { nodalRange } from '../../results/nodal-range';
import { quantityExtremes } from '../../results/read-quantity';
import type { LineQuantity } from '../../results/quantities';
import { baseShears } from '../../tables/results/base-shear';
import { clamp, E, EI, I, IY, clamp3, type Reading, type Sketch } from '../build';
import type { Case } from './case';

const H = 5;
const MASS = 2000;
const STIFFNESS = (3 * EI) / H ** 3;
const PERIOD = 2 * Math.PI * Math.sqrt(MASS / STIFFNESS);
const AG = 2;

/** A weightless mast with masses on it. */
const mast = (spectrum: SpectrumSettings, rest: Partial<Sketch> = {}, masses: readonly (readonly [string, number])[] = [['2', MASS]]): Sketch => ({
  nodes: [['1', 0, 0], ['2', 0, H]],
  members: [['m', '1', '2']],
  supports: [clamp('1')],
  ...rest,
  extra: { ...rest.extra, analysis: { naturalModes: { nodes: masses.map(([node, mass]) => ({ node, mass })), spectrum } } },
}); // oxfmt-ignore

const placeOf = ({ solution }: Reading, id: string): number => solution.outcomes.findIndex((one) => one.id === id);
const reaches =
  (quantity: LineQuantity, id: string, m = 0) =>
  (r: Reading): number =>
    quantityExtremes(r.solution, placeOf(r, id), m, quantity)!.max.value;
const moves =
  (node: number, freedom: number, id: string) =>
  (r: Reading): number =>
    nodalRange(r.solution, placeOf(r, id), 'displacements', 6 * node + freedom).max;
const shear =
  (key: 'together' | 'static') =>
  (r: Reading): number =>
    baseShears(r.solution)[0]![key];

const SIDEWAYS = 'Earthquake right and left';
const ONWARDS = 'Earthquake forward and back';

/** Two masses half way up and at the top: with f = H³/(48EI)·[2 5; 5 16] modal masses of a push on both, and their frequencies. */
const twoMasses = ((): readonly { readonly ω: number; readonly part: number }[] => {
  const f = (MASS * H ** 3) / (48 * EI);
  return [1, -1].map((sign) => {
    const μ = (18 + sign * Math.sqrt(14 ** 2 + 4 * 25)) / 2;
    // (2 − μ)·a + 5·b = 0.
    const [a, b] = [5, μ - 2];
    return { ω: 1 / Math.sqrt(f * μ), part: (MASS * (a + b) ** 2) / (a * a + b * b) };
  });
})();
const DAMPING = 0.1;
const ratio = twoMasses[0]!.ω / twoMasses[1]!.ω;
const correlation =
  (8 * DAMPING ** 2 * (1 + ratio) * ratio ** 1.5) / ((1 - ratio ** 2) ** 2 + 4 * DAMPING ** 2 * ratio * (1 + ratio) ** 2);
const [first, second] = twoMasses.map(({ part }) => part * AG) as [number, number];

const level = { table: [{ period: 0, acceleration: AG }, { period: 100, acceleration: AG }] }; // oxfmt-ignore
const tall: Partial<Sketch> = { nodes: [['1', 0, 0], ['2', 0, H / 2], ['3', 0, H]], members: [['a', '1', '2'], ['b', '2', '3']] }; // oxfmt-ignore
const both: readonly (readonly [string, number])[] = [['2', MASS], ['3', MASS]]; // oxfmt-ignore

const weak = Math.sqrt((3 * E * IY) / H ** 3 / MASS);
const acrossTo = Math.sqrt((3 * E * I) / H ** 3 / MASS);
const inSpace: Partial<Sketch> = {
  nodes: [
    ['1', 0, 0, 0],
    ['2', 0, H, 0],
  ],
  supports: [clamp3('1')],
};
const slanted: Partial<Sketch> = { ...inSpace, members: [['m', '1', '2', { roll: 45 }]], section: { Iy: I, Iz: I } };

/** Earthquakes: of one mode by hand, of two with their correlation, along two directions. */
export const earthquakeForms: readonly Case[] = [
  [
    'mast with a mass on it, elastic spectrum of EN 1998-1',
    mast({ shape: 'type 1', ground: 'B', acceleration: AG }),
    [
      // T > TC = 0.5 s: a_g·S·2.5·TC/T.
      ['base shear m·S(T)', reaches('Vy', SIDEWAYS), (MASS * AG * 1.2 * 2.5 * 0.5) / PERIOD],
      ['moment at its foot', reaches('Mz', SIDEWAYS), (H * MASS * AG * 1.2 * 2.5 * 0.5) / PERIOD],
      ['movement S(T)/ω²', moves(1, 0, SIDEWAYS), ((AG * 1.2 * 2.5 * 0.5) / PERIOD) * (PERIOD / (2 * Math.PI)) ** 2],
      ['the static force is the same', shear('static'), (MASS * AG * 1.2 * 2.5 * 0.5) / PERIOD],
    ],
  ],
  [
    'mast with a mass on it, design spectrum of EN 1998-1',
    mast({ shape: 'type 1', ground: 'B', acceleration: AG, importance: 1.2, behaviour: 3 }),
    [['moment at its foot', reaches('Mz', SIDEWAYS), H * MASS * Math.max((1.2 * AG * 1.2 * (2.5 / 3) * 0.5) / PERIOD, 0.2 * 1.2 * AG)]],
  ],
  [
    'mast with two masses under a level spectrum, modes by their correlation',
    mast({ ...level, damping: DAMPING }, tall, both),
    [
      ['base shear', reaches('Vy', SIDEWAYS), Math.sqrt(first ** 2 + second ** 2 + 2 * correlation * first * second)],
      ['base shear in the list', shear('together'), Math.sqrt(first ** 2 + second ** 2 + 2 * correlation * first * second)],
      ['all mass with the main mode', shear('static'), 2 * MASS * AG],
    ],
  ],
  [
    'mast with two masses under a level spectrum, root of the sum of squares',
    mast({ ...level, modes: 'srss' }, tall, both),
    [['base shear', reaches('Vy', SIDEWAYS), Math.hypot(first, second)]],
  ],
  [
    'mast in space, two directions',
    mast({ shape: 'type 1', ground: 'A', acceleration: AG, sum: 'shares' }, inSpace),
    [
      ['across its weak axis', moves(1, 0, SIDEWAYS), (AG * 2.5 * 0.4 * acrossTo) / (2 * Math.PI) / acrossTo ** 2],
      ['the other way', moves(1, 2, ONWARDS), Math.min(AG * 2.5 * 0.4 * weak / (2 * Math.PI), (AG * 2.5 * 0.4 * 2 * weak ** 2) / (2 * Math.PI) ** 2) / weak ** 2],
    ],
  ],
  [
    'mast of equal stiffness rolled by 45°, two directions at once',
    mast({ shape: 'type 1', ground: 'A', acceleration: AG }, slanted),
    [['moment by the root of squares: S·m·H whichever way', reaches('Mz', 'Earthquake'), (H * MASS * AG * 2.5 * 0.4 * acrossTo) / (2 * Math.PI)]],
  ],
  [
    'mast of equal stiffness rolled by 45°, each direction with 0.3 of the other',
    mast({ shape: 'type 1', ground: 'A', acceleration: AG, sum: 'shares' }, slanted),
    [['moment 1.3/√2·S·m·H', reaches('Mz', 'Earthquake'), ((1.3 / Math.SQRT2) * H * MASS * AG * 2.5 * 0.4 * acrossTo) / (2 * Math.PI)]],
  ],
]; // oxfmt-ignore
