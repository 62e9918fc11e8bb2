import { counted } from '@rigid-beam/core/counted';
import type { EndFreedom } from '@rigid-beam/core/model/model';

/** All that this room says, by the file that says it: read it through and correct it here. */

export const card = {
  planeThrough: (nodes: string): string => `Draw on the plane through ${nodes}`,
  member: (id: string): string => `member ${id}`,
  node: (id: string): string => `node ${id}`,
  load: (count: number): string => (count === 1 ? 'Load' : counted(count, 'load')),
  selected: (count: number): string => `${count} selected`,
  backTo: (back: string): string => `Back to ${back}`,
  removeAndWithIt: (also: string): string => `Remove, and with it ${also}`,
  remove: 'Remove',
  removingTakesAlong: (also: string): string => `Removing takes along ${also}.`,
};

export const selectionStrip = {
  label: 'What is selected, narrowed',
  parts: {
    members: (count: number): string => `Only ${counted(count, 'member')}`,
    nodes: (count: number): string => `Only ${counted(count, 'node')}`,
    vertical: (count: number): string => `${count} upright`,
    horizontal: (count: number): string => `${count} level`,
    inclined: (count: number): string => `${count} inclined`,
    like: (count: number): string => `All ${count} like it`,
  },
  measuresOf: (id: string): string => `Measures of ${id}`,
  onlyOn: 'Only on a level or plane',
  plane: (name: string | undefined, plane: string): string => (name ? `${name}: ${plane}` : plane),
};

export const chartsDrawer = {
  others: 'Other outcomes in the same charts',
  add: 'Also draw',
  without: (outcome: string): string => `Without ${outcome}`,
  notARun: 'The selected members do not follow each other as one line: the first is read. Select a run of them to read it whole.',
  tooMany: 'The selected members are too many to be read as one line: the first is read. Select fewer.',
  othersTooMany: 'The selected members are too many for all that was chosen beside them. Select fewer.',
  member: (member: string): string => `Member ${member}`,
  run: (count: number, begins: string, ends: string): string => `${counted(count, 'member')} from node ${begins} to node ${ends}`,
  diagramsAlongMembers: 'Diagrams along members',
  diagrams: 'Diagrams',
  closeTheDiagrams: 'Close the diagrams',
  ofAShape: 'A shape is of no particular size: choose a case or combination on the strip.',
  selectFirst: 'Select a member, or members that follow each other, to read their diagrams.',
};

export const loadCard = {
  notKept: 'Not all of its numbers follow the one that is shown: write expressions for its components.',
  several: (count: number): string => `${counted(count, 'load')} of one kind. A change is made to all of them.`,
  unlike: (count: number): string =>
    `${counted(count, 'load')} of different kinds. Select one, then all like it, to change them.`,
  change: (count: number): string => `Change ${counted(count, 'load')}`,
  loadOnInCase: (id: string, placeWords: string, caseText: string): string => `Load ${id} on ${placeWords}, in case ${caseText}`,
  asParts: (list: string): string => `As parts of the length: ${list}`,
  whatActs: 'What acts',
  asLengths: (list: string): string => `From the start: ${list}`,
  asAWhole: 'As a whole',
  alike: 'Select all like it',
  mirror: 'Mirror on its member',
  copyTool: 'Copy to members…',
  copyHint: 'Click the members that get a copy, or draw a box over them. Escape ends.',
  copiedToMembers: (load: string, count: number): string => `Copy load ${load} to ${counted(count, 'member')}`,
  factor: 'Factor',
  scale: 'Scale it',
  divideAt: 'Part of its stretch',
  divide: 'Divide it',
  divided: (id: string): string => `Divide load ${id}`,
  notThere: 'Nothing was divided: write a part between 0 and 1, both left out.',
  copyTo: 'Copy to another case',
  chooseCase: 'choose one',
  copied: (load: string, into: string): string => `Copy load ${load} to case ${into}`,
  acts: 'Acts',
  carried: 'Carried',
  twoWay: 'Two ways, by the sides of the panel',
  oneWay: 'One way, by two sides or chosen members',
  width: 'From a width of',
  carryOn: (count: number): string => `Carried by the ${counted(count, 'selected member')}`,
  selectCarriers: (count: number): string =>
    `Select the ${counted(count, 'member')} that ${count === 1 ? 'carries' : 'carry'} it`,
  downOnArea: 'Down, on the area itself',
  downOnPlan: 'Down, on plan',
  squareToPanel: 'Square to it',
  axes: 'Axes',
  positions: 'Positions',
  begins: 'Begins',
  ends: 'Ends',
  theStart: 'the start',
  theEnd: 'the end',
  globalAlongTheMember: 'Global, along the member',
  globalOnPlan: 'Global, on plan',
  theMembersOwnAxes: 'The member’s own axes',
  asPartsOfTheLength: 'As parts of the length',
  asLengthsFromTheStart: 'As lengths from the start',
  force: 'Force',
  couple: 'Couple',
  intensity: 'Intensity',
  settlement: 'Settlement',
  rotation: 'Rotation',
  temperature: 'Temperature',
  gradientAlongY: 'Gradient along {y}',
  gradientAlongZ: 'Gradient along {z}',
  tooLongBy: 'Too long by',
  prestress: 'Prestress',
  prestressHint: 'Tension between ends that are held; where they give way, less of it is left.',
  fromTheStart: 'From the start',
  partOfTheLength: 'Part of the length',
};

