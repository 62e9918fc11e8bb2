import { and, asc, eq, gt } from 'drizzle-orm';
import type { Model } from '@rigid-beam/core/model/model';
import { dataDirectory } from '@rigid-beam/machine/data-directory';
import { ensureRoom } from './disk';
import { atOneTime, findModel, listModels, setRemoved, summaryOf } from './model-repository';
import { listProjects } from './project-repository';
import type { Database } from './open';
import { extracted, withMarks, restored, storePictures } from './pictures';
import { models, pictures, projects, revisions } from './schema';

type RevisionRow = Omit<typeof revisions.$inferSelect, 'createdAt'> & { readonly createdAt: string };

/** One line of a backup: JSON, each by itself. Dates are ISO texts; pictures stand once, and contents and patches name them by their hash. */
export type BackupEntry =
  | { readonly kind: 'head'; readonly format: 'rigid-beam/backup'; readonly version: 1; readonly at: string }
  | { readonly kind: 'project'; readonly id: string; readonly name: string; readonly number?: string }
  | { readonly kind: 'picture'; readonly hash: string; readonly image: string }
  | {
      readonly kind: 'model';
      readonly id: string;
      readonly project: string;
      readonly revision: number;
      readonly content: Model;
      readonly createdAt: string;
      readonly removedAt?: string;
    }
  | { readonly kind: 'revisions'; readonly model: string; readonly list: readonly RevisionRow[] }
  | { readonly kind: 'end'; readonly models: number };

/** Revisions of one line. */
const TOGETHER = 50;

/** Everything that is stored, entry by entry; edits go on meanwhile, and each model is whole in itself. */
export async function* backupOf(db: Database): AsyncGenerator<BackupEntry> {
  yield { kind: 'head', format: 'rigid-beam/backup', version: 1, at: new Date().toISOString() };
  const { own, hashes, listed } = await atOneTime(db, async (tx) => ({
    own: await listProjects(tx),
    hashes: await tx.select({ hash: pictures.hash }).from(pictures),
    listed: await listModels(tx),
  }));
  for (const project of own) yield { kind: 'project', ...project };
  const projectsGiven = new Set(own.map(({ id }) => id));
  const given = new Set<string>();
  for (const { hash } of hashes) {
    const [row] = await db.select().from(pictures).where(eq(pictures.hash, hash));
    if (!row) continue;
    given.add(hash);
    yield { kind: 'picture', ...row };
  }
  let count = 0;
  for (const { id, removedAt } of listed) {
    const { stored, row } = await atOneTime(db, async (tx) => ({
      stored: await findModel(tx, id, 'any'),
      row: (await tx.select({ createdAt: models.createdAt }).from(models).where(eq(models.id, id)))[0],
    }));
    if (!stored) continue;
    // Moved meanwhile, into a project that was made since.
    if (!projectsGiven.has(stored.projectId)) {
      projectsGiven.add(stored.projectId);
      yield { kind: 'project', id: stored.projectId, name: stored.projectName };
    }
    const { value: content, found } = withMarks(stored.content);
    // One that an earlier version kept within the model, or that came since.
    for (const [hash, image] of found) if (!given.has(hash)) yield { kind: 'picture', hash, image };
    const createdAt = (row?.createdAt ?? new Date()).toISOString();
    const removed = removedAt ? { removedAt: removedAt.toISOString() } : {};
    yield { kind: 'model', id, project: stored.projectId, revision: stored.revision, content, createdAt, ...removed };
    count++;
    for (let after = -1; ;) {
      const list = await db
        .select()
        .from(revisions)
        .where(and(eq(revisions.modelId, id), gt(revisions.number, after)))
        .orderBy(asc(revisions.number))
        .limit(TOGETHER);
      // What was made since belongs to the next backup.
      const own = list.filter(({ number }) => number <= stored.revision);
      if (own.length > 0)
        yield { kind: 'revisions', model: id, list: own.map((one) => ({ ...one, createdAt: one.createdAt.toISOString() })) };
      if (own.length < TOGETHER) break;
      after = own.at(-1)!.number;
    }
  }
  yield { kind: 'end', models: count };
}

/** What became of an entry; a model that lies among the removed ones is there, and yet nobody sees it. */
export type Restored = 'restored' | 'there already' | 'among the removed';

/** What happens to models of a backup that were removed since. */
export type OfRemoved = 'leave' | 'bring back';

/** Puts one entry of a backup back, which was looked at before (`restoring.ts`). What is there already stays as it is. */
export async function restoreEntry(db: Database, entry: BackupEntry, ofRemoved: OfRemoved = 'leave'): Promise<Restored> {
  ensureRoom(dataDirectory(), JSON.stringify(entry).length);
  switch (entry.kind) {
    case 'head':
    case 'end':
      return 'restored';
    case 'project': {
      const { id, name, number = '' } = entry;
      return toldBy(await db.insert(projects).values({ id, name, number }).onConflictDoNothing().returning({ id: projects.id }));
    }
    case 'picture': {
      const { hash, image } = entry;
      return toldBy(await db.insert(pictures).values({ hash, image }).onConflictDoNothing().returning({ hash: pictures.hash }));
    }
    case 'model':
      return restoreModel(db, entry, ofRemoved);
    case 'revisions': {
      const [model] = await db.select({ revision: models.revision }).from(models).where(eq(models.id, entry.model));
      // A model that is there already may be older than the backup: what it has not done must not stand behind it.
      const list = entry.list
        .filter(({ number }) => number <= (model?.revision ?? -1))
        .map((one) => ({ ...one, modelId: entry.model, createdAt: new Date(one.createdAt) }));
      if (list.length === 0) return toldBy(list);
      const whole = await restored(db, list);
      return db.transaction(async (tx) => {
        await storePictures(tx, entry.model, extracted(whole).found);
        return toldBy(await tx.insert(revisions).values(list).onConflictDoNothing().returning({ number: revisions.number }));
      });
    }
  }
}

const toldBy = (rows: readonly unknown[]): Restored => (rows.length > 0 ? 'restored' : 'there already');

async function restoreModel(
  db: Database,
  entry: Extract<BackupEntry, { kind: 'model' }>,
  ofRemoved: OfRemoved,
): Promise<Restored> {
  const { id, project: projectId, revision, createdAt, removedAt, content } = entry;
  const whole = await restored(db, content);
  return db.transaction(async (tx) => {
    const row = {
      id,
      projectId,
      revision,
      contentRevision: revision,
      content,
      ...summaryOf(whole),
      createdAt: new Date(createdAt),
      removedAt: removedAt === undefined ? null : new Date(removedAt),
    };
    const made = await tx.insert(models).values(row).onConflictDoNothing().returning({ id: models.id });
    if (made.length > 0) {
      await storePictures(tx, id, withMarks(whole).found);
      return 'restored';
    }
    const [there] = await tx.select({ removedAt: models.removedAt }).from(models).where(eq(models.id, id));
    if (!there?.removedAt || removedAt !== undefined) return 'there already';
    if (ofRemoved === 'leave') return 'among the removed';
    await setRemoved(tx, id, 'back');
    return 'restored';
  });
}
