import type { DisplayUnits } from '../../quantities/display';
import { memberAxis } from '../../quantities/axis-names';
import { inUnit } from '../../quantities/show';
import { bucklingLengths, TAKES_PART, type BucklingLength } from '../../results/buckling-lengths';
import type { Solution } from '../../results/results';
import { isPlane } from '../../stiffness/structure';
import type { Column, Table } from '../column';
import { results as WORDS } from '../words';
import { bucklingLengths as TABLE } from './shape-words';

export type BucklingRow = BucklingLength & { readonly id: string };

/** Buckling lengths of the members in compression; undefined of what is no critical load. */
export function bucklingLengthsTable(solution: Solution, outcome: number, display: DisplayUnits): Table<BucklingRow> | undefined {
  const one = solution.outcomes[outcome];
  if (one?.kind !== 'shape' || one.measure !== 'factor') return undefined;
  const { members } = solution.structure.names;
  const about: Column<BucklingRow> = {
    key: 'about',
    title: TABLE.about,
    value: (row) => memberAxis(display, row.about === 'Mz' ? 'z' : 'y').letter,
  };
  const inLength = (key: 'length' | 'effective'): Column<BucklingRow> => ({
    key,
    title: TABLE[key],
    unit: display.length,
    value: (row) => inUnit(row[key], display.length),
  });
  return {
    title: TABLE.title,
    columns: [
      { key: 'member', title: WORDS.member, value: ({ id }) => id },
      ...(isPlane(solution.structure) ? [] : [about]),
      { key: 'N', title: 'N', unit: display.force, value: ({ force }) => inUnit(force, display.force) },
      inLength('length'),
      inLength('effective'),
      { key: 'ratio', title: TABLE.ratio, value: ({ length, effective }) => effective / length },
      {
        key: 'share',
        title: TABLE.share,
        width: 1.6,
        value: ({ share }) => (share < TAKES_PART ? TABLE.takesNoPart : TABLE.takesPart(share)),
      },
    ],
    rows: bucklingLengths(solution, outcome).map((one) => ({ ...one, id: members[one.member]! })),
  };
}
