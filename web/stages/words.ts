import { counted } from '@rigid-beam/core/counted';

/** All that this room says, by the file that says it: read it through and correct it here. */

export const combinationsBench = {
  combination: (id: string): string => `Combination ${id}`,
  sum: 'Sum',
  envelope: 'Envelope',
  title: 'Title',
  sumText: 'Written as a sum',
  notSum: (reason: string): string => `This is no sum: ${reason}. Write it such as 1.35 G + 1.5 S − 0.9 W.`,
};

export const geometryBench = {
  more: 'More',
  tools: 'Tools',
  select: 'Select',
  selectAndMove: 'Select and move',
  draw: 'Draw',
  measure: 'Measure',
  measureADistance: 'Measure a distance',
  table: 'Table',
  schedules: 'Schedules',
  nodes: (nodes: number): string => counted(nodes, 'node'),
  members: (members: number): string => counted(members, 'member'),
  selected: (selected: number): string => `${selected} selected`,
  hidden: (hidden: number): string => `${hidden} hidden`,
  selectAndShow: 'Select and show',
  gridLines: 'Grid lines',
  grid: 'Grid',
  aPlaneModel: 'a plane model',
  planeToDrawOn: 'Plane to draw on',
  planes: 'Planes',
  allPlanesShown: 'all planes shown',
  underlay: 'Underlay',
  cleanUpAndNumber: 'Clean up and number',
  cleanUp: 'Clean up',
  parameters: 'Parameters',
  sliders: 'Sliders',
  unitsAndSettings: 'Units and settings',
  units: 'Units',
};

export const loadsBench = {
  addACase: 'Add a case',
  ofWhichKind: 'Kind of the new case',
  schedule: 'Schedule of loads',
  countWeight: 'Include self weight here',
  weighs: (force: string): string => `Self weight included: ${force}`,
  copyFactor: 'Copied times',
  copy: (id: string): string => `Copy ${id}`,
  copied: (id: string): string => `Copy case ${id}`,
  loadsOf: (id: string): string => `Loads of ${id}`,
  none: 'None yet. Choose a load above, then click where it acts.',
  cardOf: (id: string): string => `Case ${id}`,
  combinationActs: 'A combination acts. Choose a case to change its loads.',
  caseField: 'Case',
  selfWeight: 'Self weight ×',
  title: 'Title',
  kind: 'Kind',
  colour: 'Colour',
  remove: (id: string): string => `Remove ${id}`,
};

export const caseList = {
  cases: 'Load cases',
  move: (id: string): string => `Move ${id}`,
  holds: (count: number, weight: 'weighs' | 'weightless'): string =>
    [weight === 'weighs' ? 'self weight' : '', count === 0 ? '' : counted(count, 'load')].filter(Boolean).join(', '),
};

export const notionalPart = {
  title: 'Sway from vertical loads',
  hint: 'A share of all vertical loads of a case acts sideways where these act, and follows them.',
  noOther: 'It takes its share from another case: add one.',
  share: 'Share (1/200)',
  of: 'Of what acts in',
  direction: 'Towards',
  directions: { right: 'the right', left: 'the left', forward: 'the front', back: 'the back' },
  put: (id: string): string => `Put it into ${id}`,
};

export const checks = {
  title: 'Worth a look',
  show: 'Show',
  more: (count: number): string => `and ${count} more`,
};

export const resultsBench = {
  workings: 'How it comes about',
  parameters: 'Parameters',
  none: 'There are no results. The status at the top says why.',
  whatGovernsIn: (id: string): string => `What governs in ${id}`,
  reading: 'The envelope is being read. The sheet and the extremes follow when that is done; everything else goes on.',
  leadsToInfluence: 'A value leads to its influence line; w on it, to where it comes from.',
  reactions: 'Reactions',
  balance: 'Balance',
  together: (force: string, place: string, couple: string | undefined): string =>
    `The resultant of the loads is ${force} on the line through ${place}${couple ? `, and ${couple} about it` : ''}.`,
  coupleAlone: (couple: string): string => `The resultant of the loads is a couple of ${couple}.`,
  hold: 'The loads are self-equilibrating.',
  agree: (digits: number): string =>
    Number.isFinite(digits) ? `Loads and reactions agree to ${counted(digits, 'digit')}.` : 'Loads and reactions agree exactly.',
  largest: 'Largest',
  smallest: 'Smallest',
  text: (symbol: string, text: string): string => `${symbol} ${text}`,
  most: 'most',
  least: 'least',
  foundations: 'Reactions that act together',
  movements: 'Movements of the nodes',
  endForces: 'Forces at the ends of members',
  allExtremes: 'All extremes',
  schedules: 'Schedules of results',
  selectMember: (id: string): string => `Select member ${id}`,
};

