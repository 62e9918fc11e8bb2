import { counted } from '@rigid-beam/core/counted';
import type { Member } from '@rigid-beam/core/model/model';

/** All that this room says, by the file that says it: read it through and correct it here. */

export const solidLayer = {
  none: 'This browser draws no solid bodies: it offers no WebGL. Turn on hardware acceleration, or use another one.',
};

export const sheetController = {
  noPicture: 'The browser could not write a picture of this size: ask for a smaller one.',
};

export const caseStrip = {
  none: 'There is no load case yet. Add one in Loads.',
  casesAndCombinations: 'Cases and combinations',
  governsNothing: 'governs no extreme on any member, no reaction and no displacement',
  unfold: 'Show the sketches of the cases',
  fold: 'Fold the cases to a line of names',
};

export const stripKinds = {
  shown: 'What the strip shows',
  idle: 'Govern nothing',
  kind: (title: string, count: number): string => `${title}: ${count}`,
  ask: 'Which govern?',
};

export const edgeLooks = {
  seenFrom: (words: string): string => `Seen from ${words}`,
  lookField: 'Seen from',
  aCorner: 'a corner',
  lookFromHigher: 'Look from higher',
  theSide: 'the side',
  lookFromLower: 'Look from lower',
  turnToTheLeft: 'Turn to the left',
  theFront: 'the front',
  turnToTheRight: 'Turn to the right',
};

export const floatingField = {
  whatIsChanged: 'What is changed',
  wayToTheNextNode: 'Way to the next node',
};

export const offerSlip = {
  dismiss: 'Dismiss',
};

export const sheet = {
  sheet: 'Sheet',
  described: 'The drawing. Its items follow as a list.',
};

export const sheetItems = {
  items:
    'Items of the drawing. Arrow keys go from one to the next; Enter types over what is said of it, or uses the tool in hand; Alt and an arrow move a node.',
};

export const paneBeside = {
  pane: 'Drawing beside',
  described: 'The drawing beside: the same structure, from the same place and to the same scale.',
  looksAt: 'What the drawing beside shows',
  where: { right: 'Right', below: 'Below' },
  acts: 'Case or combination beside',
  quantity: 'Quantity beside',
  less: 'Less the first',
  change: 'What has changed',
  close: 'One drawing only',
  /** Of several, by its number; the first beside needs none. */
  nth: (words: string, at: number): string => (at === 0 ? words : `${words}, ${at + 2}`),
  number: (number: number): string => `Drawing ${number}`,
  tag: (number: number, acts: string): string => `${number} · ${acts}`,
  closeOf: (number: number): string => `Close drawing ${number}`,
};

export const titleBlock = {
  scaleNow: (words: string): string => `Scale: ${words}`,
  colourScale: (range: string): string => `Colours from ${range}`,
  drawnAs: 'Diagrams as',
  styles: { hatched: 'ordinates', filled: 'areas', line: 'lines', colour: 'colour of the members' },
  momentsOn: 'Moments on',
  faces: { tension: 'the tension face', compression: 'the compression face' },
  ownScale: 'Scale',
  anyScale: 'As it suits the sheet',
  alsoDrawn: 'Other diagrams besides',
  cut: 'Cut free: what acts on the body, and on the faces of the cut',
  freedoms: 'Freedoms by their numbers: free ones in colour, held ones grey',
  influence: 'Influence line',
  influenceRule: (force: string): string =>
    `what 1 ${force} brings about where it stands · positive values on the side that it comes from`,
  titleBlock: 'Title block',
  noLoadCase: 'No load case',
  secondOrder: 'second order',
  axiallyRigid: 'axially rigid',
  quantity: 'Quantity',
  scaleField: 'Scale of what is drawn',
  diagramScale: 'Diagram scale',
  alsoShow: 'Also show ▾',
  whatThisStageShows: 'What this stage shows',
  shown: 'Shown',
};

export const viewTools = {
  hidden: (count: number): string => `${count} hidden · show`,
  view: 'View',
  zoomOut: 'Zoom out',
  zoomIn: 'Zoom in',
  wholeStructure: 'Whole structure',
  whole: 'Whole',
  bringThePlaneBeforeIt: 'Bring the plane before it forward',
  allPlanes: 'all planes',
  planeInFront: 'Plane in front',
  through: (nodes: string): string => `through ${nodes}`,
  bringTheNextPlaneForward: 'Bring the next plane forward',
};

export const describeItems = {
  describeMember: ({ id, start, end, section }: Member, length: string, forces: string): string =>
    `Member ${id} from node ${start} to node ${end}, ${length} long, section ${section}${forces}`,
  describeSupport: (id: string, supportWords: string, reactionWords: string): string =>
    `Support of node ${id}: ${supportWords}${reactionWords}`,
  load: (id: string, loadWords: string): string => `Load ${id}: ${loadWords}`,
  level: 'Level',
  bay: 'Bay',
  describeBay: (text: string, start: string | undefined, end: string | undefined, axis: string, quantity: string): string =>
    `${text} from ${start} to ${end} along ${axis}: ${quantity}`,
  towardsTheFront: (quantity: string): string => `, ${quantity} towards the front`,
  describeNode: (id: string, quantity: string, quantity2: string, text: string): string =>
    `Node ${id} at ${quantity} across, ${quantity2} up${text}`,
  moves: (place: string, across: string, acrossWay: string, up: string, upWay: string): string =>
    `${place}; moves ${across} ${acrossWay}, ${up} ${upWay}`,
  upTo: (name: string, max: string | undefined): string => `${name} up to ${max}`,
  between: (name: string, min: string | undefined, max: string | undefined): string => `${name} ${min} to ${max}`,
  reaction: (force: string, force2: string, moment: string): string =>
    `; reaction ${force} to the right, ${force2} up, ${moment}`,
  describeLoad: (sizeWords: string, directionWords: string, placeWords: string, caseText: string): string =>
    `${sizeWords}${directionWords} on ${placeWords}, case ${caseText}`,
  node: (node: string): string => `node ${node}`,
  member: (member: string): string => `member ${member}`,
  oneMember: (id: string): string => `member ${id}`,
  allOf: (id: string): string => `all that is vertical in ${id}`,
  sway: { right: ' to the right', left: ' to the left', forward: ' to the front', back: ' to the back' },
  panel: (corners: string): string => `the panel between nodes ${corners}`,
  run: (count: number, first: string, last: string | undefined): string =>
    `the run of ${counted(count, 'member')} from ${first} to ${last}`,
  deck: (count: number, first: string, last: string): string =>
    `the deck over ${counted(count, 'node')} from ${first} to ${last}`,
  describeDimension: (label: string, from: string | undefined, to: string | undefined): string => `${label} ${from} to ${to}`,
  onPlan: ' on plan',
  inOwnAxes: ' along the member’s own axes',
  toTheBack: ' to the back',
  toTheFront: ' to the front',
};

