import { SPECTRUM_DAMPING, spectrumDirections } from '../../model/spectrum-settings';
import { axisKeys, inReaderOrder, structureAxis, type AxisKey } from '../../quantities/axis-names';
import type { DisplayUnits } from '../../quantities/display';
import { inUnit, showNumber } from '../../quantities/show';
import type { Solution } from '../../results/results';
import { correlationOf } from '../../results/spectral/correlation';
import { accelerationAt, largestUpTo } from '../../results/spectral/ground';
import { isPlane } from '../../stiffness/structure';
import type { Column, Table } from '../column';
import { baseShear as WORDS } from './shape-words';
import { modesOf, type ModeRow } from './natural-modes';

/** What an earthquake along one axis pushes the base with, N. */
export interface BaseShear {
  readonly axis: AxisKey;
  /** By mode, of what they leave out, and of all together. */
  readonly modes: readonly number[];
  readonly rest: number;
  readonly together: number;
  /** S(T₁)·m: the period of the mode in which most takes part, and all mass that moves. EN 1998-1, 4.3.3.2.2 with λ = 1. */
  readonly static: number;
  readonly period: number;
  /** Of the mass that moves. */
  readonly share: number;
}

/** By direction; none where there is no earthquake, or where the spectrum does not tell it. */
export function baseShears(solution: Solution): readonly BaseShear[] {
  const { ground, masses } = solution;
  const rows = modesOf(solution);
  if (!ground || !masses || !solution.outcomes.some(({ kind }) => kind === 'spectral')) return [];
  const correlation = (one: ModeRow, other: ModeRow): number => {
    if (one === other) return 1;
    return ground.modes === 'srss' ? 0 : correlationOf(one.frequency, other.frequency, ground.damping ?? SPECTRUM_DAMPING);
  };
  return spectrumDirections(ground, isPlane(solution.structure) ? 'plane' : 'space').map((axis): BaseShear => {
    const k = axisKeys.indexOf(axis) as 0 | 1 | 2;
    const modes = rows.map(({ frequency, swing }) => swing.masses[k] * accelerationAt(ground, axis, 1 / frequency)!);
    const left = masses.leftOut?.find((one) => one.axis === k)?.mass ?? 0;
    const rest = left === 0 ? 0 : left * largestUpTo(ground, axis, 1 / rows.at(-1)!.frequency)!;
    let squares = rest * rest;
    rows.forEach((one, i) => rows.forEach((other, j) => (squares += correlation(one, other) * modes[i]! * modes[j]!)));
    const main = rows.reduce((most, row) => (row.swing.masses[k] > most.swing.masses[k] ? row : most));
    const period = 1 / main.frequency;
    return {
      axis,
      modes,
      rest,
      together: Math.sqrt(Math.max(0, squares)),
      static: accelerationAt(ground, axis, period)! * masses.moving[k],
      period,
      share: rows.reduce((sum, { shares }) => sum + shares[k], 0),
    };
  });
}

/** What the ground does and how it is put together, in a sentence; undefined where there is no earthquake. */
export function groundWords({ ground }: Pick<Solution, 'ground'>): string | undefined {
  if (!ground) return undefined;
  const { shape, ground: type = 'A', acceleration = 0, importance = 1, behaviour, damping = SPECTRUM_DAMPING } = ground;
  const numbers = [acceleration, importance, behaviour, 100 * damping].map((one) =>
    one === undefined ? undefined : showNumber(one),
  );
  const what = shape ? WORDS.standard(shape, type, numbers[0]!, numbers[1]!) : WORDS.table;
  const how = shape ? (numbers[2] === undefined ? WORDS.elastic : WORDS.design(numbers[2])) : '';
  return `${what}${how}. ${WORDS.together(ground.modes ?? 'cqc', numbers[3]!)}`;
}

/** A mode, what they leave out, all together, or the static force beside these. */
export type BaseShearRow = ModeRow | 'rest' | 'together' | 'static';

/** By mode what the ground does to it and with what it pushes the base, by direction; then all together, and the static one. The same whatever outcome is looked at. */
export function baseShearTable(solution: Solution, _: number, display: DisplayUnits): Table<BaseShearRow> | undefined {
  const all = new Map(baseShears(solution).map((one) => [one.axis, one]));
  if (all.size === 0) return undefined;
  const axes = inReaderOrder([...all.keys()], display);
  const modes = modesOf(solution);
  const letter = (axis: AxisKey): string => structureAxis(display, axis).letter;
  return {
    title: WORDS.title,
    columns: [
      {
        key: 'mode',
        title: WORDS.mode,
        width: 1.4,
        value: (row) => (typeof row === 'string' ? WORDS.rows[row] : String(row.number)),
      },
      {
        key: 'period',
        title: WORDS.period,
        unit: 's',
        value: (row) => (typeof row === 'string' ? undefined : 1 / row.frequency),
      },
      ...axes.map((axis): Column<BaseShearRow> => ({
        ...{ key: `acceleration ${axis}`, title: WORDS.acceleration(letter(axis)), unit: 'm/s²' },
        value: (row) => {
          if (row === 'together') return undefined;
          if (row === 'rest') return largestUpTo(solution.ground!, axis, 1 / modes.at(-1)!.frequency);
          return accelerationAt(solution.ground!, axis, row === 'static' ? all.get(axis)!.period : 1 / row.frequency);
        },
      })),
      ...axes.map((axis): Column<BaseShearRow> => ({
        ...{ key: `shear ${axis}`, title: WORDS.shear(letter(axis)), unit: display.force },
        value: (row) => {
          const one = all.get(axis)!;
          return inUnit(typeof row === 'string' ? one[row] : one.modes[row.number - 1]!, display.force);
        },
      })),
    ],
    rows: [...modes, ...(solution.masses?.leftOut ? (['rest'] as const) : []), 'together', 'static'],
  };
}
