import { counted } from '../counted';

/** All that tables say: the titles of their columns, and why a text cannot stand in a cell. */

export const schedules = {
  nodes: 'Nodes',
  members: 'Members',
  sections: 'Sections',
  materials: 'Materials',
  supports: 'Supports',
  loads: 'Loads',
  combinations: 'Combinations',
};

/** The schedule of combinations. */
export const combinations = {
  name: 'Combination',
  title: 'Title',
  limitState: 'Limit state',
  sum: 'Sum',
  why: 'Why',
  typed: 'typed',
  isNoSum: (typed: string, reason: string): string => `“${typed}” is no sum: ${reason}`,
  isNoFactor: (typed: string, reason: string): string => `“${typed}” is no factor: ${reason}`,
};

/** What rules would change. */
export const changes = {
  title: 'What changes',
  name: 'Name',
  sum: 'Sum',
  why: 'Why',
  gone: 'No longer asked for.',
  was: (sum: string): string => `Was ${sum}. `,
};

export const columns = {
  mustNotBeEmpty: (title: string): string => `${title} must not be empty`,
  isNoneOf: (word: string, choices: string): string => `“${word}” is not one of: ${choices}`,
  isNoLength: (typed: string, reason: string): string => `“${typed}” is not a length: ${reason}`,
  isNoQuantity: (typed: string, reason: string): string => `“${typed}” is not understood: ${reason}`,
  follows: (title: string): string => `${title} follows from the model`,
  catalogueComes: 'the catalogue is still on its way: try again',
  noDesignation: (typed: string): string => `the catalogue has no shape “${typed}”`,
  designation: 'Designation',
  shape: 'Shape',
  members: 'Members',
  totalLength: 'Total length',
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
  isNoAngle: (typed: string, reason: string): string => `“${typed}” is not an angle: ${reason}`,
  startJoint: 'Start',
  endJoint: 'End',
  rigid: 'rigid',
  hinged: 'hinged',
  otherJoint: 'other',
  isNoJoint: (typed: string): string => `“${typed}” is neither rigid nor hinged; springs and freed ends are on the member’s card`,
  freedoms: {
    ux: 'Along {X}',
    uy: 'Along {Y}',
    uz: 'Along {Z}',
    rx: 'About {X}',
    ry: 'About {Y}',
    rz: 'About {Z}',
  },
  held: 'held',
  free: 'free',
  negative: 'a spring cannot have a negative stiffness',
  isNoRestraint: (typed: string, reason: string): string => `“${typed}” is neither held, free nor a stiffness: ${reason}`,
  turnedBy: 'Turned by',
  load: 'Load',
  caseTitle: 'Case',
  on: 'On',
  says: 'Says',
  totals: ['Total {X}', 'Total {Y}', 'Total {Z}'] as const,
  isNoLoad: (typed: string, reason: string): string => `“${typed}” is not put: ${reason}`,
  oneLoadARow:
    'a row holds one load: write “run a, b” for one line along members, or put several at once with the instrument in Loads',
  length: 'Length',
  lengthFollows: 'The length follows from the nodes',
};

export const writeCells = {
  noColumn: 'There is no column there to write to.',
  noRow: (id: string | undefined): string => `There is no row “${id}”.`,
  computed: (title: string): string => `${title} is computed and cannot be written.`,
  nothingChanges: 'Nothing changes.',
  row: (id: string): string => `row ${id}`,
  rows: (count: number): string => counted(count, 'row'),
  changeOfThe: (words: string, list: string): string => `Change ${words} of the ${list}`,
};

export const results = {
  reactions: 'Reactions',
  displacements: 'Displacements',
  endForces: 'End forces',
  extremes: 'Extremes',
  balance: 'Balance',
  node: 'Node',
  member: 'Member',
  end: 'End',
  start: 'start',
  endOfIt: 'end',
  quantity: 'Quantity',
  side: 'Side',
  largest: 'Largest',
  smallest: 'Smallest',
  value: 'Value',
  unit: 'Unit',
  governs: 'By',
  at: 'at',
  what: 'What',
  loads: 'Loads',
  aboutOrigin: (component: string): string => `${component} about origin`,
};
