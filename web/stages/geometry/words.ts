import { counted } from '@rigid-beam/core/counted';

/** All that the bench of geometry says in its parts: read it through and correct it here. */

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
  numberNodesAnew: 'Renumber nodes',
  letterMembersAnew: 'Relabel members',
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
  baysAlongX: 'Bays along {X}',
  levels: 'Levels',
  framesAlongZ: 'Frames along {Z}',
  theStructureFollows: 'The structure follows',
  lines: (count: number): string => `= ${counted(count, 'line')}`,
  firstLineAt: 'First line at',
  names: 'Names',
  takeTheseLinesAway: 'Remove these grid lines',
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
  things: (count: number): string => counted(count, 'object'),
  selectFirst: 'Select something to keep it as a group.',
};

export const parametersPart = {
  none: 'A span, a rise or a load can have a name and be moved: everything that is written with it follows.',
  give: 'Give a parameter',
  open: 'Move the parameters',
};

export const settingsPart = {
  axes: 'Axes',
  up: 'Upwards',
  pointsUp: (letter: string): string => `${letter} points up`,
  strong: 'Strong axis of a section',
  isStrong: (letter: string): string => `${letter} – ${letter}`,
  deformationChanges: (acts: string, changes: string): string => `Changed in ${acts}: ${changes}.`,
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
  axialDeformation: 'Axial deformation',
  axialCounted: 'Included',
  axialNeglected: 'Neglected: lengths kept',
  leftOut: 'Left out',
  counted: 'Included, where shear areas are known',
  unitsShown: 'Units shown',
  units: 'Units',
  ownChoice: 'Own choice',
};

export const spacePart = {
  at: (axis: string): string => `At ${axis}`,
  uprightFrame: 'upright, {X} and {Y} (a frame)',
  uprightSide: 'upright, {Z} and {Y} (a side)',
  level: 'level, {X} and {Z} (a floor)',
  makeItASpaceModel: 'Make it a space model',
  frames: 'Frames in a row',
  spacing: 'Spacing',
  makeAHall: (frames: number): string => `Make it a hall of ${counted(frames, 'frame')}`,
  hallHint: 'Loads and supports go with it; nodes above the feet are linked from frame to frame.',
  feet: 'Feet, out of the plane',
  inPlace: 'held in place, free to turn',
  clamped: 'clamped',
  needsBracing: 'The frame can fall over lengthwise until it is braced or repeated and linked: the sheet shows it.',
  holdsItself: 'Each foot holds the frame upright by itself, and takes moments for it.',
  plane: 'Plane',
  drawnThrough: (nodes: string): string => `What is drawn lies on the plane through ${nodes}.`,
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
  together: (count: number, spacings: string, unit: string): string => `= ${count} × , ${spacings} ${unit} in all`,
};

export const placedPart = {
  placed: 'Placed',
  measuresOf: (id: string): string => `Measures of ${id}`,
  selectIt: 'Select it',
  letGo: 'Let it go its own way',
};

export const underlayPart = {
  at: (axis: string): string => `At ${axis}`,
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
  turnedBy: 'Turned by',
  strength: 'Strength',
  strengthOfTheUnderlay: 'Strength of the underlay',
  hide: 'Hide',
  show: 'Show',
  takeItAway: 'Remove the underlay',
};
