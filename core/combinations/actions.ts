import type { Category } from '../model/categories';
import type { ActionGroup, LoadCase, Model } from '../model/model';

/** One way in which an action acts: cases with their shares. */
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
function variantsOf({ type }: ActionGroup, parts: readonly (readonly Variant[])[]): readonly Variant[] {
  switch (type) {
    case 'either':
      return parts.flat();
    case 'together':
      return parts.reduce((before, next) => before.flatMap((one) => next.map((other) => joined(one, other))));
    case 'both signs':
      return parts.flat().flatMap((one) => [one, reversed(one)]);
  }
}

/**
 * The actions of a sound model, in the order of its cases: each group that stands in no other, and each case that stands in none. The
 * category of a group is that of its first case.
 */
export function actionsOf(model: Pick<Model, 'cases' | 'actions'>): readonly Action[] {
  const groups = new Map(model.actions?.map((group) => [group.id, group]));
  const cases = new Map(model.cases.map((one) => [one.id, one]));
  const place = new Map(model.cases.map(({ id }, i) => [id, i]));
  const inGroups = new Set(model.actions?.flatMap(({ of }) => of));
  const known = new Map<string, Action>();
  const ofCase = (one: LoadCase): Action => ({
    id: one.id,
    category: one.category,
    variants: [{ title: titleOf(one), shares: new Map([[one.id, 1]]) }],
  });
  const find = (id: string): Action => {
    const group = groups.get(id);
    if (!group) return ofCase(cases.get(id)!);
    if (!known.has(id)) {
      const parts = group.of.map(find);
      known.set(id, {
        id,
        category: parts[0]!.category,
        variants: variantsOf(
          group,
          parts.map(({ variants }) => variants),
        ),
      });
    }
    return known.get(id)!;
  };
  const first = ({ variants }: Action): number => Math.min(...[...variants[0]!.shares.keys()].map((id) => place.get(id)!));
  return [...groups.keys(), ...cases.keys()]
    .filter((id) => !inGroups.has(id))
    .map(find)
    .toSorted((a, b) => first(a) - first(b));
}
