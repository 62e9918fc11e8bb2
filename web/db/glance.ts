import { and, eq, isNull } from 'drizzle-orm';
import type { Database } from './database';
import { models, projects, tiles } from './schema';

export interface Glance {
  readonly title: string;
  readonly projectName: string;
  /** The drawing of its tile; nothing where none was made yet. */
  readonly markup: string | null;
}

/** What is known of a model without its content. */
export async function findGlance(db: Database, id: string): Promise<Glance | undefined> {
  const [row] = await db
    .select({ title: models.title, projectName: projects.name, markup: tiles.markup })
    .from(models)
    .innerJoin(projects, eq(models.projectId, projects.id))
    .leftJoin(tiles, eq(tiles.modelId, models.id))
    .where(and(eq(models.id, id), isNull(models.removedAt)));
  return row;
}
