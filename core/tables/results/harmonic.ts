import type { DisplayUnits } from '../../quantities/display';
import { inUnit } from '../../quantities/show';
import { Harmonic, type HarmonicResponse } from '../../results/harmonic';
import type { Solution } from '../../results/results';
import type { Table } from '../column';
import { harmonic as WORDS } from './shape-words';

/** The range of frequencies that is shown: the one that was asked for, or from nothing to the last mode that was found. */
export function harmonicRange({ masses }: Solution, { reach }: Harmonic): readonly [from: number, to: number] {
  const to = masses?.harmonic?.to ?? reach;
  return [Math.min(masses?.harmonic?.from ?? 0, to), to];
}

/** The force that swings, on the modes of a solution; undefined where there is none, or no mode. */
export function harmonicOf(solution: Solution): Harmonic | undefined {
  const force = solution.masses?.harmonic;
  const found = force && new Harmonic(solution, force);
  return found && found.reach > 0 ? found : undefined;
}

/** How a node swings by frequency; the same whatever outcome is looked at. */
export function harmonicTable(solution: Solution, _: number, display: DisplayUnits): Table<HarmonicResponse> | undefined {
  const found = harmonicOf(solution);
  if (!found) return undefined;
  return {
    title: WORDS.title,
    columns: [
      { key: 'frequency', title: WORDS.frequency, unit: 'Hz', value: ({ frequency }) => frequency },
      { key: 'displacement', title: WORDS.displacement, unit: display.deflection, value: ({ displacement }) => inUnit(displacement, display.deflection) }, // oxfmt-ignore
      { key: 'velocity', title: WORDS.velocity, unit: 'mm/s', value: ({ velocity }) => 1e3 * velocity },
      { key: 'acceleration', title: WORDS.acceleration, unit: 'm/s²', value: ({ acceleration }) => acceleration },
      { key: 'phase', title: WORDS.phase, unit: '°', value: ({ phase }) => (phase * 180) / Math.PI },
    ],
    rows: found.curve(...harmonicRange(solution, found)),
  };
}
