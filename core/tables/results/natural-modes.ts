import type { Shape, Swing } from '../../combinations/outcome';
import { axisKeys, inReaderOrder, structureAxis, type AxisKey } from '../../quantities/axis-names';
import { massUnit, type DisplayUnits } from '../../quantities/display';
import { inUnit } from '../../quantities/show';
import type { MassItem, Solution } from '../../results/results';
import { isPlane } from '../../stiffness/structure';
import type { Column, Table } from '../column';
import { naturalModes as WORDS } from './shape-words';

/** A natural mode with what takes part in it; shares are parts of what moves in a direction, alone and with all slower ones. */
export interface ModeRow {
  readonly id: string;
  readonly number: number;
  readonly frequency: number;
  readonly swing: Swing;
  readonly shares: readonly [number, number, number];
  readonly sums: readonly [number, number, number];
}

/** The natural modes of a solution, slowest first; none where none were found. */
export function modesOf({ outcomes, masses }: Solution): readonly ModeRow[] {
  const sums: [number, number, number] = [0, 0, 0];
  return outcomes
    .filter((one): one is Shape & { swing: Swing } => one.kind === 'shape' && one.swing !== undefined)
    .map(({ id, value, swing }, i) => {
      const share = (k: 0 | 1 | 2): number => (masses!.moving[k] > 0 ? swing.masses[k] / masses!.moving[k] : 0);
      const shares = [share(0), share(1), share(2)] as const;
      shares.forEach((part, k) => (sums[k]! += part));
      return { id, number: i + 1, frequency: value, swing, shares, sums: [...sums] as const };
    });
}

const axesOf = (solution: Solution, display: DisplayUnits): readonly AxisKey[] =>
  inReaderOrder(isPlane(solution.structure) ? (['x', 'y'] as const) : axisKeys, display);
const place = (key: AxisKey): 0 | 1 | 2 => axisKeys.indexOf(key) as 0 | 1 | 2;

/** Frequencies and periods, the mass that swings, and how much of it takes part by direction; the same whatever outcome is looked at. */
export function naturalModesTable(solution: Solution, _: number, display: DisplayUnits): Table<ModeRow> | undefined {
  if (!solution.masses) return undefined;
  const axes = axesOf(solution, display);
  const letter = (key: AxisKey): string => structureAxis(display, key).letter;
  const percent = (key: string, title: string, value: (row: ModeRow) => number): Column<ModeRow> => ({
    ...{ key, title, unit: '%' },
    // Hundredths of a percent are as much as anybody reads.
    value: (row) => Math.round(1e4 * value(row)) / 100,
  });
  return {
    title: WORDS.title,
    columns: [
      { key: 'mode', title: WORDS.mode, value: ({ number }) => number },
      { key: 'frequency', title: WORDS.frequency, unit: 'Hz', value: ({ frequency }) => frequency },
      { key: 'period', title: WORDS.period, unit: 's', value: ({ frequency }) => 1 / frequency },
      { key: 'circular', title: WORDS.circular, unit: 'rad/s', value: ({ frequency }) => 2 * Math.PI * frequency },
      {
        key: 'generalised',
        title: WORDS.generalised,
        unit: massUnit(display),
        value: ({ swing }) => inUnit(swing.generalised, massUnit(display)),
      },
      ...axes.map((key) => percent(`share ${key}`, WORDS.share(letter(key)), ({ shares }) => shares[place(key)])),
      ...axes.map((key) => percent(`sum ${key}`, WORDS.sum(letter(key)), ({ sums }) => sums[place(key)])),
    ],
    rows: modesOf(solution),
  };
}

/** What has mass, how much, and where its centre is; the last row is all of it. */
export function massesTable(solution: Solution, _: number, display: DisplayUnits): Table<MassItem | 'total'> | undefined {
  const { masses } = solution;
  if (!masses) return undefined;
  const unit = massUnit(display);
  const centre = (row: MassItem | 'total') => (row === 'total' ? masses.centre : row.centre);
  return {
    title: WORDS.masses,
    columns: [
      { key: 'of', title: WORDS.of, width: 1.6, value: (row) => (row === 'total' ? WORDS.total : massName(row)) },
      { key: 'mass', title: WORDS.mass, unit, value: (row) => inUnit(row === 'total' ? masses.total : row.mass, unit) },
      ...axesOf(solution, display).map((key): Column<MassItem | 'total'> => {
        const { letter, sign } = structureAxis(display, key);
        return {
          ...{ key: `centre ${key}`, title: WORDS.centre(letter), unit: display.length },
          value: (row) => inUnit(sign * centre(row)[place(key)] + 0, display.length),
        };
      }),
    ],
    rows: [...masses.items, 'total'],
  };
}

const massName = ({ of }: MassItem): string => (typeof of === 'object' ? of.case : of === 'own' ? WORDS.own : WORDS.nodes);
