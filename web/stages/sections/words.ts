import { counted } from '@rigid-beam/core/counted';
/** All that the bench of sections says: read it through and correct it here. */

export const materialEditor = {
  poissonsRatio: 'Poisson’s ratio',
  density: 'Density',
  expansion: 'Expansion',
  yieldStress: 'Yield stress',
  material: 'Material',
};

export const STOCK = {
  begin: 'Begin a section',
  relative: 'Relative: so many I',
  relativeShort: 'n · I',
  sections: 'Sections of this model',
  materials: 'Materials',
  addMaterial: 'Add one of your own',
  standardMaterial: 'Add a standard material',
  chooseMaterial: 'choose one',
  none: 'None yet.',
  members: (count: number): string => counted(count, 'member'),
  hint: (name: string): string => `Click the members that get ${name}, draw a box over them, or Ctrl+A for all. Escape ends.`,
  assign: (name: string, count: number): string =>
    `Give ${name} to the ${count === 1 ? 'selected member' : `${count} selected members`}`,
  select: (count: number): string => `Select its ${count === 1 ? 'member' : counted(count, 'member')}`,
  remove: (name: string): string => `Remove ${name}`,
};

export const bill = {
  schedule: 'Schedule of sections',
  together: (what: string): string => `In total ${what}.`,
  noMass: 'of unknown mass',
  surface: (surface: string): string => `${surface} to be painted`,
  sweep: (count: number): string => `Remove ${count === 1 ? 'the unused section' : `${count} unused sections`}`,
};

export const axesQuestion = {
  title: 'Names of axes',
  question: (standard: string, up: string, strong: string): string =>
    `Who builds to ${standard} often draws with ${up} up and calls the strong axis ${strong}. How do you? Units and settings can change it.`,
  take: (up: string, strong: string): string => `${up} up, strong axis ${strong}`,
};
