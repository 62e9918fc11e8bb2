/** All that this room says, by the file that says it: read it through and correct it here. */

export const schedule = {
  scheduleOf: (list: string): string => `Schedule of ${list}`,
  nodes: 'Nodes',
  members: 'Members',
  sections: 'Sections',
  materials: 'Materials',
  showOnlyRowsWith: 'Show only rows with',
  onlyRowsWith: 'only rows with …',
  fillDown: 'Fill down',
  hint: (count: number, list: string): string =>
    `${count} ${list}. Type to change, paste from a spreadsheet, space selects the row.`,
  closeTheSchedule: 'Close the schedule',
  sorting: (list: string): string => `${list}. Alt and an arrow sort by the column.`,
  row: 'Row',
};

export const columns = {
  mustNotBeEmpty: (title: string): string => `${title} must not be empty`,
  isNoneOf: (word: string, choices: string): string => `“${word}” is none of: ${choices}`,
  isNoLength: (typed: string, reason: string): string => `“${typed}” is no length: ${reason}`,
  isNoQuantity: (typed: string, reason: string): string => `“${typed}” is not understood: ${reason}`,
  follows: (title: string): string => `${title} follows from the model`,
  catalogueComes: 'the catalogue is still on its way: try again',
  noDesignation: (typed: string): string => `the catalogue has no shape “${typed}”`,
  designation: 'Designation',
  shape: 'Shape',
  members: 'Members',
  totalLength: 'Together',
  mass: 'Mass',
  density: 'Density',
  expansion: 'Expansion',
  yieldStress: 'Yield stress',
  node: 'Node',
  support: 'Support',
  member: 'Member',
  fromNode: 'From node',
  toNode: 'To node',
  section: 'Section',
  material: 'Material',
  behaviour: 'Behaviour',
  roll: 'Roll',
  isNoAngle: (typed: string, reason: string): string => `“${typed}” is no angle: ${reason}`,
  length: 'Length',
  lengthFollows: 'The length follows from the nodes',
};

export const writeCells = {
  noColumn: 'There is no column there to write to.',
  noRow: (id: string | undefined): string => `There is no row “${id}”.`,
  computed: (title: string): string => `${title} is computed and cannot be written.`,
  nothingChanges: 'Nothing changes.',
  row: (id: string): string => `row ${id}`,
  rows: (count: number): string => `${count} rows`,
  changeOfThe: (words: string, list: string): string => `Change ${words} of the ${list}`,
};
