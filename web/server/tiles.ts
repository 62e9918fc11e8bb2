import { counted } from '@rigid-beam/core/counted';
import { database, type Database } from '../db/database';
import { atOneTime, findTiles, listModels, type ListedModel } from '../db/model-repository';
import { listProjects } from '../db/project-repository';
import { arranged, windowOf, type Wanted } from '../projects/arranged';
import type { ModelTile, ProjectTiles, ShownTiles } from '../projects/tile';

/** Other projects that are named, so that models can be moved there. */
const MOST_NAMES = 300;

/** All projects with what is stored of their models, but for their drawings. Nothing is read or computed of what the models hold. */
export const projectTiles = async (): Promise<ProjectTiles[]> => listed(await database());

async function listed(db: Database): Promise<ProjectTiles[]> {
  const projects = await listProjects(db);
  const byProject = new Map(projects.map(({ id }) => [id, { models: [] as ModelTile[], removed: [] as ModelTile[] }]));
  for (const model of await listModels(db))
    byProject.get(model.projectId)?.[model.removedAt === null ? 'models' : 'removed'].push(tileOf(model));
  return projects.map((project) => ({ ...project, ...byProject.get(project.id)! }));
}

/** What the projects page shows: so many tiles of what is searched, in their order, with their drawings. */
export async function shownTiles(wanted: Wanted): Promise<ShownTiles> {
  return atOneTime(await database(), async (tx) => {
    const all = await listed(tx);
    const { projects, more } = windowOf(arranged(all, wanted.search, wanted.sorting), wanted.count);
    const tiles = await findTiles(
      tx,
      projects.flatMap(({ models }) => models.map(({ id }) => id)),
    );
    const drawn = (model: ModelTile): ModelTile => {
      const { figure = '', markup = '' } = tiles.get(model.id) ?? {};
      return { ...model, figure, markup };
    };
    return {
      projects: projects.map((project) => ({ ...project, models: project.models.map(drawn) })),
      more,
      count: all.length,
      names: all.slice(0, MOST_NAMES).map(({ id, name }) => ({ id, name })),
    };
  });
}

const tileOf = ({ id, title, nodes, members, cases, updatedAt, revision, tileRevision }: ListedModel): ModelTile => ({
  id,
  title: title || 'Untitled',
  changed: `Changed ${updatedAt.toISOString().slice(0, 16).replace('T', ' ')} UTC`,
  changedAt: updatedAt.getTime(),
  words: `${counted(nodes, 'node')}, ${counted(members, 'member')}, ${counted(cases, 'load case')}`,
  figure: '',
  markup: '',
  isCurrent: tileRevision === revision,
});
