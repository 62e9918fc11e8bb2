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
  train: (axles: string, stands: string, way: 'forwards' | 'backwards'): string =>
    `train ${axles}, its first axle at ${stands}${way === 'backwards' ? ', going back' : ''}`,
  deck: (nodes: string): string => `deck ${nodes}`,
  trainOnCard: 'a train is written and moved on its card',
  totals: ['Total {X}', 'Total {Y}', 'Total {Z}'] as const,
  isNoLoad: (typed: string, reason: string): string => `“${typed}” is not put: ${reason}`,
  oneLoadARow:
    'a row holds one load: write “run a, b” for one line along members, or put several at once with the instrument in Loads',
  length: 'Length',
  lengthFollows: 'The length follows from the nodes',
};

export const tablesFile = {
  noTable: (name: string, names: string): string => `There is no table “${name}”. There are: ${names}.`,
  severalAreSheets: 'Several tables are sheets of one file: ask for them as XLSX.',
};

export const conditions = {
  noColumn: (name: string, columns: string): string => `There is no column “${name}”. Columns are: ${columns}.`,
  noAmount: (part: string, reason: string): string => `“${part}” is not understood: ${reason}.`,
};

export const writeCells = {
  noColumn: 'There is no column there to write to.',
  noRow: (id: string | undefined): string => `There is no row “${id}”.`,
  computed: (title: string): string => `${title} is computed and cannot be written.`,
  nothingChanges: 'Nothing changes.',
  cell: (row: string, title: string, reason: string): string => `Row ${row}, ${title}: ${reason}.`,
  row: (id: string): string => `row ${id}`,
  rows: (count: number): string => counted(count, 'row'),
  changeOfThe: (words: string, list: string): string => `Change ${words} of the ${list}`,
};

/** What is cut for a model. */
export const cuttingList = {
  title: 'Cutting list',
  count: 'Pieces',
  each: 'Mass of one',
};

/** Files of tables that are read. */
export const reading = {
  tooLarge: (bytes: number): string => `The file is too large: at most ${bytes / 1024 / 1024} MiB are read. Split it`,
  tooManyCells: (count: number): string => `The file has more than ${count} cells. Split it, or leave out what is not needed`,
  empty: 'There is nothing in the file but empty cells',
  quotes: (line: number): string =>
    `A quotation mark in line ${line} is not closed: what follows cannot be told from it. Close it`,
  noXlsx: (reason: string): string => `The file is no XLSX workbook that can be read: ${reason}. Save it again as XLSX or CSV`,
};

/** Tables that are taken from a file. */
export const taking = {
  nodeLoads: 'Loads on nodes',
  memberLoads: 'Loads along members',
  heldOrStiffness: '“1” may mean held or a stiffness of 1: write “held”, or the stiffness with its unit',
  twice: (id: string, line: number): string => `“${id}” stands in line ${line} already`,
  isOther: (id: string): string => `“${id}” is a load of another kind in the model: give this one another name`,
  lacks: (titles: readonly string[]): string =>
    titles.length === 1 ? `${titles[0]} is missing` : `One of ${titles.join(', ')} is missing`,
  tooManyFaults: 'Too many rows are refused one after the other: mend what is told, and take the file again',
};