export const memberCard = {
  frame: 'Frame: axial force, shear and bending',
  truss: 'Truss: hinged at both ends',
  tensionOnly: 'Tie: tension only',
  compressionOnly: 'Strut: compression only',
  changeMembers: (count: number): string => `Change ${counted(count, 'member')}`,
  place: (start: string, end: string, quantity: string): string => `From node ${start} to node ${end}, ${quantity} long`,
  several: (count: number, differ: readonly string[]): string =>
    `${counted(count, 'member')}. A change is made to all of them, and leaves the rest of each as it is.${
      differ.length > 0 ? ` They differ in ${differ.join(', ').toLowerCase()}.` : ''
    }`,
  differ: 'not the same',
  some: (text: string): string => `${text} (some)`,
  section: 'Section',
  material: 'Material',
  behaviour: 'Behaviour',
  sectionStands: 'Section stands',
  upright: 'Upright: bends about its strong axis',
  onItsSide: 'On its side: bends about its weak axis',
  name: 'Name',
  cutFree: 'Cut here, in the middle',
  readAllItsDiagrams: 'Read all its diagrams',
  sectionForAll: 'Section, for every member that has it',
  hinge: 'Hinge',
  freeAlong: 'Axial release',
  freeAcross: 'Shear release',
  hingeAboutZ: 'Hinge about {z}',
  hingeAboutY: 'Hinge about {y}',
  freeToTwist: 'Torsion release',
  freeAlongX: 'Axial release',
  freeAlongY: 'Shear release along {y}',
  freeAlongZ: 'Shear release along {z}',
  endAtNode: (node: string): string => `End at node ${node}`,
  atNode: (release: string, node: string): string => `${release} at node ${node}`,
  released: (node: string, count: number): string =>
    count === 1 ? `Change how the member ends at node ${node}` : `Change how ${count} members end`,
  elastic: 'Elastic joint',
  springs: {
    mz: 'Turns about {z}',
    my: 'Turns about {y}',
    rx: 'Twists',
    ux: 'Slides along {x}',
    uy: 'Slides along {y}',
    uz: 'Slides along {z}',
  } as const satisfies Record<EndFreedom, string>,
  /** How far a joint gives, either way, before its spring acts. */
  gaps: {
    mz: 'Gap about {z}',
    my: 'Gap about {y}',
    rx: 'Gap in twist',
    ux: 'Gap along {x}',
    uy: 'Gap along {y}',
    uz: 'Gap along {z}',
  } as const satisfies Record<EndFreedom, string>,
  freeEnd: 'free',
  rigidEnd: 'rigid',
};

export const memberCharts = {
  runNowIn: (member: string): string => `run, now in ${member}`,
  alongThe: (what: string, id: string): string => `Along the ${what} · ${id}`,
  fromTo: (name: string, quantity: string, quantity2: string): string => `${name}: from ${quantity} to ${quantity2}`,
  distanceFromTheStart: 'Distance from the start',
  distanceFromNode: (begins: string): string => `Distance from node ${begins}`,
};

