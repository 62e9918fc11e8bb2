import type { Category } from '../model/categories';
import { isOneTerm, type ActionGroup, type Model } from '../model/model';
import { inOrderOfReference } from '../model/reference-order';

/** One way in which an action acts: cases, and actions that are patterns, with their shares. */
export interface Variant {
  readonly title: string;
  readonly shares: ReadonlyMap<string, number>;
}

/** What acts or does not as a whole: a case, or a group of cases in one of its variants. */
export interface Action {
  readonly id: string;
  readonly category: Category;
  readonly variants: readonly Variant[];
}

const titleOf = ({ id, title }: { readonly id: string; readonly title?: string }): string => title ?? id;

const reversed = ({ title, shares }: Variant): Variant => ({
  title: `${title}, reversed`,
  shares: new Map([...shares].map(([id, share]) => [id, -share])),
});

/** Both at once. */
function joined(a: Variant, b: Variant): Variant {
  const shares = new Map(a.shares);
  for (const [id, share] of b.shares) shares.set(id, (shares.get(id) ?? 0) + share);
  return { title: `${a.title} with ${b.title}`, shares };
}

/** The ways in which a group acts, of those of its parts. */
function variantsOf(group: ActionGroup, parts: readonly (readonly Variant[])[]): readonly Variant[] {
  switch (group.type) {
    case 'pattern':
    case 'travelling':
      // On which spans it acts, or where its trains stand, is for the results to say: in combinations it is one term.
      return [{ title: group.title ?? parts[0]![0]!.title, shares: new Map([[group.id, 1]]) }];
    case 'either':
      return parts.flat();
    case 'together':
      return parts.reduce((before, next) => before.flatMap((one) => next.map((other) => joined(one, other))));
    case 'both signs':
      return parts.flat().flatMap((one) => [one, reversed(one)]);
  }
}

/** The action that stands for a case where that acts: its pattern, or its trains that travel. */
export const standingFor = ({ actions = [] }: Pick<Model, 'actions'>, caseId: string): ActionGroup | undefined =>
  actions.find(({ type, of }) => isOneTerm(type) && of[0] === caseId);

/** The ways in which each case and each group of a sound model acts, by its id. */
export function variantsById(model: Pick<Model, 'cases' | 'actions'>): ReadonlyMap<string, readonly Variant[]> {
  const groups = new Map((model.actions ?? []).map((group) => [group.id, group]));
  const found = new Map<string, readonly Variant[]>(
    model.cases.map((one) => [one.id, [{ title: titleOf(one), shares: new Map([[one.id, 1]]) }]]),
  );
  for (const id of inOrderOfReference([...groups.values()].map(({ id: own, of }) => ({ id: own, parts: of })))) {
    const group = groups.get(id)!;
    const parts = group.of.map((part) => found.get(part)!);
    found.set(id, variantsOf(group, parts));
  }
  return found;
}

/**
 * The actions of a sound model, in the order of its cases: each group that stands in no other, and each case that stands in none. The
 * category of a group is that of its first case.
 */
export function actionsOf(model: Pick<Model, 'cases' | 'actions'>): readonly Action[] {
  const place = new Map(model.cases.map(({ id }, i) => [id, i]));
  // What is one term stands where its case does.
  for (const { id, type, of } of model.actions ?? []) if (isOneTerm(type)) place.set(id, place.get(of[0]!)!);
  const inGroups = new Set(model.actions?.flatMap(({ of }) => of));
  const first = ({ variants }: Action): number => Math.min(...[...variants[0]!.shares.keys()].map((id) => place.get(id)!));
  return [...variantsById(model)]
    .filter(([id]) => !inGroups.has(id))
    .map(([id, variants]): Action => ({
      id,
      variants,
      category: model.cases[place.get([...variants[0]!.shares.keys()][0]!)!]!.category,
    }))
    .toSorted((a, b) => first(a) - first(b));
}

/** A way to act by the names of its cases: `W1`, `−W1`, `C1 + C2`. Their shares are 1, one way or the other. */
export const nameOfVariant = ({ shares }: Variant): string =>
  [...shares].map(([id, share], i) => `${share < 0 ? '−' : i > 0 ? '+' : ''}${i > 0 ? ' ' : ''}${id}`).join(' ');
