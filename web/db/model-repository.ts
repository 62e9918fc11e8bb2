import { and, asc, desc, eq, gt, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import { withLoadIds } from '@rigid-beam/core/model/loads/ids';
import { replayed } from '@rigid-beam/core/model/edits/revision';
import type { Model } from '@rigid-beam/core/model/model';
import type { Database } from './database';
import { type RevisionKind } from '@rigid-beam/core/model/edits/revision';
import { dataDirectory } from '@rigid-beam/machine/data-directory';
import { ensureRoom } from './disk';
import { extracted, withMarks, restored, storePictures, sweepPictures } from './pictures';
import { models, projects, revisions, tiles } from './schema';

export interface StoredModel {
  readonly id: string;
  readonly projectId: string;
  readonly projectName: string;
  readonly projectNumber: string;
  readonly revision: number;
  readonly content: Model;
  readonly updatedAt: Date;
}

type Patches = (typeof revisions.$inferSelect)['patches'];

/** What a revision did, there and back. */
export interface StoredPatches {
  readonly patches: Patches;
  readonly inverse: Patches;
}

/** A revision as a list of them tells it: with its patches where these are short. */
export interface ListedRevision {
  readonly number: number;
  readonly kind: RevisionKind;
  readonly label: string;
  readonly patches: Patches | null;
  readonly inverse: Patches | null;
}

const columns = {
  id: models.id,
  projectId: models.projectId,
  projectName: projects.name,
  projectNumber: projects.number,
  revision: models.revision,
  contentRevision: models.contentRevision,
  updatedAt: models.updatedAt,
};

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
  /** Since when it lies among what was removed. */
  readonly removedAt: Date | null;
  /** The revision that its tile is of. */
  readonly tileRevision: number | null;
}

export interface StoredTile {
  readonly revision: number;
  readonly figure: string;
  readonly markup: string;
}

/** All models, in the order in which they were made, without what their tiles hold. */
export async function listModels(db: Database): Promise<ListedModel[]> {
  const { id, projectId, revision, title, nodes, members, cases, updatedAt, removedAt } = models;
  return db
    .select({
      ...{ id, projectId, revision, title, nodes, members, cases, updatedAt, removedAt },
      tileRevision: tiles.revision,
    })
    .from(models)
    .leftJoin(tiles, eq(tiles.modelId, models.id))
    .orderBy(asc(models.createdAt), asc(models.id));
}

/** The tiles of some models, by their ids. */
export async function findTiles(db: Database, ids: readonly string[]): Promise<ReadonlyMap<string, StoredTile>> {
  if (ids.length === 0) return new Map();
  const rows = await db
    .select()
    .from(tiles)
    .where(inArray(tiles.modelId, [...ids]));
  return new Map(rows.map(({ modelId, ...tile }) => [modelId, tile]));
}

export async function storeTile(db: Database, modelId: string, tile: StoredTile): Promise<void> {
  ensureRoom(dataDirectory(), tile.markup.length);
  await db
    .insert(tiles)
    .values({ modelId, ...tile })
    .onConflictDoUpdate({ target: tiles.modelId, set: tile });
}

/** About so many bytes a model takes: its entries, and its pictures. */
function sizeOf({ nodes, members, loads, underlay, report }: Model): number {
  const pictures = report?.chapters.flatMap((one) => (one.chapter === 'text' ? (one.pictures ?? []) : [])) ?? [];
  const images = [...(underlay ? [underlay] : []), ...pictures].reduce((sum, { image }) => sum + image.length, 0);
  return 300 * (nodes.length + members.length + loads.length) + images;
}

/** What a list says of a model. */
export const summaryOf = ({ title, nodes, members, cases }: Model) => ({
  title: title ?? '',
  nodes: nodes.length,
  members: members.length,
  cases: cases.length,
});

