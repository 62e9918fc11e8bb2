import { caseColours, type CaseColour, type Category, type LoadCase, type Model } from '../model';
import { freeName } from './next-id';

/** By kind: the letter that its cases are named with, after EN 1990 and EN 1991 where these have one, and what they are called. */
const KINDS: Readonly<Record<Category, readonly [letter: string, title: string]>> = {
  permanent: ['G', 'Permanent'],
  imposed: ['Q', 'Imposed'],
  roof: ['QR', 'Imposed on roofs'],
  storage: ['QS', 'Storage'],
  traffic: ['QT', 'Traffic'],
  snow: ['S', 'Snow'],
  wind: ['W', 'Wind'],
  thermal: ['T', 'Temperature'],
  settlement: ['U', 'Settlement'],
  construction: ['QC', 'Construction'],
  accidental: ['A', 'Accidental'],
  seismic: ['E', 'Seismic'],
  other: ['L', 'Other'],
};

type Cases = Pick<Model, 'cases' | 'combinations'>;

const freeCase = ({ cases, combinations }: Cases, letter: string): string =>
  freeName(
    letter,
    [...cases, ...combinations].map(({ id }) => id),
  );

/** The colour that the fewest cases have, the first of them. */
export function nextColour(cases: readonly LoadCase[]): CaseColour {
  const uses = (colour: CaseColour): number => cases.filter((one) => (one.colour ?? 'brown') === colour).length;
  return caseColours.reduce((best, colour) => (uses(colour) < uses(best) ? colour : best));
}

/** A case of a kind, named for it, in the next colour. */
export function newCase(model: Cases, category: Category): LoadCase {
  const [letter, title] = KINDS[category];
  const colour = nextColour(model.cases);
  return { id: freeCase(model, letter), title, category, ...(colour !== 'brown' && { colour }) };
}

/** A case made another kind: a name and a title that only told its kind follow. */
export function ofKind(model: Cases, one: LoadCase, category: Category): LoadCase {
  const [letter, title] = KINDS[one.category];
  const isNamedForIt = new RegExp(`^${letter} ?\\d*$`).test(one.id);
  const others = { ...model, cases: model.cases.filter(({ id }) => id !== one.id) };
  return {
    ...one,
    category,
    ...(isNamedForIt && { id: freeCase(others, KINDS[category][0]) }),
    ...(one.title === title && { title: KINDS[category][1] }),
  };
}