export const supportsBench = {
  rollsX: 'Roller {X}',
  rollsY: 'Roller {Y}',
  rollsZ: 'Roller {Z}',
  guided: 'Guided',
  bears: 'Vertical',
  upright: 'Upright',
  alongMemberShort: 'On slope',
  alongMember: 'Roller, free along its member',
  placed: (kind: string): string => `support ${kind}`,
  clickNodes: (kind: string): string => `Click the nodes to support, or draw a box over them: ${kind}. Escape ends.`,
  supportsToPlace: 'Supports to place',
  supportNodes: (count: number): string => `Support ${counted(count, 'node')}`,
  removed: (id: string): string => `support ${id}`,
  schedule: 'Schedule of supports',
  pulledUp: (node: string, force: string, acts: string): string =>
    `Uplift of ${force} at the support of node ${node} in ${acts}.`,
  seeReactions: 'See the reactions',
  carriesNothing: (node: string): string => `The support of node ${node} carries nothing in any case.`,
  hint: 'Springs, slopes and settlements are set on the node’s card: select a supported node. A spring takes a soil stiffness times an area: 30 MN/m3 * 1.2 m2.',
  inThisModel: 'In this model',
  none: 'Nothing holds the structure yet.',
  node: (node: string, supportWords: string): string => `Node ${node}: ${supportWords}`,
  removeTheSupportOfNode: (node: string): string => `Remove the support of node ${node}`,
  remove: 'Remove',
};

export const actTogether = {
  title: 'Which act together',
  ways: (category: string): string => `How ${category.toLowerCase()} acts`,
  chosen: (category: string): string => `Only these of ${category.toLowerCase()}`,
  onlyThese: (ids: readonly string[]): string => `only ${ids.join(', ')}`,
};

export const patternsPart = {
  title: 'Patterns and trains',
  caseOf: (id: string): string => `${id} acts`,
  whole: 'everywhere at once',
  by: {
    spans: 'on some spans at a time',
    bays: 'on some bays at a time',
    storeys: 'on some storeys at a time',
    travelling: 'with its trains where they are worst',
  },
  travelling: (trains: number): string =>
    trains === 0
      ? 'It holds no train. Place one from an influence line.'
      : trains === 1
        ? 'Its train stands at the worst place of its run, in each result anew.'
        : `Its ${trains} trains stand each at the worst place of its run, in each result anew.`,
  waysOf: (id: string): string => `Ways in which ${id} is loaded`,
  ways: { everywhere: 'everywhere', alternate: 'every other one', adjacent: 'two neighbours', each: 'each alone' },
  sets: (sets: readonly string[]): string =>
    `${counted(sets.length, 'way')}: ${sets.length <= 6 ? sets.join(' · ') : `${sets.slice(0, 5).join(' · ')} …`}`,
};

export const rulesPart = {
  title: 'Rules',
  copy: 'Copy and change',
  change: (title: string): string => `Change “${title}”`,
  read: 'Read a file of rules',
  notJson: (name: string, reason: string): string => `${name} is not valid JSON: ${reason}`,
  for: 'Combinations for',
  permanent: 'Permanent actions',
  permanentWays: { 'as one': 'help or hurt all at once', 'each by itself': 'help or hurt each by itself' },
  take: (count: number): string => (count === 1 ? 'Take the one' : `Take all ${count}`),
  remake: 'Take the changes',
  leave: 'Leave it',
  difference: ({ added, changed, gone }: { readonly added: number; readonly changed: number; readonly gone: number }): string =>
    [
      added > 0 && `${added} new`,
      changed > 0 && `${changed} with other factors or reasons`,
      gone > 0 && `${gone} no longer asked for`,
    ]
      .filter(Boolean)
      .join(', '),
  since: 'Cases or rules have changed:',
  inStep: (title: string): string => `In step with ${title}.`,
  typed: (ids: readonly string[]): string =>
    `${ids.length > 6 ? `${ids.slice(0, 5).join(', ')} and ${ids.length - 5} more` : ids.join(', ')} ${ids.length === 1 ? 'says' : 'say'} the same as a rule: typed already.`,
  merged: (count: number): string => `${count} that came to the same were made once.`,
  unknown: (id: string): string => `The rules “${id}”, by which combinations were made, are not here: those stay as they are.`,
};

export const ruleEditor = {
  set: (title: string): string => `Change “${title}”`,
  title: 'Title',
  standard: 'Standard',
  clause: 'Clause',
  value: (symbol: string): string => `Values of ${symbol}`,
  of: (symbol: string, category: string): string => `${symbol} ${category.toLowerCase()}`,
  letter: 'Letter of its names',
  limitState: 'Limit state',
  expression: (number: number): string => `Expression ${number}`,
  term: (number: number): string => `Term ${number}`,
  kinds: (number: number): string => `Term ${number} is for`,
  acts: (number: number): string => `Term ${number} acts`,
  ways: {
    always: 'always',
    leading: 'one leads',
    accompanying: 'beside what leads',
    each: 'each or not',
    either: 'of one kind',
    'exactly one': 'exactly one',
  },
  factor: (number: number): string => `Factor of term ${number}`,
  favourable: (number: number): string => `Where term ${number} helps`,
  times: (number: number): string => `Term ${number} times`,
  noValue: 'nothing more',
  addTerm: 'Add a term',
  removeTerm: (number: number): string => `Remove term ${number}`,
  addExpression: 'Add an expression',
  removeExpression: 'Remove the expression',
  removeSituation: (title: string): string => `Remove “${title}”`,
  file: 'Save as a file',
  remove: 'Remove the set',
};

