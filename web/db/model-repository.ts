import { and, asc, desc, eq, gt } from 'drizzle-orm';
import { withLoadIds } from '@rigid-beam/core/model/loads/ids';
import type { Model } from '@rigid-beam/core/model/model';
import type { Database } from './database';
import { type RevisionKind } from '@rigid-beam/core/model/edits/revision';
import { dataDirectory } from './data-directory';
import { ensureRoom } from './disk';
import { models, projects, revisions, tiles } from './schema';

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

/** A model as a list shows it, without its content; its tile may be missing or of an earlier revision. */
export interface ListedModel {
  readonly id: string;
  readonly projectId: string;
  readonly revision: number;
  readonly title: string;
  readonly nodes: number;
  readonly members: number;
  readonly cases: number;
  readonly updatedAt: Date;
  readonly tile: StoredTile | null;
}

export interface StoredTile {
  readonly revision: number;
  readonly figure: string;
  readonly markup: string;
}

export async function listModels(db: Database): Promise<ListedModel[]> {
  const { id, projectId, revision, title, nodes, members, cases, updatedAt } = models;
  return db
    .select({
      ...{ id, projectId, revision, title, nodes, members, cases, updatedAt },
      tile: { revision: tiles.revision, figure: tiles.figure, markup: tiles.markup },
    })
    .from(models)
    .leftJoin(tiles, eq(tiles.modelId, models.id))
    .orderBy(asc(models.createdAt), asc(models.id));
}

export async function storeTile(db: Database, modelId: string, tile: StoredTile): Promise<void> {
  ensureRoom(dataDirectory(), tile.markup.length);
  await db
    .insert(tiles)
    .values({ modelId, ...tile })
    .onConflictDoUpdate({ target: tiles.modelId, set: tile });
}

/** About so many bytes a model takes: its entries, and the picture under it. */
const sizeOf = ({ nodes, members, loads, underlay }: Model): number =>
  300 * (nodes.length + members.length + loads.length) + (underlay?.image.length ?? 0);

/** What a list says of a model. */
const summaryOf = ({ title, nodes, members, cases }: Model) => ({
  title: title ?? '',
  nodes: nodes.length,
  members: members.length,
  cases: cases.length,
});

export async function findModel(db: Database, id: string): Promise<StoredModel | undefined> {
  const rows = await db
    .select(columns)
    .from(models)
    .innerJoin(projects, eq(models.projectId, projects.id))
    .where(eq(models.id, id));
  return rows[0] && asNow(rows[0]);
}

export async function insertModel(db: Database, id: string, projectId: string, content: Model): Promise<void> {
  ensureRoom(dataDirectory(), sizeOf(content));
  // Entries of one transaction share the database's clock, so the order of insertion is told by ours.
  await db.insert(models).values({ id, projectId, content, ...summaryOf(content), createdAt: new Date() });
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
  ensureRoom(dataDirectory(), sizeOf(content));
  return db.transaction(async (tx) => {
    const number = base + 1;
    const updated = await tx
      .update(models)
      .set({ content, ...summaryOf(content), revision: number, updatedAt: new Date() })
      .where(and(eq(models.id, modelId), eq(models.revision, base)))
      .returning({ id: models.id });
    if (updated.length === 0) return false;
    await tx.insert(revisions).values({ modelId, number, ...revision });
    return true;
  });
}
