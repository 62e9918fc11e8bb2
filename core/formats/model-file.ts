import { FILE_BYTES, FILE_DEPTH } from '../limits';
import { checkModel, type Checked } from '../model/check';
import type { Model } from '../model/model';
import { fault, isFault, type Notice } from '../model/notice';

/** Reads the text of a model file. All its faults are reported together, each with its path. */
export function readModelFile(text: string): Checked {
  if (text.length > FILE_BYTES) return { notices: [tooLarge(text.length)] };
  if (depthOf(text) > FILE_DEPTH) {
    return refused('too-deep', 'The file is nested too deep', `at most ${FILE_DEPTH} levels`, 'Check the brackets of the file');
  }
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return refused(
      'not-json',
      `The file is not valid JSON: ${(error as Error).message}`,
      'a JSON text',
      'Check that the file is complete and was saved as JSON',
    );
  }
  return checkModel(value);
}

export const tooLarge = (bytes: number): Notice =>
  fault({
    code: 'too-large',
    path: '',
    value: `${bytes} bytes`,
    what: 'The file is too large to be read',
    expected: `at most ${FILE_BYTES / 1024 / 1024} MiB`,
    remedy: 'Split the structure, or remove what is not needed',
  });

const refused = (code: string, what: string, expected: string, remedy: string): { notices: Notice[] } => ({
  notices: [fault({ code, path: '', value: undefined, what, expected, remedy })],
});

/** The deepest nesting of brackets outside strings: bounded before parsing, so that nothing recurses without end. */
function depthOf(text: string): number {
  let [depth, deepest, inString] = [0, 0, false];
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (inString) {
      if (c === 92) i++;
      else if (c === 34) inString = false;
    } else if (c === 34) inString = true;
    else if (c === 123 || c === 91) deepest = Math.max(deepest, ++depth);
    else if (c === 125 || c === 93) depth--;
  }
  return deepest;
}

/** The model as a file: plain SI numbers, one entry of a list to a line, so that changes read well. */
export function writeModelFile(model: Model): string {
  const entries = Object.entries(model).map(([key, value]) => {
    if (!Array.isArray(value) || value.length === 0) return `  ${JSON.stringify(key)}: ${JSON.stringify(value)}`;
    return `  ${JSON.stringify(key)}: [\n${value.map((item) => `    ${JSON.stringify(item)}`).join(',\n')}\n  ]`;
  });
  return `{\n${entries.join(',\n')}\n}\n`;
}

export const faultsOf = (notices: readonly Notice[]): Notice[] => notices.filter(isFault);
