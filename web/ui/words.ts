import { counted } from '@rigid-beam/core/counted';

/** All that this room says, by the file that says it: read it through and correct it here. */

export const appearanceButton = {
  changeBetweenDayAndNight: 'Change between day and night',
};

export const quantityField = {
  gives: (value: string): string => `= ${value}`,
  givesNow: (value: string): string => `= ${value} now; here only the number is kept`,
};

export const shelf = {
  nothingIsOpen: 'Nothing is open',
};

export const hold = {
  failed: (what: string, why: string): string =>
    `${what} could not be shown: ${why}. Everything else goes on, and what was stored is stored.`,
  showAgain: 'Show it again',
};

export const copyTable = {
  short: 'Copy',
  copy: (title: string): string => `Copy: ${title}`,
  copied: (rows: number): string => `${counted(rows, 'row')} copied.`,
  refused: 'The browser lets nothing be copied here.',
};

export const saveTable = {
  save: (kind: string, title: string): string => `${kind}: ${title}`,
  done: (kind: string, share: number): string => (share < 1 ? `${kind}: ${Math.round(100 * share)} %` : `${kind}: being written`),
  giveUp: 'Give up',
  stopped: 'The file could not be written: what writes it stopped. Narrow the table, or write CSV.',
};
