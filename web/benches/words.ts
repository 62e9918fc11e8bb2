import type { LimitState } from '@rigid-beam/core/model/model';

/** All that this room says, by the file that says it: read it through and correct it here. */

export const combinationsBench = {
  combination: (id: string): string => `Combination ${id}`,
  sum: 'Sum',
  envelope: 'Envelope',
  title: 'Title',
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
  nodes: (nodes: number): string => `${nodes} nodes`,
  members: (members: number): string => `${members} members`,
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
  unitsAndSettings: 'Units and settings',
  units: 'Units',
};

export const loadsBench = {
  imposed: 'Imposed',
  addACase: 'Add a case',
  schedule: 'Schedule of loads',
  countWeight: 'Count self weight here',
  weighs: (force: string): string => `Self weight counts: ${force}`,
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
    [weight === 'weighs' ? 'self weight' : '', count === 0 ? '' : count === 1 ? '1 load' : `${count} loads`]
      .filter(Boolean)
      .join(', '),
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
  none: 'There are no results. The head strip says why.',
  whatGovernsIn: (id: string): string => `What governs in ${id}`,
  reading: 'The envelope is being read. The sheet and the extremes follow when that is done; everything else goes on.',
  reactions: 'Reactions',
  balance: 'Balance',
  together: (force: string, place: string, couple: string | undefined): string =>
    `The loads act together as ${force} on the line through ${place}${couple ? `, and ${couple} about it` : ''}.`,
  coupleAlone: (couple: string): string => `The loads act together as a couple of ${couple}.`,
  hold: 'The loads hold each other in balance.',
  difference: (share: string): string => `Loads and reactions differ by ${share} of the load.`,
  quantity: 'Quantity',
  value: 'Value',
  member: 'Member',
  at: 'at',
  largest: 'Largest',
  smallest: 'Smallest',
  text: (symbol: string, text: string): string => `${symbol} ${text}`,
  selectMember: (id: string): string => `Select member ${id}`,
  node: 'Node',
  aboutOrigin: (componentName: string): string => `${componentName} about origin`,
  loads: 'Loads',
};

export const supportsBench = {
  rollsX: 'Rolls X',
  rollsY: 'Rolls Y',
  rollsZ: 'Rolls Z',
  guided: 'Guided',
  bears: 'Bears',
  upright: 'Upright',
  alongMemberShort: 'On slope',
  alongMember: 'Rolls along its member',
  placed: (kind: string): string => `support ${kind}`,
  clickNodes: (kind: string): string => `Click the nodes to support: ${kind}. Escape ends.`,
  supportsToPlace: 'Supports to place',
  removed: (id: string): string => `support ${id}`,
  schedule: 'Schedule of supports',
  pulledUp: (node: string, force: string, acts: string): string =>
    `The support of node ${node} is pulled up by ${force} in ${acts}.`,
  seeReactions: 'See the reactions',
  carriesNothing: (node: string): string => `The support of node ${node} carries nothing in any case.`,
  hint: 'Springs, slopes and settlements are set on the node’s card: select a supported node. A spring takes a soil stiffness times an area: 30 MN/m3 * 1.2 m2.',
  inThisModel: 'In this model',
  none: 'Nothing holds the structure yet.',
  node: (node: string, supportWords: string): string => `Node ${node}: ${supportWords}`,
  removeTheSupportOfNode: (node: string): string => `Remove the support of node ${node}`,
  remove: 'Remove',
};

export const factorTable = {
  factorsOfTheCombinations: 'Factors of the combinations',
  combination: 'Combination',
};

export const argumentField = {
  across: 'Across',
  up: 'Up',
  forward: 'Forward',
};

export const changeFold = {
  changeTheSelection: 'Change the selection',
  nothingIsSelected: 'nothing is selected',
  how: 'How',
  asACopy: 'as a copy',
  selectFirst: 'Select nodes and members on the sheet first.',
};

export const cleanUpPart = {
  cleanUp: 'Clean up',
  renumberInReadingOrder: (list: string): string => `Renumber ${list} in reading order`,
  nothingNeedsMending: 'Nothing needs mending.',
  hint: 'Each can be shown and mended.',
  largeModel: 'A large model is looked over when you ask for it in the command field: clean up.',
  mendAll: (count: number): string => `Mend all ${count}`,
  numberNodesAnew: 'Number nodes anew',
  letterMembersAnew: 'Letter members anew',
};

export const editForm = {
  clickWhereTheWayBegins: 'Click where the way begins.',
  clickWhereItLeads: 'Click where it leads.',
  clickThePoint: 'Click the point.',
  byTwoPoints: 'By two points',
  pointAtIt: 'Point at it',
  cancel: 'Cancel',
};

export const gallery = {
  typicalStructures: 'Typical structures',
};