export const nodeCard = {
  noSupport: 'No support',
  withSpringsOrOther: 'With springs, or other',
  supportNodes: (count: number): string => `Support ${counted(count, 'node')}`,
  name: 'Name',
  support: 'Support',
  alongX: 'Along {X}',
  alongY: 'Along {Y}',
  rotation: 'Rotation',
  alongZ: 'Along {Z}',
  aboutX: 'About {X}',
  aboutY: 'About {Y}',
  aboutZ: 'About {Z}',
  held: 'Held',
  free: 'Free',
  spring: 'Spring',
  stiffness: 'Stiffness',
  pushes: (axis: string): string => `Holds along ${axis}`,
  bothWays: 'both ways',
  onlyTowards: (axis: string): string => `towards ${axis} only`,
  gap: 'Gap',
  turnedBy: 'Turned by',
  directions: 'Restrained along',
  alongGlobal: 'the global axes',
  alongMember: (id: string): string => `member ${id}`,
  ownAxes: 'axes of its own',
  settles: (axis: string, id: string): string => `Settlement along ${axis} in ${id}`,
  turnsAbout: (axis: string): string => `Turns about ${axis}`,
  turns: 'Turns',
  coupleAbout: (axis: string): string => `Couple ${axis}`,
  couple: 'Couple',
  movesAlong: (axis: string): string => `Moves along ${axis}`,
  reaction: (component: string): string => `Reaction ${component}`,
  inCase: (id: string): string => `In ${id}`,
};

export const influenceButton = {
  of: (what: string): string => `Influence line of the ${what}`,
};

export const trainFields = {
  example: '2 × 90 kN at 1.2 m + 60 kN after 3 m',
  impact: 'Impact ×',
};

export const trainParts = {
  axles: 'Axles, from the front',
  whereItTravels:
    'What is spread over a length, and a gap that may vary, count where the train travels. Where it stands only its axles act.',
  stands: 'First axle stands at',
  way: 'It goes',
  forwards: (way: readonly string[]): string => `from ${way[0]!} to ${way.at(-1)!}`,
  backwards: (way: readonly string[]): string => `from ${way.at(-1)!} to ${way[0]!}`,
  drag: 'Drag one of its axles along the structure, and everything moves with it.',
};

export const resultLines = {
  show: (words: string, title: string): string => `${words}: show where the ${title.toLowerCase()} is`,
};

export const memberReading = {
  label: (count: number): string => `Results of ${counted(count, 'member')}`,
  reading: 'It is being read.',
  in: (id: string): string => `In ${id}`,
  nothing: 'It carries nothing.',
  edit: 'Change it',
};

export const handCheckPart = {
  title: 'Check it by hand',
  noFormula: 'No formula of the textbooks fits: they have one load over all of a beam, or one force.',
  ofOneOutcome: 'The formulas are for one case or sum: choose one on the strip.',
  compared: (hand: string, solved: string, difference: string): string => `${hand} by hand, ${solved} solved: ${difference}`,
  ownKept: 'one’s own reckoning',
  own: (symbol: string, outcome: string): string => `Largest ${symbol} in ${outcome} by one’s own reckoning`,
  beside: (solved: string, difference: string): string => `Solved is ${solved}: ${difference}.`,
};

export const nodeReading = {
  joint: (outcome: string): string => `The joint cut free in ${outcome}`,
  supports: (outcome: string): string => `Supports together in ${outcome}`,
  aboutTheMiddle: 'Couples are about the middle between them.',
  ofOneOutcome: 'A joint is cut free in one case or sum: choose one on the strip.',
};

export const readPlace = {
  beside: (length: string): string => `A place lies between 0 and ${length}.`,
  unreadable: (reason: string): string => `Write a length, a part such as 35 %, or a fraction such as 1/3: ${reason}.`,
};

export const runCharts = {
  of: (outcome: string, value: string): string => `${outcome} ${value}`,
  body: (member: string): string => `${member} cut free between its nodes`,
  aboutItsStart: 'Couples are about its start.',
  section: (member: string): string => `Section of ${member} at this place`,
  along: (acts: string): string => `One line through all diagrams · ${acts}`,
  place: (begins: string): string => `Distance from node ${begins}`,
  example: '2.4 m, 35 % or 1/3',
  most: (value: string, x: string): string => `most ${value} at ${x}`,
  least: (value: string, x: string): string => `least ${value} at ${x}`,
  fromNode: (node: string): string => `from node ${node}`,
  unknown: 'not known here',
  formulas: (member: string): string => `Formulas in member ${member}`,
  formulasFrom: (member: string, node: string, unit: string): string => `x in ${unit} along member ${member}, from node ${node}.`,
  between: (from: string, to: string): string => `from ${from} to ${to}`,
  governs: { max: 'Greatest value by', min: 'Least value by' },
  sides: { max: 'most', min: 'least' },
  fromTo: (id: string, from: string, to: string): string => `${id} from ${from} to ${to}`,
  by: (id: string): string => `by ${id}`,
  byBoth: (least: string, most: string): string => `by ${least} … ${most}`,
};
