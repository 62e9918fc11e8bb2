import { categoryOf, type Category } from '../categories';
import { caseColours, type CaseColour, type LoadCase, type Model } from '../model';
import { freeName } from './next-id';

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
  const { letter, title } = categoryOf(category);
  const colour = nextColour(model.cases);
  return { id: freeCase(model, letter), title, category, ...(colour !== 'brown' && { colour }) };
}

/** A case made another kind: a name and a title that only told its kind follow. */
export function ofKind(model: Cases, one: LoadCase, category: Category): LoadCase {
  const { letter, title } = categoryOf(one.category);
  const next = categoryOf(category);
  const isNamedForIt = new RegExp(`^${letter} ?\\d*$`).test(one.id);
  const others = { ...model, cases: model.cases.filter(({ id }) => id !== one.id) };
  return {
    ...one,
    category,
    ...(isNamedForIt && { id: freeCase(others, next.letter) }),
    ...(one.title === title && { title: next.title }),
  };
}