/** Contents that were read or written last: an edit follows the one before it. */
const KEPT = 4;
type Recent = Map<string, { readonly revision: number; readonly content: Model }>;
/** One for the whole process: Next bundles this module more than once, and a model that is removed must be forgotten by all. */
const shared = globalThis as typeof globalThis & { rigidBeamContents?: Recent };
const recent: Recent = (shared.rigidBeamContents ??= new Map());

function keep(id: string, revision: number, content: Model): void {
  recent.delete(id);
  recent.set(id, { revision, content });
  for (const oldest of recent.keys()) if (recent.size > KEPT) recent.delete(oldest);
}

/** As after a start of the server. */
export const forgetContents = (): void => recent.clear();

/** Several reads of one and the same state of the database. */
export const atOneTime = <T>(db: Database, read: (tx: Database) => Promise<T>): Promise<T> =>
  db.transaction(read, { isolationLevel: 'repeatable read', accessMode: 'read only' });

/** A model with its content; a removed one only where `which` asks for any. */
export const findModel = (db: Database, id: string, which: 'there' | 'any' = 'there'): Promise<StoredModel | undefined> =>
  // What it is and the patches that lead there belong together: a content that is kept anew in between would be patched twice.
  atOneTime(db, (tx) => foundModel(tx, id, which));

async function foundModel(db: Database, id: string, which: 'there' | 'any'): Promise<StoredModel | undefined> {
  const [row] = await db
    .select(columns)
    .from(models)
    .innerJoin(projects, eq(models.projectId, projects.id))
    .where(and(eq(models.id, id), which === 'any' ? undefined : isNull(models.removedAt)));
  if (!row) return undefined;
  const { contentRevision, ...stored } = row;
  const known = recent.get(id);
  const content = known?.revision === row.revision ? known.content : await contentAt(db, id, contentRevision);
  if (content === undefined) return undefined;
  keep(id, row.revision, content);
  return { ...stored, content };
}

/** The content as it is kept, and what later revisions made of it. */
async function contentAt(db: Database, id: string, revision: number): Promise<Model | undefined> {
  const [kept] = await db.select({ content: models.content }).from(models).where(eq(models.id, id));
  if (!kept) return undefined;
  const later = await db
    .select({ patches: revisions.patches })
    .from(revisions)
    .where(and(eq(revisions.modelId, id), gt(revisions.number, revision)))
    .orderBy(asc(revisions.number));
  // Loads of an earlier version have no ids yet.
  const begun = withLoadIds(kept.content);
  return restored(
    db,
    replayed(
      begun,
      later.map(({ patches }) => patches),
    ),
  );
}

export async function insertModel(db: Database, id: string, projectId: string, content: Model): Promise<void> {
  ensureRoom(dataDirectory(), sizeOf(content));
  const { value: kept, found } = withMarks(content);
  // Entries of one transaction share the database's clock, so the order of insertion is told by ours.
  await db.transaction(async (tx) => {
    await tx.insert(models).values({ id, projectId, content: kept, ...summaryOf(content), createdAt: new Date() });
    await storePictures(tx, id, found);
  });
}

/** Puts a model among what was removed, or back; false where there is none, or it is there already. */
export async function setRemoved(db: Database, id: string, to: 'removed' | 'back'): Promise<boolean> {
  recent.delete(id);
  const isNow = to === 'removed' ? isNull(models.removedAt) : isNotNull(models.removedAt);
  const removedAt = to === 'removed' ? new Date() : null;
  return (
    (
      await db
        .update(models)
        .set({ removedAt })
        .where(and(eq(models.id, id), isNow))
        .returning({ id: models.id })
    ).length > 0
  );
}

/** Moves a model to another project; false where either is missing. */
export async function moveModel(db: Database, id: string, projectId: string): Promise<boolean> {
  const [project] = await db.select({ id: projects.id }).from(projects).where(eq(projects.id, projectId));
  if (!project) return false;
  return (await db.update(models).set({ projectId }).where(eq(models.id, id)).returning({ id: models.id })).length > 0;
}