export const gridPart = {
  baysAlongX: 'Bays along X',
  levels: 'Levels',
  framesAlongZ: 'Frames along Z',
  theStructureFollows: 'The structure follows',
  lines: (text: number): string => `= ${text} lines`,
  firstLineAt: 'First line at',
  names: 'Names',
  takeTheseLinesAway: 'Take these lines away',
  add: (lines: string): string => `${lines}: add`,
  hint: 'Written as on drawings: 3×5.4 + 2.7. New lines begin where the structure has its nodes.',
};

export const selectPart = {
  selectByABox: 'Select by a box',
  selectEverything: 'Select everything',
  invertTheSelection: 'Invert the selection',
  selectWhatIsConnected: 'Select what is connected',
  selectMembersLikeThisOne: 'Select members like this one',
  selectUprightMembers: 'Select upright members',
  selectLevelMembers: 'Select level members',
  selectInclinedMembers: 'Select inclined members',
  hideTheSelection: 'Hide the selection',
  showOnlyTheSelection: 'Show only the selection',
  showAllThatIsHidden: 'Show all that is hidden',
  allOnALevelOr: 'All on a level or plane',
  chooseOne: 'choose one',
  allOfASection: 'All of a section',
  makeSelected: (id: string): string => `Make ${id} what is selected now`,
  takeSelection: 'take selection',
  removeGroup: (id: string): string => `Remove group ${id}`,
  nameSelection: 'Name the selection as a group',
  groupExists: 'there is already a group of this name',
  things: (count: number): string => `${count} things`,
  selectFirst: 'Select something to keep it as a group.',
};

export const settingsPart = {
  shearChanges: (acts: string, changes: string): string => `Changed in ${acts}: ${changes}.`,
  changed: (quantity: string, before: string, now: string, unit: string, percent: string): string =>
    `largest ${quantity} ${before} → ${now} ${unit} (${percent} %)`,
  lengths: 'Lengths',
  forces: 'Forces',
  moments: 'Moments',
  stresses: 'Stresses',
  deflections: 'Deflections',
  sections: 'Sections',
  title: 'Title',
  shearDeformation: 'Shear deformation',
  leftOut: 'Left out',
  counted: 'Counted, where shear areas are known',
  unitsShown: 'Units shown',
  units: 'Units',
  ownChoice: 'Own choice',
};

export const spacePart = {
  uprightFrame: 'upright, X and Y (a frame)',
  uprightSide: 'upright, Z and Y (a side)',
  level: 'level, X and Z (a floor)',
  makeItASpaceModel: 'Make it a space model',
  hint: 'The frame stays where it is, and its supports hold it upright.',
  plane: 'Plane',
  noneChosen: 'none chosen',
  through: 'Through',
  chooseOne: 'choose one',
  lookStraightAtIt: 'Look straight at it',
};

export const typicalPart = {
  clickWhere: 'Click where its lower left corner stands.',
  typicalStructures: 'Typical structures',
  becomesSpace: 'This becomes a space model with it.',
  placeIt: 'Place it',
  showWhere: 'Show where',
  cancel: 'Cancel',
  together: (count: number, spacings: string, unit: string): string => `= ${count} × , together ${spacings} ${unit}`,
};

export const underlayPart = {
  file: 'Picture or PDF for the underlay',
  reading: 'Reading …',
  anotherFile: 'Another file',
  putAFileBehind: 'Put a file behind',
  pageOfAPdf: 'Page of a PDF',
  hint: 'A page of a PDF, a PNG, JPEG or SVG, to trace on.',
  uprightFacingFront: 'Upright, facing front',
  lyingAsAPlan: 'Lying, as a plan',
  uprightFacingTheSide: 'Upright, facing the side',
  calibrateByTwoPoints: 'Calibrate by two points',
  measure: 'Measure',
  move: 'Move',
  levelIt: 'Level it',
  itLies: 'It lies',
  turnedBy: 'Turned by (°)',
  strength: 'Strength',
  strengthOfTheUnderlay: 'Strength of the underlay',
  hide: 'Hide',
  show: 'Show',
  takeItAway: 'Take it away',
};

export const COMBINE = {
  none: 'A sum adds cases with factors; an envelope shows the largest and smallest of several.',
  addSum: 'Add a sum',
  addEnvelope: 'Add an envelope',
  factor: (of: string, sum: string): string => `${of} in ${sum}`,
  acts: (id: string, title: string | undefined): string => `Let ${id}${title ? `, ${title},` : ''} act`,
  notFactor: (of: string, sum: string, reason: string): string =>
    `${of} in ${sum} is no factor: ${reason}. Write a number, such as 1.35.`,
  encloses: 'Encloses',
  remove: (id: string): string => `Remove ${id}`,
  copy: (id: string): string => `Copy ${id}`,
  limit: 'Limit state',
  earlier: 'Earlier',
  later: 'Later',
  shown: (from: number, to: number, of: number): string => `${from} to ${to} of ${of}`,
};

export const LIMITS: Readonly<Record<LimitState, string>> = {
  strength: 'Strength',
  service: 'Service',
  other: 'Other',
};

/** Shapes that can be begun, in as little room as there is. */
/** Kinds of shape that one looks for, each with a picture. */