export const results = {
  reactions: 'Reactions',
  lists: {
    displacements: 'Displacements',
    reactions: 'Reactions',
    foundations: 'Reactions that act together',
    endForces: 'Forces at member ends',
    stations: 'Forces along members',
    memberExtremes: 'Extremes of members',
    bucklingLengths: 'Buckling lengths',
    naturalModes: 'Natural modes',
    masses: 'Masses',
    harmonic: 'Harmonic response',
    baseShear: 'Base shear',
  },
  outcome: 'In',
  stations: 'Forces along members',
  memberExtremes: 'Extremes of members',
  foundations: 'Reactions that act together',
  extreme: 'Extreme',
  sideOf: { max: (name: string): string => `${name} most`, min: (name: string): string => `${name} least` },
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

export const compared = {
  title: 'Then and now',
  before: 'Then',
  after: 'Now',
  change: 'Change',
  same: 'the same',
  mass: 'Mass',
  moment: 'Largest moment',
  shear: 'Largest shear',
  axial: 'Largest axial force',
  movement: 'Largest movement',
  stress: 'Highest stress',
};

export const handCheck = {
  title: 'Checked by hand',
  formula: 'Formula',
  byHand: 'By hand',
  solved: 'Solved',
  difference: 'Difference',
  same: 'the same',
  nothing: 'nothing by hand',
  otherWay: 'the other way',
  more: (percent: string): string => `${percent} % more`,
  less: (percent: string): string => `${percent} % less`,
  what: {
    'moment in the span': 'Moment in the span',
    'moment at the start': 'Moment at the start',
    'moment at the end': 'Moment at the end',
    deflection: 'Deflection',
  },
  held: {
    simple: 'on two simple supports',
    fixed: 'fixed at both ends',
    'fixed at the start': 'fixed at its start, simply supported at its end',
    'fixed at the end': 'fixed at its end, simply supported at its start',
    'free at the end': 'fixed at its start and free at its end',
    'free at the start': 'fixed at its end and free at its start',
  },
  side: { start: 'start', end: 'end' },
  uniform: (w: string): string => `${w} all along`,
  triangular: (w: string, side: string): string => `up to ${w} at its ${side}`,
  point: (force: string, at: string): string => `${force} at ${at}`,
  beam: (held: string, load: string): string => `Nearest is a beam ${held}, with ${load}.`,
  fixed: (percent: number): string => `is ${percent} % fixed`,
  overFixed: (times: string): string => `carries ${times} times what a fixed end would`,
  bothEnds: (share: string): string => `Each end ${share}.`,
  ends: (start: string, end: string): string => `Its start ${start}, its end ${end}.`,
};

export const cut = {
  body: 'On the free body',
  joint: 'On the joint',
  member: 'On the member, in the axes of the structure',
  displaced: 'Of the displaced axis',
  atStart: 'At its start',
  atEnd: 'At its end',
  supports: 'Supports together',
  through: 'Through the cut',
  fromMember: (member: string): string => `Member ${member}`,
  reaction: 'Support',
  left: 'Together',
  byOutcome: 'Through the cut in each outcome',
  faces: 'In the cut members',
  noBalance: 'The two sides hang together beside the cut: what goes through it is no whole.',
  balances: (digits: number): string =>
    Number.isFinite(digits) ? `In balance to ${counted(digits, 'digit')}.` : 'In balance exactly.',
};

export const headlines = {
  moment: 'Largest moment',
  axial: 'Largest axial force',
  shear: 'Largest shear force',
  movement: 'Largest movement',
  stress: 'Highest stress',
  inMember: (member: string): string => `in member ${member}`,
  atNode: (node: string): string => `at node ${node}`,
  fromNode: (length: string, node: string): string => `${length} from node ${node}`,
  ofMember: { moment: 'Moment', axial: 'Axial force', shear: 'Shear force', movement: 'Movement', stress: 'Stress' },
  by: (id: string): string => `in ${id}`,
  withForce: (force: string, sense: string): string => `with ${force} ${sense}`,
  aMoment: 'a moment of',
  withMoment: (moments: string): string => `with ${moments}`,
  tension: (side: string): string => `tension ${side}`,
  above: 'above',
  below: 'below',
  left: 'on the left',
  right: 'on the right',
  towards: (axis: string): string => `towards ${axis}`,
  pulled: 'tension',
  pressed: 'compression',
  up: 'up',
  down: 'down',
  toLeft: 'to the left',
  toRight: 'to the right',
  along: (axis: string): string => `along ${axis}`,
  acrossMember: 'across the member',
  proportion: {
    span: (times: string): string => `span/${times}`,
    height: (times: string): string => `height/${times}`,
    cantilever: (times: string): string => `length/${times} of the cantilever`,
  },
  ofYield: (percent: string): string => `${percent} % of its yield stress`,
  noYield: 'its material has no yield stress',
};

export const influence = {
  title: 'Influence line',
  of: 'Load',
  value: 'Value',
  where: 'Where',
  max: (force: string): string => `1 ${force}, greatest`,
  min: (force: string): string => `1 ${force}, least`,
  anywhere: (force: string): string => `1 ${force} anywhere`,
  zero: (force: string): string => `1 ${force} without effect`,
  uniform: (intensity: string): string => `1 ${intensity} over`,
  fromTo: (from: string, to: string): string => `${from} to ${to}`,
  ofThePath: (ranges: string): string => `${ranges} of the path`,
  train: { max: 'greatest', min: 'least' },
  beside: 'none of it on the path',
  stands: (axle: number, where: 'within' | 'at' | 'between', place: string, way: 'forwards' | 'backwards'): string =>
    `axle ${axle} ${{ within: 'in ', at: 'at ', between: '' }[where]}${place}${way === 'backwards' ? ', going back' : ''}`,
  inMember: (what: string, member: string, place: string): string => `${what} in ${member} at ${place}`,
  atNode: (what: string, node: string): string => `${what} at node ${node}`,
  reaction: {
    along: (axis: string | undefined): string => `reaction along ${axis}`,
    about: (axis: string | undefined): string =>
      axis === undefined ? 'couple of the support' : `couple of the support about ${axis}`,
  },
  movement: {
    along: (axis: string | undefined): string => `displacement along ${axis}`,
    about: (axis: string | undefined): string => (axis === undefined ? 'turn' : `turn about ${axis}`),
  },
};

/** A table that is asked for by its name. */
export const askedTable = {
  lists: { ...schedules, ...results.lists },
  noResults: (status: string): string =>
    status === 'unstable'
      ? 'The structure can move: there are no results.'
      : 'The model could not be solved: there are no results.',
  noOutcome: (id: string, known: string): string => `There is no case or combination “${id}”. There are: ${known}.`,
  notThere: (list: string, outcome: string): string =>
    `There is no table “${list}” of ${outcome}: ask for an envelope without trains that travel.`,
  noColumn: (name: string, columns: string): string => `There is no column “${name}” to sort by. Columns are: ${columns}.`,
};

export const reasons = {
  combinations: 'Combinations',
  envelope: 'Envelope',
  name: 'Name',
  limitState: 'Limit state',
  sumOrEnvelope: 'Sum, or envelope of',
  why: 'Why',
};
