import { and, asc, eq, notExists } from 'drizzle-orm';
import type { Database } from './database';
import { dataDirectory } from '@rigid-beam/machine/data-directory';
import { ensureRoom } from './disk';
import { models, projects } from './schema';

export interface ListedProject {
  readonly id: string;
  readonly name: string;
  readonly number: string;
}

export async function listProjects(db: Database): Promise<ListedProject[]> {
  const { id, name, number } = projects;
  return db.select({ id, name, number }).from(projects).orderBy(asc(projects.createdAt));
}

export async function insertProject(db: Database, id: string, name: string, number = ''): Promise<void> {
  ensureRoom(dataDirectory(), name.length);
  await db.insert(projects).values({ id, name, number });
}

/** Changes what a project is called; false where there is none. */
export async function changeProject(db: Database, id: string, part: Partial<Omit<ListedProject, 'id'>>): Promise<boolean> {
  if (Object.keys(part).length === 0) return false;
  return (await db.update(projects).set(part).where(eq(projects.id, id)).returning({ id: projects.id })).length > 0;
}

/** Takes a project away that holds no model, not even a removed one; false where it does, or there is none. */
export async function deleteProject(db: Database, id: string): Promise<boolean> {
  const own = db.select({ id: models.id }).from(models).where(eq(models.projectId, id));
  return (
    (
      await db
        .delete(projects)
        .where(and(eq(projects.id, id), notExists(own)))
        .returning({ id: projects.id })
    ).length > 0
  );
}
