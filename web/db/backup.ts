import { createHash } from 'node:crypto';
import { and, asc, eq, gt } from 'drizzle-orm';
import { checkModel } from '@rigid-beam/core/model/check';
import type { Model } from '@rigid-beam/core/model/model';
import { isFault, type Notice } from '@rigid-beam/core/model/notice';
import { dataDirectory } from './data-directory';
import { ensureRoom } from './disk';
import { atOneTime, findModel, listModels, summaryOf } from './model-repository';
import { listProjects } from './project-repository';
import type { Database } from './open';
import { extracted, restored, storePictures } from './pictures';
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
  for (const project of await listProjects(db)) yield { kind: 'project', ...project };
  const given = new Set<string>();
  for (const { hash } of await db.select({ hash: pictures.hash }).from(pictures)) {
    const [row] = await db.select().from(pictures).where(eq(pictures.hash, hash));
    if (!row) continue;
    given.add(hash);
    yield { kind: 'picture', ...row };
  }
  let count = 0;
  for (const { id, removedAt } of await listModels(db)) {
    const { stored, row } = await atOneTime(db, async (tx) => ({
      stored: await findModel(tx, id, 'any'),
      row: (await tx.select({ createdAt: models.createdAt }).from(models).where(eq(models.id, id)))[0],
    }));
    if (!stored) continue;
    const { value, found } = extracted(stored.content.underlay);
    // One that an earlier version kept within the model, or that came since.
    for (const [hash, image] of found) if (!given.has(hash)) yield { kind: 'picture', hash, image };
    const content = value ? { ...stored.content, underlay: value } : stored.content;
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

export type Restored =
  | { readonly outcome: 'restored' | 'there already' }
  | { readonly outcome: 'refused'; readonly faults: readonly Notice[] };

const refused = (message: string): Restored => ({
  outcome: 'refused',
  faults: [{ code: 'bad-backup', severity: 'error', message, subjects: [] }],
});

/** Puts one entry of a backup back. What is there already stays as it is. */
export async function restoreEntry(db: Database, entry: BackupEntry): Promise<Restored> {
  ensureRoom(dataDirectory(), JSON.stringify(entry).length);
  switch (entry.kind) {
    case 'head':
      return entry.format === 'rigid-beam/backup' && entry.version === 1
        ? { outcome: 'restored' }
        : refused('This is not a backup that this Rigid Beam can read.');
    case 'end':
      return { outcome: 'restored' };
    case 'project': {
      const { id, name, number = '' } = entry;
      return toldBy(await db.insert(projects).values({ id, name, number }).onConflictDoNothing().returning({ id: projects.id }));
    }
    case 'picture': {
      const { hash, image } = entry;
      if (createHash('sha256').update(image).digest('hex') !== hash) return refused('A picture of the backup is damaged.');
      return toldBy(await db.insert(pictures).values({ hash, image }).onConflictDoNothing().returning({ hash: pictures.hash }));
    }
    case 'model':
      return restoreModel(db, entry);
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

const toldBy = (rows: readonly unknown[]): Restored => ({ outcome: rows.length > 0 ? 'restored' : 'there already' });

async function restoreModel(db: Database, entry: Extract<BackupEntry, { kind: 'model' }>): Promise<Restored> {
  const { id, project: projectId, revision, createdAt, removedAt } = entry;
  const whole = await restored(db, entry.content);
  const { model, notices } = checkModel(whole);
  if (!model) return { outcome: 'refused', faults: notices.filter(isFault) };
  const content = entry.content;
  return db.transaction(async (tx) => {
    const row = {
      id,
      projectId,
      revision,
      contentRevision: revision,
      content,
      ...summaryOf(model),
      createdAt: new Date(createdAt),
      removedAt: removedAt === undefined ? null : new Date(removedAt),
    };
    const made = await tx.insert(models).values(row).onConflictDoNothing().returning({ id: models.id });
    if (made.length > 0) await storePictures(tx, id, extracted(whole.underlay).found);
    return toldBy(made);
  });
}