/** Takes a removed model away for good, with all its revisions. */
export async function deleteModel(db: Database, id: string): Promise<boolean> {
  recent.delete(id);
  const gone = await db
    .delete(models)
    .where(and(eq(models.id, id), isNotNull(models.removedAt)))
    .returning({ id: models.id });
  await sweepPictures(db);
  return gone.length > 0;
}

/** Patches of so many characters come with the list of revisions; longer ones are fetched one by one. */
const SHORT = 4096;

/** The last revisions of a model, oldest first, as many as undo can go back. */
export async function lastRevisions(db: Database, modelId: string, count: number): Promise<ListedRevision[]> {
  const isShort = sql`length(${revisions.patches}::text) + length(${revisions.inverse}::text) <= ${SHORT}
    and position('picture:sha256:' in ${revisions.patches}::text || ${revisions.inverse}::text) = 0`;
  const rows = await db
    .select({
      ...{ number: revisions.number, kind: revisions.kind, label: revisions.label },
      patches: sql<Patches | null>`case when ${isShort} then ${revisions.patches} end`,
      inverse: sql<Patches | null>`case when ${isShort} then ${revisions.inverse} end`,
    })
    .from(revisions)
    .where(eq(revisions.modelId, modelId))
    .orderBy(desc(revisions.number))
    .limit(count);
  return rows.reverse();
}

/** What one revision did. */
export async function findRevision(db: Database, modelId: string, number: number): Promise<StoredPatches | undefined> {
  const [found] = await db
    .select({ patches: revisions.patches, inverse: revisions.inverse })
    .from(revisions)
    .where(and(eq(revisions.modelId, modelId), eq(revisions.number, number)));
  return found && restored(db, found);
}

/** What the last revisions were, newest first. */
export async function lastKinds(db: Database, modelId: string, count: number): Promise<RevisionKind[]> {
  const rows = await db
    .select({ kind: revisions.kind })
    .from(revisions)
    .where(eq(revisions.modelId, modelId))
    .orderBy(desc(revisions.number))
    .limit(count);
  return rows.map(({ kind }) => kind);
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

/** So many revisions are replayed at most when a model is read; then its content is kept anew. */
const REPLAYED = 50;

/** A revision to be stored, with the model that it leads to. `isWhole`: its patches alone do not lead there. */
export interface NewRevision extends StoredPatches {
  readonly edit: string;
  readonly kind: RevisionKind;
  readonly label: string;
  readonly content: Model;
  readonly isWhole?: boolean;
}

/**
 * Stores a revision in one transaction, if the model still stands at `base`: its patches, and now and then the content that it leads to.
 * Returns false when another edit came first; then nothing is stored.
 */
export async function storeRevision(db: Database, modelId: string, base: number, revision: NewRevision): Promise<boolean> {
  const { edit, kind, label, content, isWhole = false } = revision;
  const { value, found } = extracted({ patches: revision.patches, inverse: revision.inverse });
  ensureRoom(dataDirectory(), sizeOf(content));
  const isStored = await db.transaction(async (tx) => {
    const number = base + 1;
    const stands = and(eq(models.id, modelId), eq(models.revision, base));
    const [before] = await tx.select({ contentRevision: models.contentRevision }).from(models).where(stands);
    if (!before) return false;
    const isDue = isWhole || number - before.contentRevision >= REPLAYED;
    const kept = isDue && { content: withMarks(content).value, contentRevision: number };
    const updated = await tx
      .update(models)
      .set({ ...kept, ...summaryOf(content), revision: number, updatedAt: new Date() })
      .where(stands)
      .returning({ id: models.id });
    if (updated.length === 0) return false;
    await storePictures(tx, modelId, found);
    await tx.insert(revisions).values({ modelId, number, edit, kind, label, ...value });
    return true;
  });
  if (isStored) keep(modelId, base + 1, content);
  return isStored;
}
