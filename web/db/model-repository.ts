import { and, asc, desc, eq, gt } from 'drizzle-orm';
import { withLoadIds } from '@rigid-beam/core/model/loads/ids';
import type { Model } from '@rigid-beam/core/model/model';
import type { Database } from './database';
import { type RevisionKind } from '@rigid-beam/core/model/edits/revision';
import { models, projects, revisions } from './schema';

export interface StoredModel {
  readonly id: string;
  readonly projectId: string;
  readonly projectName: string;
  readonly revision: number;
  readonly content: Model;
  readonly updatedAt: Date;
}

export interface StoredRevision {
  readonly number: number;
  readonly kind: RevisionKind;
  readonly label: string;
  readonly patches: (typeof revisions.$inferSelect)['patches'];
  readonly inverse: (typeof revisions.$inferSelect)['inverse'];
}

const columns = {
  id: models.id,
  projectId: models.projectId,
  projectName: projects.name,
  revision: models.revision,
  content: models.content,
  updatedAt: models.updatedAt,
};

/** What was stored by an earlier version, as this one knows it. */
const asNow = (stored: StoredModel): StoredModel => ({ ...stored, content: withLoadIds(stored.content) });

export async function listProjects(db: Database): Promise<{ id: string; name: string }[]> {
  return db.select({ id: projects.id, name: projects.name }).from(projects).orderBy(asc(projects.createdAt));
}

export async function insertProject(db: Database, id: string, name: string): Promise<void> {
  await db.insert(projects).values({ id, name });
}

export async function listModels(db: Database): Promise<StoredModel[]> {
  const rows = await db
    .select(columns)
    .from(models)
    .innerJoin(projects, eq(models.projectId, projects.id))
    .orderBy(asc(models.createdAt), asc(models.id));
  return rows.map(asNow);
}

export async function findModel(db: Database, id: string): Promise<StoredModel | undefined> {
  const rows = await db
    .select(columns)
    .from(models)
    .innerJoin(projects, eq(models.projectId, projects.id))
    .where(eq(models.id, id));
  return rows[0] && asNow(rows[0]);
}

export async function insertModel(db: Database, id: string, projectId: string, content: Model): Promise<void> {
  // Entries of one transaction share the database's clock, so the order of insertion is told by ours.
  await db.insert(models).values({ id, projectId, content, createdAt: new Date() });
}

export async function deleteModel(db: Database, id: string): Promise<boolean> {
  const gone = await db.delete(models).where(eq(models.id, id)).returning({ id: models.id });
  return gone.length > 0;
}

/** The last revisions of a model, oldest first, as many as undo can go back. */
export async function lastRevisions(db: Database, modelId: string, count: number): Promise<StoredRevision[]> {
  const rows = await db
    .select()
    .from(revisions)
    .where(eq(revisions.modelId, modelId))
    .orderBy(desc(revisions.number))
    .limit(count);
  return rows.reverse();
}

export async function revisionsSince(
  db: Database,
  modelId: string,
  number: number,
): Promise<{ number: number; label: string; edit: string }[]> {
  return db
    .select({ number: revisions.number, label: revisions.label, edit: revisions.edit })
    .from(revisions)
    .where(and(eq(revisions.modelId, modelId), gt(revisions.number, number)))
    .orderBy(asc(revisions.number));
}

/**
 * Stores a revision and the model it leads to in one transaction, if the model still stands at `base`.
 * Returns false when another edit came first; then nothing is stored.
 */
export async function storeRevision(
  db: Database,
  modelId: string,
  base: number,
  content: Model,
  revision: Omit<StoredRevision, 'number'> & { readonly edit: string },
): Promise<boolean> {
  return db.transaction(async (tx) => {
    const number = base + 1;
    const updated = await tx
      .update(models)
      .set({ content, revision: number, updatedAt: new Date() })
      .where(and(eq(models.id, modelId), eq(models.revision, base)))
      .returning({ id: models.id });
    if (updated.length === 0) return false;
    await tx.insert(revisions).values({ modelId, number, ...revision });
    return true;
  });
}
