import { categories, categoryOf, type Category } from '../model/categories';
import { standingFor } from './actions';
import { freeName } from '../model/edits/next-id';
import type { Intent } from '../model/edits/intent';
import { isOneTerm, type ActionGroup, type LoadCase, type Model } from '../model/model';

type Grouped = Pick<Model, 'cases' | 'actions' | 'combinations'>;

/** How the cases of one category act: each for itself, or as one action. */
export const groupWays = ['by itself', 'either', 'together', 'both signs'] as const;
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

/** What an action names where it holds a case. */
const nameOf = (model: Grouped, id: string): string => standingFor(model, id)?.id ?? id;

const holding = (model: Grouped, cases: readonly LoadCase[]): ActionGroup[] => {
  const ids = new Set(cases.map(({ id }) => nameOf(model, id)));
  return (model.actions ?? []).filter(({ type, of }) => !isOneTerm(type) && of.some((id) => ids.has(id)));
};

/** All variable categories that have cases, in the order of the table of categories. */
export function categoryGroups(model: Grouped): readonly CategoryGroup[] {
  return categories.flatMap((category): CategoryGroup[] => {
    const cases = model.cases.filter((one) => one.category === category);
    if (cases.length === 0 || categoryOf(category).isPermanent) return [];
    const [action, ...others] = holding(model, cases);
    const isWhole = action?.of.length === cases.length && !model.actions!.some(({ of }) => of.includes(action.id));
    const way = action === undefined ? 'by itself' : others.length === 0 && isWhole ? (action.type as GroupWay) : undefined;
    return [{ category, cases, way, ways: cases.length > 1 ? groupWays : ['by itself', 'both signs'] }];
  });
}

/** How some cases act, where not all of a category act alike: “W1 or W2 · W3 by itself”. */
export function groupWords(model: Grouped, { cases }: CategoryGroup): string {
  const groups = new Map((model.actions ?? []).map((one) => [one.id, one]));
  const words = (id: string): string => {
    const group = groups.get(id);
    if (!group || isOneTerm(group.type)) return group?.of[0] ?? id;
    const parts = group.of.map((part) =>
      groups.get(part) && !isOneTerm(groups.get(part)!.type) ? `(${words(part)})` : words(part),
    );
    return JOINED[group.type as Joining](parts);
  };
  const held = new Set((model.actions ?? []).flatMap(({ of }) => of));
  const isTop = (id: string): boolean => !held.has(id);
  const topOf = (id: string): string => {
    const over = (model.actions ?? []).find(({ of }) => of.includes(id));
    return isTop(id) || !over ? id : topOf(over.id);
  };
  return [...new Set(cases.map(({ id }) => topOf(id)))]
    .map((id) => (groups.get(id) && !isOneTerm(groups.get(id)!.type) ? words(id) : `${words(id)} by itself`))
    .join(' · ');
}

type Joining = Exclude<GroupWay, 'by itself'>;
const JOINED: Readonly<Record<Joining, (parts: readonly string[]) => string>> = {
  either: (parts) => parts.join(' or '),
  together: (parts) => parts.join(' with '),
  'both signs': (parts) => parts.map((part) => `±${part}`).join(' or '),
};

/**
 * The edit that lets the cases of a category act otherwise, or only some of them (`chosen`): these leave what held them, and an action that is left with fewer than it takes
 * goes, and so on.
 */
export function grouping(
  model: Grouped,
  { category, cases }: CategoryGroup,
  way: GroupWay,
  chosen: readonly string[] = cases.map(({ id }) => id),
): Intent {
  const { title } = categoryOf(category);
  const some = cases.filter(({ id }) => chosen.includes(id)).map(({ id }) => nameOf(model, id));
  const left = new Map((model.actions ?? []).map((one) => [one.id, one.of]));
  let gone = new Set(some);
  const removed = new Set<string>();
  while (gone.size > 0) {
    const next = new Set<string>();
    for (const { id, type } of model.actions ?? []) {
      const of = left.get(id)!;
      if (isOneTerm(type) || removed.has(id) || !of.some((part) => gone.has(part))) continue;
      const rest = of.filter((part) => !gone.has(part));
      left.set(id, rest);
      if (rest.length < (type === 'both signs' ? 1 : 2)) {
        removed.add(id);
        next.add(id);
      }
    }
    gone = next;
  }
  const kept = (model.actions ?? []).filter(({ id }) => !removed.has(id));
  const changed = kept.filter(({ id, of }) => left.get(id)!.length < of.length);
  const names = [...model.cases, ...model.combinations, ...kept].map(({ id }) => id);
  const entry = { id: freeName(title, names), type: way, of: some };
  return {
    type: 'batch',
    label: `${title}: ${groupWayWords[way]}`,
    intents: [
      ...changed.map((one) => ({ type: 'put', list: 'actions', entry: { ...one, of: left.get(one.id)! }, key: one.id }) as const),
      ...(removed.size > 0 ? [{ type: 'remove', list: 'actions', keys: [...removed] } as const] : []),
      ...(way === 'by itself' ? [] : [{ type: 'put', list: 'actions', entry } as const]),
    ],
  };
}
