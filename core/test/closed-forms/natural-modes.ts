import type { Shape } from '../../combinations/outcome';
import type { NaturalModesSettings } from '../../model/analysis-settings';
import { A, clamp, E, EI, G, I, IY, J, pin, roller, type Reading, type Sketch } from '../build';
import type { Case } from './case';

const L = 5;
const DENSITY = 7850;
const MASS = DENSITY * A;
const GRAVITY = 9.80665;

/** A structure that swings; its members have mass where nothing else is said. */
const swinging = (rest: Partial<Sketch>, naturalModes: NaturalModesSettings = {}, density = DENSITY): Sketch => ({
  nodes: [['1', 0, 0], ['2', L, 0]], // oxfmt-ignore
  members: [['m', '1', '2']],
  supports: [pin('1'), roller('2')],
  ...rest,
  extra: {
    materials: [{ id: 'm', E, G, density, alpha: 1.2e-5 }],
    ...rest.extra,
    analysis: { naturalModes, ...rest.extra?.analysis },
  },
});

const modes = ({ solution }: Reading): readonly Shape[] => solution.outcomes.filter((one): one is Shape => one.kind === 'shape');
const frequency =
  (mode: number) =>
  (r: Reading): number =>
    modes(r)[mode - 1]!.value;
const hertz = (square: number): number => Math.sqrt(square) / (2 * Math.PI);
/** Of bending in κL. */
const bending = (κL: number, mass = MASS): number => hertz((κL / L) ** 4 * (EI / mass));

/** cosh κL · cos κL = −1. */
const CANTILEVER = [1.8751040687119612, 4.694091132974175] as const;
/** What of its mass takes part across: (2σ/κL)², σ = (sinh κL − sin κL)/(cosh κL + cos κL). */
const takesPart = (κL: number): number => ((2 * (Math.sinh(κL) - Math.sin(κL))) / (Math.cosh(κL) + Math.cos(κL)) / κL) ** 2;

/** ω² of two equal masses on a weightless cantilever, half way and at its end: with f = L³/(48EI)·[2 5; 5 16]. */
const twoMasses = (m: number): readonly [number, number] => {
  const f = (m * L ** 3) / (48 * EI);
  const root = Math.sqrt(14 ** 2 + 4 * 25);
  return [1 / ((f * (18 + root)) / 2), 1 / ((f * (18 - root)) / 2)];
};

const SHEARED = 0.002;
/** The slower root of Timoshenko's beam on two supports. */
function timoshenko(n: number): number {
  const k = (n * Math.PI) / L;
  const [GA, rotary] = [G * SHEARED, DENSITY * I];
  const [a, b, c] = [(MASS * rotary) / GA, MASS + k * k * (rotary + (MASS * EI) / GA), EI * k ** 4];
  return (2 * c) / (b + Math.sqrt(b * b - 4 * a * c));
}

/** Natural modes. Each member is one. */
export const naturalModesForms: readonly Case[] = [
  ['beam on two supports, natural modes', swinging({}), [1, 2, 3].map((n) => [`f${n} of κL = ${n}π`, frequency(n), bending(n * Math.PI)] as const)],
  [
    'cantilever, natural modes',
    swinging({ supports: [clamp('1')] }),
    [
      ...CANTILEVER.map((κL, i) => [`f${i + 1} of cosh κL · cos κL = −1`, frequency(i + 1), bending(κL)] as const),
      ...CANTILEVER.map((κL, i) => [`mass that takes part in mode ${i + 1}`, (r: Reading) => modes(r)[i]!.swing!.masses[1], takesPart(κL) * MASS * L] as const),
      ['generalised mass mL/4', (r) => modes(r)[0]!.swing!.generalised, (MASS * L) / 4],
    ],
  ],
  ['member between clamps, natural modes', swinging({ supports: [clamp('1'), clamp('2')] }), [['f1 of cosh κL · cos κL = 1', frequency(1), bending(4.730040744862704)]]],
  [
    'member clamped and hinged, natural modes',
    swinging({ members: [['m', '1', '2', { releases: { end: { mz: 'free' } } }]], supports: [clamp('1'), clamp('2')] }),
    [['f1 of tan κL = tanh κL', frequency(1), bending(3.9266023120479185)]],
  ],
  [
    'beam on two supports with shear and rotary inertia, natural modes',
    swinging({ section: { Ay: SHEARED }, extra: { analysis: { shearDeformation: true } } }),
    [1, 2, 3].map((n) => [`f${n} by Timoshenko`, frequency(n), hertz(timoshenko(n))] as const),
  ],
  [
    'weightless beam under a load that counts, natural modes',
    swinging({ loads: [{ type: 'line', member: 'm', from: { wy: -2000 }, to: { wy: -2000 } }] }, { selfWeight: false, cases: { Q: 0.3 } }, 0),
    [['f1 of the mass 0.3·q/g', frequency(1), bending(Math.PI, 600 / GRAVITY)]],
  ],
  [
    'weightless cantilever with two masses, natural modes',
    swinging({ nodes: [['1', 0, 0], ['2', L / 2, 0], ['3', L, 0]], members: [['a', '1', '2'], ['b', '2', '3']], supports: [clamp('1'), { node: '2', ux: 'fixed' }, { node: '3', ux: 'fixed' }] }, { nodes: [{ node: '2', mass: 300 }, { node: '3', mass: 300 }] }, 0),
    twoMasses(300).map((square, i) => [`f${i + 1} of f = L³/(48EI)·[2 5; 5 16]`, frequency(i + 1), hertz(square)] as const),
  ],
  [
    'mast in space that twists, natural modes',
    swinging({
      nodes: [['1', 0, 0, 0], ['2', L, 0, 0]],
      supports: [
        { node: '1', ux: 'fixed', uy: 'fixed', uz: 'fixed', rx: 'fixed', ry: 'fixed', rz: 'fixed' },
        { node: '2', ux: 'fixed', uy: 'fixed', uz: 'fixed', ry: 'fixed', rz: 'fixed' },
      ],
      section: { Iy: 1e3 * IY, Iz: 1e3 * I, J: J / 1e3 },
    }),
    [['f1 of a quarter wave of torsion', frequency(1), Math.sqrt((G * J) / 1e3 / (DENSITY * 1e3 * (I + IY))) / (4 * L)]],
  ],
]; // oxfmt-ignore
