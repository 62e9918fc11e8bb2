import { counted } from '@rigid-beam/core/counted';

/** What an edit is called that gives a shape to members. */
export const GIVEN = (id: string, count: number, material?: string): string =>
  `${id}${material === undefined ? '' : ` of ${material}`} for ${counted(count, 'member')}`;

/** What is said about stepping through the catalogue. */
export const stepSection = {
  selectFirst: 'Select members first.',
  notOfCatalogue: (section: string): string => `Section ${section} is none of the catalogue: it has no neighbours.`,
  last: (designation: string, way: 'lighter' | 'heavier'): string =>
    `${designation} is the ${way === 'lighter' ? 'lightest' : 'heaviest'} of its family.`,
};
