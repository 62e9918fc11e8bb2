/** All that this room says, by the file that says it: read it through and correct it here. */

export const modelTileItem = {
  beingDrawn: 'Being drawn …',
  title: 'Title',
  moreFor: (title: string): string => `More for ${title}`,
  whatToDoWith: (title: string): string => `What to do with ${title}`,
  rename: 'Rename',
  duplicate: 'Duplicate',
  moveTo: (name: string): string => `Move to ${name}`,
  remove: 'Remove',
};

export const projectsPage = {
  showMore: (count: number): string => `Show more (${count.toLocaleString('en')} follow)`,
  rigidBeam: 'Rigid Beam',
  findAModel: 'Find a model',
  findAModelOrProject: 'Find a model or project',
  sorted: 'Sorted',
  newProject: 'New project',
  newPlaneModel: 'New plane model',
  newSpaceModel: 'New space model',
  fromAFile: 'From a file',
  noModelYet: 'No model yet.',
  nothingFound: 'Nothing of this name.',
  removeTheProject: 'Remove the project',
  nothingFoundHere: 'Nothing of this name is here.',
  rename: (name: string): string => `Rename ${name}`,
  renameModel: 'Rename',
  project: 'Project',
  number: 'Number',
  done: 'Done',
};

export const removedModels = {
  removedModels: 'Removed models',
  removed: ' removed',
  bringBack: (title: string): string => `Bring ${title} back`,
  bringBackShort: 'Bring back',
  warning: 'It cannot be brought back then.',
  removeForGood: 'Remove for good',
  keep: 'Keep',
  removeForGoodNamed: (title: string): string => `Remove ${title} for good …`,
  removeForGoodShort: 'Remove for good …',
};

export const arranged = {
  asTheyWereMade: 'as they were made',
  lastChangedFirst: 'last changed first',
  byTitle: 'by title',
};

export const requests = {
  sending: (name: string, text: number): string => `Sending ${name}: ${text} %`,
  reading: (name: string): string => `Reading ${name} …`,
  silentNothingStored: 'The server does not answer. Nothing was stored.',
  failed: (status: number): string => `The server failed (${status}). Nothing was stored.`,
  refused: 'The change was refused.',
  silentNothingChanged: 'The server does not answer. Nothing was changed.',
};
