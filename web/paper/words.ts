import { counted } from '@rigid-beam/core/counted';

/** All that this room says, by the file that says it: read it through and correct it here. */

export const paperDialog = {
  title: 'On paper',
  close: 'Close',
  sheets: 'Sheets in their order',
  what: 'What is handed on',
  drawings: 'Drawings',
  report: 'Report',
  asOnScreen: 'As on the screen',
  paper: 'Paper',
  lies: 'Orientation',
  across: 'Across',
  upright: 'Upright',
  scale: 'Scale',
  fitted: 'largest that fits',
  inks: 'Inks',
  colour: 'Colours',
  black: 'Black',
  titleBlock: 'Title block',
  project: 'Project',
  number: 'Number',
  date: 'Date',
  revision: 'Revision',
  save: (kind: string, count: number): string => (kind === 'pdf' && count > 1 ? `PDF of ${count} sheets` : kind.toUpperCase()),
  saveAs: 'Save',
  dots: 'Dots to an inch',
  goesOn: 'Drawing …',
  saved: (kind: string): string => `${kind.toUpperCase()} saved`,
  preview: (name: string): string => `Sheet: ${name}`,
  at: (ratio: string): string => `at ${ratio}`,
  leftOut: (count: number): string => `${counted(count, 'text')} found no room`,
};

export const orderedList = {
  move: (name: string): string => `Move ${name}`,
  remove: (name: string): string => `Leave out ${name}`,
};

export const ownChapter = {
  title: 'Title',
  text: 'Text',
  fields:
    'An empty line begins a paragraph, a dash an item. Numbers follow the model: {M.max of U1}, {b:M@2.4m of U1}, {3.fy of U1}, {mass}. Ctrl+Enter takes the text.',
};

export const ownPictures = {
  picture: (number: number): string => `Picture ${number}`,
  caption: (number: number): string => `Under picture ${number}`,
  remove: (number: number): string => `Take out picture ${number}`,
  removeShort: 'Take out',
  add: 'Add a picture',
  most: (most: number): string => `A chapter has ${most} pictures at most.`,
};

/** So many members are named. */
const NAMED = 8;
const list = (ids: readonly string[]): string =>
  ids.length > NAMED ? `${ids.slice(0, NAMED).join(', ')} and ${ids.length - NAMED} more` : ids.join(', ');

export const readMembers = {
  governing: 'It reads the members in which something governs.',
  these: (ids: readonly string[]): string => `It reads ${ids.length === 1 ? 'member' : 'members'} ${list(ids)}.`,
  take: (ids: readonly string[]): string => `Read the selected: ${list(ids)}`,
  takeGoverning: 'Read what governs',
  select: 'For others select members on the sheet, and come back here.',
};

export const reportPart = {
  notes: 'Notes',
  addText: 'Add own text',
  chapters: 'Chapters in their order',
  add: (chapter: string): string => `Add ${chapter.toLowerCase()}`,
  of: 'Results of',
  outcomes: {
    first: 'envelopes, or what there is',
    acting: 'what acts',
    cases: 'every case',
    combinations: 'every combination',
  },
  cover: 'Cover',
  doing: (what: string | undefined): string => (what === undefined ? 'Writing …' : `Writing: ${what} …`),
  page: (page: number, pages: number): string => `Page ${page} of ${pages}`,
  before: 'Page before',
  next: 'Next page',
  save: (kind: string): string => `Save ${kind.toUpperCase()}`,
  saved: (kind: string): string => `${kind.toUpperCase()} saved`,
};

export const addSheets = {
  what: 'What',
  of: 'Of',
  everyCase: 'every case',
  everySum: 'every combination',
  added: (count: number): string => (count === 1 ? 'Add the sheet' : `Add ${count} sheets`),
  subjects: {
    geometry: 'Geometry',
    sections: 'Sections',
    supports: 'Supports',
    reactions: 'Reactions',
    loads: 'Loads',
    deflected: 'Deflected structure',
  },
};
