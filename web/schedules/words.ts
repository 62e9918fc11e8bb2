import { counted } from '@rigid-beam/core/counted';

/** All that this room says, by the file that says it: read it through and correct it here. */

export const schedule = {
  scheduleOf: (list: string): string => `Schedule of ${list}`,
  showOnlyRowsWith: 'Show only rows with',
  onlyRowsWith: 'only rows with …',
  fromFile: 'From a file …',
  fillDown: 'Fill down',
  hint: (count: number, list: string): string =>
    `${counted(count, list.replace(/s$/, ''))}. Type to change, paste from a spreadsheet, space selects the row.`,
  closeTheSchedule: 'Close the schedule',
  sorting: (list: string): string => `${list}. Alt and an arrow sort by the column.`,
  row: 'Row',
};

/** Schedules of results. */
export const resultSchedule = {
  scheduleOf: (list: string): string => `Schedule of results: ${list}`,
  grid: (list: string, outcome: string): string => `${list} in ${outcome}. Alt and an arrow sort by the column.`,
  noResults: 'There are no results to list.',
  reading: 'Reading the envelope …',
  nothing: 'There are none in what acts: choose an envelope without trains that travel.',
  ordering: (percent: number): string => `Looking through the rows: ${percent} %`,
  hint: (shown: number, all: number): string =>
    `${shown === all ? counted(all, 'row') : `${shown.toLocaleString('en-GB')} of ${counted(all, 'row')}`}. Space selects on the sheet, Enter goes to the outcome.`,
  filter: 'Show only rows where',
  filterExample: '|M| > 10, by U1',
  whose: 'Of what',
  all: 'Of everything',
  selected: 'Of what is selected',
  group: (id: string): string => `Of ${id}`,
  each: 'Each outcome',
  places: 'Places along each member',
};
