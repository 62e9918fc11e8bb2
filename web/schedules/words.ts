import { counted } from '@rigid-beam/core/counted';

/** All that this room says, by the file that says it: read it through and correct it here. */

export const schedule = {
  scheduleOf: (list: string): string => `Schedule of ${list}`,
  showOnlyRowsWith: 'Show only rows with',
  onlyRowsWith: 'only rows with …',
  fillDown: 'Fill down',
  hint: (count: number, list: string): string =>
    `${counted(count, list.replace(/s$/, ''))}. Type to change, paste from a spreadsheet, space selects the row.`,
  closeTheSchedule: 'Close the schedule',
  sorting: (list: string): string => `${list}. Alt and an arrow sort by the column.`,
  row: 'Row',
};
