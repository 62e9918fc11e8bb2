import { database } from '../db/database';
import { listModels, type ListedModel } from '../db/model-repository';
import { listProjects } from '../db/project-repository';
import type { ModelTile, ProjectTiles } from '../projects/tile';

/** All projects with what is stored of their models. Nothing is read or computed of what the models hold. */
export async function projectTiles(): Promise<ProjectTiles[]> {
  const db = await database();
  const [projects, models] = [await listProjects(db), await listModels(db)];
  return projects.map((project) => {
    const own = models.filter(({ projectId }) => projectId === project.id);
    return {
      ...project,
      models: own.filter(({ removedAt }) => removedAt === null).map(tileOf),
      removed: own.filter(({ removedAt }) => removedAt !== null).map(tileOf),
    };
  });
}

const tileOf = ({ id, title, nodes, members, cases, updatedAt, revision, tile }: ListedModel): ModelTile => ({
  id,
  title: title || 'Untitled',
  changed: `Changed ${updatedAt.toISOString().slice(0, 16).replace('T', ' ')} UTC`,
  changedAt: updatedAt.getTime(),
  words: `${nodes} nodes, ${members} members, ${cases} cases`,
  figure: tile?.figure ?? '',
  markup: tile?.markup ?? '',
  isCurrent: tile?.revision === revision,
});
