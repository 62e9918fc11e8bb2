/** All that this room says, by the file that says it: read it through and correct it here. */

import { counted } from '@rigid-beam/core/counted';

export const brought = {
  material: (members: string, material: string): string => `${members} now of ${material}, since the shape comes in it.`,
  grade: (grade: string, members: string): string => `${grade} for ${members}`,
};

export const editorState = {
  nothingWasSolved: (failure: string): string => `Nothing was solved: ${failure}`,
};

export const earlier = {
  statesAreLarge: 'The browser does not keep states that are so large: they are there until this page is closed.',
  notThere: (name: string): string => `“${name}” could not be fetched, or is no model.`,
  backTo: (name: string): string => `Go back to ${name}`,
  before: (label: string): string => `before “${label}”`,
};

export const editor = {
  notTakenBack: (label: string): string => `“${label}” cannot be taken back now: the server does not answer. Try again.`,
  movesUnseen: (count: number): string =>
    `This would move ${counted(count, 'hidden node')}. Nothing was changed. Show what is hidden first, then do it again.`,
  notOnTop: (label: string, clashWords: string): string => `“${label}” was not put on top of the newer state. ${clashWords}.`,
};

export const storage = {
  theServerFailed: (status: number): string => `The server failed (${status})`,
};

export const stored = {
  removedElsewhere: 'This model was removed in another window. What you see is still here: save it as a file to keep it.',
  notGiven: 'The server does not give the stored state. Try again.',
};

export const files = {
  saved: (kind: string): string => `Saved: ${kind}.`,
  notWritten: (why: string): string => `The file could not be written: ${why}. Nothing was saved.`,
  stillSolving: 'The model is still being solved. Save it again when that is done.',
};
