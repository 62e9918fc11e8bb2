import { counted } from '@rigid-beam/core/counted';

/** What a report says by itself, in one place. */
export const reportWords = {
  title: 'Calculation report',
  contents: 'Contents',
  page: (number: number, count: number): string => `page ${number} of ${count}`,
  continued: 'continued',
  facts: {
    structure: 'Structure',
    project: 'Project',
    number: 'Number',
    date: 'Date',
    revision: 'Revision',
    madeWith: 'Made with',
  },
  chapters: {
    structure: 'Structure',
    sections: 'Sections and materials',
    loads: 'Loads',
    combinations: 'Combinations',
    results: 'Results',
    checks: 'Checks',
    model: 'Model file',
  },
  ownChapter: 'Notes',
  inChapter: (title: string, why: string): string => `In the chapter “${title}”: ${why}`,
  fields: {
    unclosed: (text: string): string => `“{${text}” is not closed: end the field with }`,
    unread: (text: string): string =>
      `{${text}} says nothing: write a number as {M.max of U1}, {b:M.max of U1}, {b:M@2.4m of U1}, {3.fy of U1} or {3.uy of U1}, or {title}, {mass}, {members}, {nodes}`,
    notSolved: (text: string): string => `{${text}} has no value: the model was not solved`,
    noOutcome: (text: string, id: string, known: string): string =>
      `{${text}}: there is no case or combination “${id}”. There are: ${known}`,
    noQuantity: (text: string, said: string, known: string): string =>
      `{${text}}: there is no quantity “${said}”. There are: ${known}`,
    noMember: (text: string, id: string): string => `{${text}}: there is no member “${id}”`,
    whichSide: (text: string): string => `{${text}} is a range from the least to the greatest: say .max or .min`,
    noValue: (text: string): string => `{${text}} is not known here`,
    noMass: (text: string): string => `{${text}} is not known: a material lacks its density, or a section its area`,
    badPlace: (text: string, why: string): string => `{${text}}: ${why}`,
  },
  at: (caption: string, ratio: string): string => `${caption}, ${ratio}`,
  leftOut: (count: number): string => `${counted(count, 'text')} found no room`,
  geometry: 'Geometry',
  sectionsDrawn: 'Members with their sections',
  loadsOf: (name: string): string => `Loads of ${name}`,
  noLoads: 'Nothing acts in this case.',
  selfWeight: 'The own weight of the members acts in it.',
  noCombinations: 'There are none: each case stands for itself.',
  quantityOf: (quantity: string, outcome: string): string => `${quantity} in ${outcome}`,
  consists: (nodes: number, members: number, supports: number, space: string): string =>
    `${counted(nodes, 'node')}, ${counted(members, 'member')} and ${counted(supports, 'support')}, ${space}.`,
  inSpace: { plane: 'in one plane', space: 'in space' },
  extent: (sizes: string): string => `It extends over ${sizes}.`,
  by: ' by ',
  linear:
    'First order: linear elastic, equilibrium of the structure as it is drawn. Results are exact within it: diagrams are polynomials by piece, and extremes are found on them.',
  notSolved: 'The model was not solved: there are no results to report.',
  notThere: (id: string, known: string): string => `There is no case or combination “${id}”. There are: ${known}.`,
  withoutUnderlay: 'The picture behind the drawing is left out here.',
  noFigure: (why: string): string => `It is not drawn here: ${why}`,
  well: '✓',
  look: '!',
} as const;
