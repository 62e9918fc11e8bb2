/** What is said about stepping through the catalogue. */
export const stepSection = {
  selectFirst: 'Select members first.',
  notOfCatalogue: (section: string): string => `Section ${section} is none of the catalogue: it has no neighbours.`,
  given: (id: string, count: number): string => `${id} for ${count === 1 ? '1 member' : `${count} members`}`,
};
