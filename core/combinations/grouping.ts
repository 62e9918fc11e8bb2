import { categories, categoryOf, type Category } from '../model/categories';
import { freeName } from '../model/edits/next-id';
import type { Intent } from '../model/edits/intent';
import { actionTypes, type ActionGroup, type LoadCase, type Model } from '../model/model';

type Grouped = Pick<Model, 'cases' | 'actions' | 'combinations'>;

/** How the cases of one category act: each for itself, or as one action. */
export const groupWays = ['by itself', ...actionTypes] as const;
export type GroupWay = (typeof groupWays)[number];

/** The ways as they are said. */
export const groupWayWords: Readonly<Record<GroupWay, string>> = {
  'by itself': 'by itself',
  either: 'one at a time',
  together: 'only together',
  'both signs': 'to both sides',
};

/** The variable cases of one category, and how they act; nothing where some of them act otherwise than the others. */
export interface CategoryGroup {
  readonly category: Category;
  readonly cases: readonly LoadCase[];
  readonly way: GroupWay | undefined;
  /** The ways that make a difference. */
  readonly ways: readonly GroupWay[];
}

const holding = ({ actions = [] }: Grouped, cases: readonly LoadCase[]): ActionGroup[] => {
  const ids = new Set(cases.map(({ id }) => id));
  return actions.filter(({ of }) => of.some((id) => ids.has(id)));
};

/** All variable categories that have cases, in the order of the table of categories. */
export function categoryGroups(model: Grouped): readonly CategoryGroup[] {
  return categories.flatMap((category): CategoryGroup[] => {
    const cases = model.cases.filter((one) => one.category === category);
    if (cases.length === 0 || categoryOf(category).isPermanent) return [];
    const [action, ...others] = holding(model, cases);
    const isWhole = action?.of.length === cases.length && !model.actions!.some(({ of }) => of.includes(action.id));
    const way = action === undefined ? 'by itself' : others.length === 0 && isWhole ? action.type : undefined;
    return [{ category, cases, way, ways: cases.length > 1 ? groupWays : ['by itself', 'both signs'] }];
  });
}

/** The edit that lets the cases of a category act otherwise: what held them goes, and with it what held that. */
export function grouping(model: Grouped, { category, cases }: CategoryGroup, way: GroupWay): Intent {
  const gone = new Set(holding(model, cases).map(({ id }) => id));
  for (let before = -1; before !== gone.size;) {
    before = gone.size;
    for (const { id, of } of model.actions ?? []) if (of.some((part) => gone.has(part))) gone.add(id);
  }
  const { title } = categoryOf(category);
  const names = [...model.cases, ...model.combinations, ...(model.actions ?? []).filter(({ id }) => !gone.has(id))].map(
    ({ id }) => id,
  );
  const entry = { id: freeName(title, names), type: way, of: cases.map(({ id }) => id) };
  return {
    type: 'batch',
    label: `${title}: ${groupWayWords[way]}`,
    intents: [
      ...(gone.size > 0 ? [{ type: 'remove', list: 'actions', keys: [...gone] } as const] : []),
      ...(way === 'by itself' ? [] : [{ type: 'put', list: 'actions', entry } as const]),
    ],
  };
}