export const reasonBox = {
  label: (id: string): string => `Why ${id}`,
  typed: 'Typed by hand; rules leave it alone.',
};

export const factorTable = {
  governsNothing: 'Governs no extreme on any member, no reaction and no displacement',
  envelopes: 'Envelopes',
  made: 'made',
  typed: 'typed',
  origin: 'Made by rules, or typed',
  factorsOfTheCombinations: 'Factors of the combinations',
  combination: 'Combination',
};

export const COMBINE = {
  none: 'A sum adds cases with factors; an envelope shows the largest and smallest of several.',
  addSum: 'Add a sum',
  addEnvelope: 'Add an envelope',
  asTable: 'All as a table',
  factor: (of: string, sum: string): string => `${of} in ${sum}`,
  acts: (id: string, title: string | undefined): string => `Let ${id}${title ? `, ${title},` : ''} act`,
  notFactor: (of: string, sum: string, reason: string): string =>
    `${of} in ${sum} is not a factor: ${reason}. Write a number, such as 1.35.`,
  encloses: 'Encloses',
  theEarthquake: 'the earthquake',
  enclosesEarthquake: 'The earthquake, with what acts beside it',
  remove: (id: string): string => `Remove ${id}`,
  copy: (id: string): string => `Copy ${id}`,
  limit: 'Limit state',
  earlier: 'Earlier',
  later: 'Later',
  shown: (from: number, to: number, of: number): string => `${from} to ${to} of ${of}`,
};

export const analysisPart = {
  title: 'Analysis',
  inFirst: 'first order',
  inSecond: 'second order',
  equilibrium: 'Equilibrium',
  firstOrder: 'First order: of the structure as drawn',
  secondOrder: {
    everything: 'Second order: every case and combination',
    combinations: 'Second order: every combination',
    strength: 'Second order: combinations for strength',
    service: 'Second order: combinations for service',
    other: 'Second order: other combinations',
  },
  sway: 'Initial sway',
  swayBy: { none: 'None', angle: 'By an angle', height: 'By the height (EN 1993-1-1, 5.3.2)' },
  angle: 'Angle, such as 1/200',
  height: 'Height',
  columns: 'Columns in a row',
  towards: 'Towards',
  worst: 'Most unfavourable',
  ways: { right: 'Right', left: 'Left', forward: 'Forward', back: 'Back' },
  leansBy: (share: number): string => `The structure leans by 1/${share}.`,
  bow: 'Bow of members in compression',
  straight: 'None',
  curve: (curve: string, share: number): string => `Curve ${curve}: L/${share}`,
  ownBow: 'By a ratio',
  bowRatio: 'Bow over length, such as 1/250',
  stiffness: (material: string): string => `Part of the stiffness of ${material} that counts`,
  criticalLoads: 'Critical loads of',
  alsoReversed: 'Also of reversed loads',
  notFound: 'Nothing',
  modes: 'Modes',
  naturalModes: 'Natural modes',
  between: { swing: 'Members swing between their nodes', lumped: 'All mass at the nodes' },
  massHint: 'What counts as mass: loads downwards, as parts of their cases.',
  ownMass: 'Members themselves',
  massOf: (id: string, usual: number): string => `Part of ${id} (usual: ${usual})`,
  massAt: (node: string): string => `Mass at ${node}`,
  chooseNodes: 'Choose nodes to give them a mass',
  giveMass: (ids: readonly string[]): string =>
    ids.length === 1 ? `Give node ${ids[0]} a mass` : `Give ${ids.length} nodes a mass`,
};

export const earthquakePart = {
  earthquake: 'Earthquake, by a response spectrum',
  nothing: 'None',
  shapes: { 'type 1': 'EN 1998-1, type 1: strong and distant', 'type 2': 'EN 1998-1, type 2: weak and near' },
  table: 'A table of one’s own',
  ground: 'Ground type',
  acceleration: 'Peak agR',
  importance: 'Importance γI',
  behaviour: 'Behaviour q',
  elastic: 'elastic',
  ownTable: 'Period (s) and acceleration (m/s²), a line each',
  vertical: 'Part of it upwards and downwards',
  moves: 'The ground moves',
  directions: { x: 'Right and left', y: 'Up and down', z: 'Forward and back' },
  modes: 'Modes together',
  modalSums: { cqc: 'CQC, by their correlation', srss: 'SRSS, as squares' },
  damping: 'Damping (%)',
  sum: 'Directions together',
  directionSums: { squares: 'Root of the sum of squares', shares: 'Each with 0.3 of the others' },
  besideHint: 'What acts beside the earthquake, with its factor:',
  factorOf: (id: string): string => `Factor of ${id}`,
  usual: (sum: string): string => `Take ${sum}`,
  schedule: 'Base shear',
};