export const inPlace = {
  refused: 'The edit was refused.',
  toTheRight: 'to the right',
  inFront: 'in front',
  stretchBays: (count: number): string => `Stretch ${counted(count, 'bay')}`,
  givenBays: (count: number, text: string): string => `${count === 1 ? 'Bay' : counted(count, 'bay')} of ${text}`,
  allAlike: (count: number): string => `All ${count} alike`,
  everythingMovesWithIt: (way: string): string => `Everything ${way} moves with it`,
  onlyThisLineMoves: 'Only this line moves',
  level: 'Level',
  bay: 'Bay',
  whatMovesIsChosenBelow: (what: string): string => `${what}: what moves is chosen below`,
  gridLinesAcross: (axis: string, unit: string): string => `Grid lines across ${axis} (${unit})`,
  gridNotation: 'as 3×5.4 + 2.7; the structure follows, unless you write stay behind it',
  notKept: 'Not all of its numbers follow the one that is shown: write expressions on its card.',
  setLoads: (count: number): string => `Set ${counted(count, 'load')}`,
  allLoadsAlike: (count: number): string => `All ${count} alike`,
  onlyThisOne: 'Only this one',
};

export const loadValues = {
  share: 'Sway of',
  couple: 'Couple',
  force: 'Force',
  movement: 'Movement',
  turn: 'Turn',
  temperature: 'Temperature',
  tooLongBy: 'Too long by',
  intensity: 'Intensity',
  intensityWhereItBegins: 'Intensity where it begins',
  intensityWhereItEnds: 'Intensity where it ends',
};

export const removal = {
  removeThings: (count: number): string => `Remove ${counted(count, 'object')}`,
};

export const readScale = {
  noTimes: (reason: string): string => `Write how many times larger than life: ${reason}.`,
  noLength: (reason: string): string => `Write a length before “=”, such as 1 cm: ${reason}.`,
  noValue: (reason: string): string => `Write what that length stands for: ${reason}.`,
  positive: 'A scale is greater than zero.',
  times: (times: number): string => `deflections × ${times}`,
};

export const cutTool = {
  hint: 'Draw a line across the members to cut. Esc: done.',
};

export const boxTool = {
  hint: 'All that the box touches is selected; with Alt only what lies wholly inside, with Shift in addition.',
};

export const drawTool = {
  first: 'Click where the first node stands, or type its place: across by up.',
  next: (notationOf: string): string =>
    `Click the next node (Shift: level, upright or at 45°), or type ${notationOf}. Escape ends the chain.`,
  at: (length: string, degrees: number): string => `${length} at ${degrees}°`,
  node: (id: string): string => `node ${id}`,
  crosses: (member: string, others: string): string => `Member ${member} crosses ${others} without a joint.`,
  makeJoints: 'Make joints',
};

export const loadTool = {
  together: (force: string): string => ` Resultant ${force}.`,
  panel: 'panel between members',
  nodeOrMember: 'node or member',
  notThere: (reason: string): string => `Not there: ${reason}.`,
  refused: (reason: string): string => `Nothing was put: ${reason}.`,
  tabTurnsIt: ' Tab turns it.',
  hint: (phraseWords: string, caseId: string, on: string, turns: string): string =>
    `${phraseWords} in ${caseId}: click each ${on} that gets it.${turns} Escape ends.`,
  putOn: (phraseWords: string, kind: string, id: string): string => `Put ${phraseWords} on ${kind} ${id}`,
  inHand: (i: number): string => `in hand ${i}`,
};

export const pickTool = {
  hint: 'Arrow keys and Enter do it too, or type its place.',
};

export const pointCursor = {
  notation: 'across by up, from the origin',
  placeOnTheDrawing: 'Place on the drawing',
};

export const readStep = {
  notationInPlane: 'a length · length at degrees · across by up · to across by up',
  notationInSpace: 'a length · across by up by forward · to across by up by forward',
  isNoLength: (part: string, reason: string): string => `“${part}” is not a length: ${reason}`,
  twoParts: 'a place in the plane is written: across by up',
  threeParts: 'a place is written: across by up',
  noAngle: 'point where it leads, or give an angle',
  isNoAngle: (turn: string, reason: string): string => `“${turn}” is not an angle: ${reason}`,
  noWay: 'the way has no length',
};

export const selectTool = {
  removeAllOfIt: 'Remove all of it',
  hint: 'Click a value to type over it. Drag a node to move it; drag over the paper to select.',
  removingThisTakesAlong: (also: string): string => `Removing this takes along ${also}.`,
  mergeNode: (dropped: string | undefined): string => `Merge node ${dropped}`,
};
