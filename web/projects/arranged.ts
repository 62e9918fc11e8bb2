import type { ModelTile, ProjectTiles } from './tile';
import { arranged as WORDS } from './words';

export const sortings = [
  { id: 'made', text: WORDS.asTheyWereMade },
  { id: 'changed', text: WORDS.lastChangedFirst },
  { id: 'title', text: WORDS.byTitle },
] as const;
export type Sorting = (typeof sortings)[number]['id'];

const ORDERS: Record<Sorting, ((a: ModelTile, b: ModelTile) => number) | undefined> = {
  made: undefined,
  changed: (a, b) => b.changedAt - a.changedAt,
  title: (a, b) => a.title.localeCompare(b.title),
};

/** The models whose title holds what is searched, or all of a project whose name or number does; projects without any are left out. */
export function arranged(projects: readonly ProjectTiles[], search: string, sorting: Sorting): ProjectTiles[] {
  const wanted = search.trim().toLowerCase();
  const holds = (text: string): boolean => text.toLowerCase().includes(wanted);
  const order = ORDERS[sorting];
  return projects.flatMap((project) => {
    const isWhole = wanted === '' || holds(project.name) || holds(project.number);
    const models = isWhole ? [...project.models] : project.models.filter(({ title }) => holds(title));
    if (!isWhole && models.length === 0) return [];
    return [{ ...project, models: order ? models.sort(order) : models }];
  });
}
