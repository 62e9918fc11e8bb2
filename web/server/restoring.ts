import { counted } from '@rigid-beam/core/counted';
import { createHash, randomUUID } from 'node:crypto';
import { appendFile, open, readdir, rm } from 'node:fs/promises';
import path from 'node:path';
import { isFault, type Notice } from '@rigid-beam/core/model/notice';
import { restoreEntry, type BackupEntry, type OfRemoved, type Restored } from '../db/backup';
import { dataDirectory } from '@rigid-beam/machine/data-directory';
import { database } from '../db/database';
import { ensureRoom } from '../db/disk';
import { listModels } from '../db/model-repository';
import { listProjects } from '../db/project-repository';
import { mappedPictures, picturesThere } from '../db/pictures';
import { readForeign } from './reading';
import { requestTile } from './tile-maker';

/** One line of a backup, as it is brought: they come in their order, and nothing is put in before the last one has come. */
export interface BroughtLine {
  /** Which restore it belongs to; the first line begins one. */
  readonly restore?: string;
  readonly line: number;
  readonly entry: BackupEntry;
  readonly ofRemoved?: OfRemoved;
}

export type Brought =
  /** The line was looked at and lies ready. */
  | { readonly outcome: 'ready'; readonly restore: string }
  | {
      readonly outcome: 'restored';
      readonly models: Readonly<Record<Restored, number>>;
      /** Titles of models that lie among the removed ones. */
      readonly removed: readonly string[];
    }
  | { readonly outcome: 'refused'; readonly faults: readonly Notice[] };

/** A backup that is being looked through: its lines lie in a file of their own. */
interface Restoring {
  readonly id: string;
  readonly file: string;
  lines: number;
  readonly projects: Set<string>;
  readonly pictures: Set<string>;
  /** By model: its revision, and up to which one its revisions have come. */
  readonly models: Map<string, { readonly revision: number; reached: number }>;
}

const PREFIX = 'restoring-';
/** One for the whole process: Next bundles this module more than once. One backup is restored at a time. */
const shared = globalThis as typeof globalThis & { rigidBeamRestoring?: Restoring | undefined };

const fileOf = (name: string): string => path.join(/* turbopackIgnore: true */ dataDirectory(), name);

/** Lines that a server left behind which was ended on the way. */
export async function sweepRestoring(): Promise<void> {
  for (const name of await readdir(dataDirectory())) if (name.startsWith(PREFIX)) await rm(fileOf(name), { force: true });
}

async function forget(): Promise<void> {
  const { rigidBeamRestoring: now } = shared;
  shared.rigidBeamRestoring = undefined;
  if (now) await rm(now.file, { force: true });
}

/** Looks at the next line of a backup. At its end all of it is put in, or nothing. */
export async function bringLine({ restore, line, entry, ofRemoved = 'leave' }: BroughtLine): Promise<Brought> {
  if (line === 1) await begin();
  const now = shared.rigidBeamRestoring;
  if (!now || (line > 1 && now.id !== restore))
    return refusal(line, 'another restore has begun since, or the server was started again');
  const trouble = now.lines + 1 === line ? await troubleOf(entry, now) : `line ${now.lines + 1} was expected`;
  if (trouble !== undefined) {
    await forget();
    return refusal(line, trouble);
  }
  now.lines = line;
  if (entry.kind === 'end') return await putIn(now, ofRemoved);
  const text = `${JSON.stringify(entry)}\n`;
  ensureRoom(dataDirectory(), text.length);
  await appendFile(now.file, text, { mode: 0o600 });
  return { outcome: 'ready', restore: now.id };
}

async function begin(): Promise<void> {
  await forget();
  const id = randomUUID();
  const file = fileOf(`${PREFIX}${id}.jsonl`);
  shared.rigidBeamRestoring = { id, file, lines: 0, projects: new Set(), pictures: new Set(), models: new Map() };
}

const refusal = (line: number, why: string): Brought => ({
  outcome: 'refused',
  faults: [
    {
      code: 'bad-backup',
      severity: 'error',
      message: `Line ${line} of the backup cannot be restored: ${why}. Nothing of it was put in.`,
      subjects: [],
    },
  ],
});

/** What stands for a picture while a model is looked at. */
const STAND_IN = 'data:image/png;base64,iVBORw0KGgo=';

/** What is wrong with an entry, by itself or where it stands; its form was looked at before. */
async function troubleOf(entry: BackupEntry, now: Restoring): Promise<string | undefined> {
  if ((now.lines === 0) !== (entry.kind === 'head'))
    return now.lines === 0 ? 'it is not the beginning of a backup' : 'it begins a second time';
  switch (entry.kind) {
    case 'head':
      if (entry.format === 'rigid-beam/backup' && entry.version === 1) return undefined;
      return 'this Rigid Beam cannot read a backup of this kind';
    case 'project':
      now.projects.add(entry.id);
      return undefined;
    case 'picture':
      if (createHash('sha256').update(entry.image).digest('hex') !== entry.hash) return 'its picture is damaged';
      now.pictures.add(entry.hash);
      return undefined;
    case 'model': {
      if (now.models.has(entry.id)) return 'its model comes a second time';
      const db = await database();
      if (!now.projects.has(entry.project) && !(await listProjects(db)).some(({ id }) => id === entry.project))
        return `there is no project “${entry.project}” before it`;
      const hashes = new Set<string>();
      const value = mappedPictures(entry.content, (hash) => {
        hashes.add(hash);
        return STAND_IN;
      });
      const missing = await picturesThere(
        db,
        [...hashes].filter((hash) => !now.pictures.has(hash)),
      );
      if (!missing) return 'a picture of its model did not come before it';
      const { notices } = await readForeign({ value });
      const fault = notices.find(isFault);
      if (fault) return `its model is at fault. ${fault.message}`;
      now.models.set(entry.id, { revision: entry.revision, reached: 0 });
      return undefined;
    }
    case 'revisions': {
      const model = now.models.get(entry.model);
      if (!model) return 'its model did not come before it';
      for (const { number, modelId } of entry.list) {
        if (modelId !== entry.model) return 'it holds revisions of another model';
        if (number <= model.reached || number > model.revision)
          return `revision ${number} of its model stands where it cannot be`;
        model.reached = number;
      }
      return undefined;
    }
    case 'end':
      return entry.models === now.models.size
        ? undefined
        : `it counts ${counted(entry.models, 'model')}, and ${now.models.size} came`;
  }
}

/** Everything in one transaction: when any of it fails, all is as it was. */
async function putIn({ file }: Restoring, ofRemoved: OfRemoved): Promise<Brought> {
  const models: Record<Restored, number> = { restored: 0, 'there already': 0, 'among the removed': 0 };
  const removed = new Set<string>();
  const made: string[] = [];
  const db = await database();
  try {
    await db.transaction(async (tx) => {
      const lines = await open(file);
      for await (const text of lines.readLines()) {
        const entry = JSON.parse(text) as BackupEntry;
        const outcome = await restoreEntry(tx, entry, ofRemoved);
        if (entry.kind !== 'model') continue;
        models[outcome]++;
        if (outcome === 'among the removed') removed.add(entry.id);
        if (outcome === 'restored') made.push(entry.id);
      }
    });
  } finally {
    await forget();
  }
  for (const id of made) requestTile(id);
  const titles = (await listModels(db)).filter(({ id }) => removed.has(id)).map(({ title }) => title || 'Untitled');
  return { outcome: 'restored', models, removed: titles };
}
