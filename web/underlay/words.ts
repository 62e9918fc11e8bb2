import { counted } from '@rigid-beam/core/counted';

/** All that this room says, by the file that says it: read it through and correct it here. */

export const readPicture = {
  tooLarge: 'The file is larger than 40 MB. Save a smaller picture of it.',
  otherKind: (name: string): string => `“${name}” is not a PDF, PNG, JPEG or SVG file. Save it as one of these.`,
  cannotBeRead: (name: string): string => `“${name}” cannot be read.`,
  damaged: 'The picture cannot be read: the file is damaged, or of another kind than its name says.',
  tooLong: 'The picture could not be read within 5 s. Save it as a PNG picture, or leave out what it repeats.',
  tooMuch: 'The picture is too large, or repeats too much, to be read within 300 MB. Save a smaller one.',
  leftOut: {
    html: 'The text in HTML within this SVG file is not shown. Save it as a PNG picture to have it all.',
    masks: 'What masks hide in this PDF is shown. Save it as a PNG picture to have it as it was.',
  },
  damagedPdf: 'The PDF cannot be read: it is damaged or locked by a password.',
  noPage: (numPages: number, number: number): string => `The PDF has ${counted(numPages, 'page')}; there is no page ${number}.`,
};

export const trace = {
  ofTheUnderlay: (kind: string): string => `${kind} of the underlay`,
};
