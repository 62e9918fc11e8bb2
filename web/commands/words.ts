/** All that this room says, by the file that says it: read it through and correct it here. */

export const sheetMenu = {
  otherChoices: 'Other choices',
  nothingIsSelectedHere: 'Nothing is selected here.',
};

export const command = {
  selectSomething: 'Nothing is selected. Select something first.',
  selectNodesOrMembers: 'Nothing is selected. Select nodes or members first.',
  selectMembersFirst: 'Select members first.',
  selectTwoMembersOrMore: 'Select two members or more first.',
  selectTwoNodesOrMore: 'Select two nodes or more first.',
  refused: 'The edit was refused.',
};

export const loadCommands = {
  notation:
    '8 kN/m down on members a, b · 6 to 2 kN/m down on run a, b · 5 kN right on node 3 · 2 kN/m2 down on panel 1, 2, 3, 4 · or on what is selected',
  selectCorners: 'Name the panel by its corners, in their order around it, or select them.',
  selectWhatGetsIt: (on: string): string =>
    `Say where: “on members a, b”, “on node 3”, or select the ${on === 'either' ? 'nodes or member' : on}s first.`,
  noCaseActs: 'A load is put into the case that acts: choose a case, not a combination.',
  isNoLoad: (text: string, reason: string): string => `“${text}”: ${reason}.`,
  put: (words: string, count: number, caseId: string): string =>
    `Put ${words}${count > 1 ? ` ${count} times` : ''} into ${caseId}`,
};

export const grammar = {
  notUnderstoodWrite: (rest: string, notationOf: string): string => `“${rest}” is not understood. Write: ${notationOf}`,
  isMissing: (after: string): string => `“${after}” is missing.`,
  whatIsMissing: (words: string): string => `What is missing: ${words}.`,
  somethingIsMissing: 'Something is missing.',
  isNoAngle: (text: string, reason: string): string => `“${text}” is not an angle: ${reason}`,
  isNoWholeNumber: (text: string, words: string): string => `“${text}” is not a whole number (${words})`,
  isNoAxisWriteX: (text: string): string => `“${text}” is not an axis: write x, y or z`,
  thereIsNoSection: (text: string): string => `There is no section “${text}”`,
  isNotUnderstood: (text: string): string => `“${text}” is not understood`,
  isNoLength: (text: string, reason: string): string => `“${text}” is not a length: ${reason}`,
  tooManyParts: 'a way has at most three parts: across by up by forward',
};

export const motions = {
  tooManyParts: 'a way has at most three parts: across by up by forward',
  isNoLength: (part: string, reason: string): string => `“${part}” is not a length: ${reason}`,
  isNoAngle: (text: string, reason: string): string => `“${text}” is not an angle: ${reason}`,
};

export const placing = {
  place: (structure: string): string => `Place ${structure}`,
};

export const underlayActions = {
  onePlace: 'The two places are one on the picture. Show two that lie apart.',
  clickKnownDimension: 'How large is it? Click one end of a known dimension. Escape leaves that for later.',
  clickOtherEnd: 'Click its other end.',
  trueLengthBetweenThem: 'True length between them',
  clickDimension: 'Click one end of a dimension.',
  clickPoint: 'Click a point of the underlay.',
  clickWhereItBelongs: 'Click where it belongs.',
  clickPointOnLine: 'Click a point on a line that is level or upright.',
  clickAnotherPointOnIt: 'Click another point on it.',
};

export const parameterCommand = {
  notation: 'span = 14 m, or rise = span/5: a parameter gets this value; a new name is a new parameter',
  write: 'Write a name and its value: span = 14 m',
  label: (name: string, value: string): string => `${name} = ${value}`,
};
