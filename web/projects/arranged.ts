import type { ModelTile, ProjectTiles } from './tile';
import { arranged as WORDS } from './words';

export const sortings = [
  { id: 'made', text: WORDS.asTheyWereMade },
  { id: 'changed', text: WORDS.lastChangedFirst },
  { id: 'title', text: WORDS.byTitle },
] as const;
export type Sorting = (typeof sortings)[number]['id'];

/** What is asked of the projects page, and how many tiles at most. */
export interface Wanted {
  readonly search: string;
  readonly sorting: Sorting;
  readonly count: number;
}

/** Tiles that are shown at first, and at each time that somebody comes to their end. */
export const AT_ONCE = 48;

/** The first tiles of some projects, and how many follow; a project without models takes the place of one. */
export function windowOf(
  projects: readonly ProjectTiles[],
  count: number,
): { readonly projects: readonly ProjectTiles[]; readonly more: number } {
  const shown: ProjectTiles[] = [];
  let [left, more] = [count, 0];
  for (const project of projects) {
    const size = Math.max(1, project.models.length);
    const own = Math.min(left, size);
    if (own > 0) shown.push({ ...project, models: project.models.slice(0, own) });
    left -= own;
    more += size - own;
  }
  return { projects: shown, more };
}

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
