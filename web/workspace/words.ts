import { counted } from '@rigid-beam/core/counted';

/** All that this room says, by the file that says it: read it through and correct it here. */

export const beginnings = {
  begin: 'Begin',
  drawMembers: 'Draw members',
  traceAPlan: 'Trace a plan',
  pasteATable: 'Paste a table',
  openAFile: 'Open a file',
  orPlaceATypicalStructure: 'or place a typical structure',
};

export const commandField = {
  command: 'Command',
  none: 'No command of this name fits here.',
};

export const headStrip = {
  foldTheSidePanelAway: 'Fold the side panel away',
  showTheSidePanel: 'Show the side panel',
  untitled: 'Untitled',
  nameOfTheModel: 'Name of the model',
  numberOfTheProject: 'Number of the project',
  noNumber: 'No.',
  undo: 'Undo',
  redo: 'Redo',
  solve: 'Solve',
  stop: 'Stop',
  stiffnessOfTheMembers: 'stiffness of the members',
  stoppedNotSolved: 'Stopped, not solved',
  readingTheEnvelope: (text: number): string => `Reading the envelope ${text} %`,
  solving: 'Solving …',
  mechanisms: (count: number): string => counted(count, 'mechanism'),
  notReadyToSolve: 'Not ready to solve',
  faults: (faults: number): string => counted(faults, 'fault'),
  inBalance: 'in balance',
  balanceTo: (digits: number): string => `in balance to ${counted(digits, 'digit')} only`,
  solved: (balance: string): string => `Solved, ${balance}`,
  solvedInMs: (time: string, balance: string): string => `Solved in ${time} ms, ${balance}`,
  storing: 'Storing …',
  silent: 'Not stored: the server does not answer. Trying again …',
  failing: 'Not stored. Trying again …',
  notStored: 'Not stored',
  changedElsewhere: 'Changed elsewhere',
};

export const notices = {
  grade: 'Grade',
  notKept: (label: string): string => `Not kept yet: ${label}. The structure would move.`,
  leave: 'Leave as it was',
  keep: 'Keep it',
  kept: (message: string): string =>
    `${message}. Your changes are kept in this window and sent again until they are stored: leave it open.`,
  goBack: 'Go back to the stored state',
  close: 'Close',
  show: 'Show',
  andMore: (text: number): string => `and ${text} more`,
  thisWouldStopIt: 'This would stop it:',
  sentenceAndMore: (text: number): string => ` And ${text} more.`,
  hide: 'Hide',
  newer: 'a newer state is stored',
  changedElsewhere: (text: string): string =>
    `This model was changed in another window: ${text}. Your last change here is not stored.`,
  takeTheNewerState: 'Take the newer state',
  putMyChangeOnTop: 'Put my change on top of it',
  notPutOnTop: (count: number): string =>
    count === 1
      ? 'One change could not be put on top of the newer state, and is not stored:'
      : `${count} changes could not be put on top of the newer state, and are not stored:`,
  copyThem: 'Copy what was changed',
  copied: 'Copied',
  letGo: 'Discard',
};

export const saveMenu = {
  onPaper: 'On paper …',
  saveAsFile: 'Save as file',
  export: 'Export',
  kindsOfFile: 'Kinds of file',
};

export const stageTabs = {
  stages: 'Stages',
  nothingYet: 'nothing yet',
  inOrder: 'in order',
  needsAttention: 'needs attention',
};

export const storedPicture = {
  untitled: 'Untitled',
  opening: 'Opening …',
};

export const workspace = {
  pictureMissing: 'The underlay could not be fetched, and is not shown. The model is whole: reload the page to try again.',
  theHead: 'The head strip',
  theNotices: 'What the solution says',
  theSheet: 'The sheet',
  theTitleBlock: 'The title block',
  theCard: 'This card',
  theBench: 'This bench',
  untitled: 'Untitled',
  titled: (title: string): string => `${title} · Rigid Beam`,
};

export const stages = {
  geometry: 'Geometry',
  sections: 'Sections',
  supports: 'Supports',
  loads: 'Loads',
  combinations: 'Combinations',
  results: 'Results',
  goTo: (words: string): string => `Go to ${words}`,
};

export const lower = {
  whatIsRead: 'What stands under the sheet',
};
