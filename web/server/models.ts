import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { emptyModel, type Model } from '@rigid-beam/core/model/model';
import { unfit } from '@rigid-beam/core/model/edits/unfit';
import { fault, type Notice } from '@rigid-beam/core/model/notice';
import type { ReadableFormat } from '@rigid-beam/core/formats/registry';
import { database, type Database } from '../db/database';
import {
  atOneTime,
  deleteModel,
  findModel,
  findRevision,
  lastKinds,
  insertModel,
  lastRevisions,
  moveModel,
  setRemoved,
  revisionsSince,
  storeRevision,
  type StoredModel,
  type ListedRevision,
  type StoredPatches,
  listModels,
} from '../db/model-repository';
import { findGlance, type Glance } from '../db/glance';
import { findPicture, withMarks } from '../db/pictures';
import { listProjects } from '../db/project-repository';
import { mayRetrace, type RevisionKind } from '@rigid-beam/core/model/edits/revision';
import { log } from './log';
import { isId, newId } from './new-id';
import { readForeign } from './reading';
import { requestTile } from './tile-maker';

/** How many edits can be undone after the page was closed. */
const UNDO_DEPTH = 200;

export interface OpenModel {
  readonly id: string;
  readonly projectId: string;
  readonly projectName: string;
  readonly projectNumber: string;
  readonly revision: number;
  readonly model: Model;
  /** What can be undone, with patches where these are short. */
  readonly history: readonly ListedRevision[];
}

export async function openModel(id: string): Promise<OpenModel | undefined> {
  if (!isId(id)) return undefined;
  return atOneTime(await database(), async (tx) => {
    const stored = await findModel(tx, id);
    if (!stored) return undefined;
    const { projectId, projectName, projectNumber, revision, content } = stored;
    return {
      id,
      projectId,
      projectName,
      projectNumber,
      revision,
      model: content,
      history: await lastRevisions(tx, id, UNDO_DEPTH),
    };
  });
}

/** A picture of a model, by its hash. */
export const openPicture = async (id: string, hash: string): Promise<string | undefined> =>
  findPicture(await database(), id, hash);

/** A model with marks in place of its pictures, and the hashes of these: its page fetches them. */
export function withoutPictures(model: Model): { readonly model: Model; readonly pictures: readonly string[] } {
  const { value, found } = withMarks(model);
  return { model: value, pictures: [...found.keys()] };
}

/** What a model's page can show before its content is read: title and stored picture. */
export async function glanceAt(id: string): Promise<Glance | undefined> {
  return isId(id) ? findGlance(await database(), id) : undefined;
}

export type Created =
  | { readonly ok: true; readonly id: string; readonly notices: readonly Notice[] }
  | { readonly ok: false; readonly faults: readonly Notice[] };

/** A model with nothing in it. */
export interface Begun {
  readonly title: string;
  readonly space: Model['space'];
}

/** A file, in a format that can be read, and its name without its ending. */
export interface GivenFile {
  readonly name: string;
  readonly file: Uint8Array;
  readonly format: ReadableFormat;
}

/** The units and names of axes of the model of a project that was changed last, and the chapters of its report: a new one there begins with them. */
async function habitsIn(db: Database, projectId: string): Promise<Pick<Model, 'display' | 'report'>> {
  const there = (await listModels(db)).filter((one) => one.projectId === projectId && !one.removedAt);
  const last = there.toSorted((a, b) => b.updatedAt.getTime() - a.updatedAt.getTime())[0];
  const { display, report } = (last && (await findModel(db, last.id))?.content) ?? {};
  return { ...(display && { display }), ...(report && { report }) };
}

/** A new model, empty or from a file. A file with any fault is refused whole. */
export async function createModel(projectId: string, begun: Begun | GivenFile): Promise<Created> {
  const db = await database();
  if (!(await listProjects(db)).some(({ id }) => id === projectId)) {
    return {
      ok: false,
      faults: [
        fault({
          code: 'broken-reference',
          path: 'project',
          value: projectId,
          what: 'There is no such project',
          expected: 'the id of a project',
          remedy: 'Choose a project of the list',
        }),
      ],
    };
  }
  const read =
    'file' in begun
      ? await readForeign({ file: begun.file, format: begun.format.id })
      : { model: { ...emptyModel(begun.title, begun.space), ...(await habitsIn(db, projectId)) }, notices: [] };
  if (!read.model) return { ok: false, faults: read.notices };
  const id = newId();
  // What has no title of its own is called what its file is.
  const title = read.model.title || ('file' in begun ? begun.name : '');
  await insertModel(db, id, projectId, { ...read.model, title });
  requestTile(id);
  return { ok: true, id, notices: read.notices };
}

export type Stored =
  | { readonly outcome: 'stored'; readonly revision: number }
  | { readonly outcome: 'faults'; readonly faults: readonly Notice[] }
  | { readonly outcome: 'conflict'; readonly revision: number; readonly since: readonly { number: number; label: string }[] }
  | { readonly outcome: 'missing' };

export interface Edit {
  readonly edit: string;
  readonly kind: RevisionKind;
  readonly label: string;
  readonly intent: Intent;
}

/** Applies one edit on top of revision `base` and stores it, whole or not at all. */
export async function applyRevision(id: string, base: number, { edit, kind, label, intent }: Edit): Promise<Stored> {
  const db = await database();
  const stored = await findModel(db, id);
  if (!stored) return { outcome: 'missing' };
  if (stored.revision !== base) return conflictOf(stored, base, edit);
  if (kind !== 'edit' && !mayRetrace(kind, await lastKinds(db, id, 2 * UNDO_DEPTH)))
    return { outcome: 'faults', faults: [unfit('kind', `There is nothing to ${kind}`, 'Send it as an edit')] };
  const applied = carriedOut(stored.content, intent);
  if (!applied.ok) return { outcome: 'faults', faults: applied.faults };
  const { model: content, patches, inverse, converted: isWhole } = applied;
  if (await storeRevision(db, id, base, { edit, kind, label, patches, inverse, content, isWhole })) {
    requestTile(id);
    return { outcome: 'stored', revision: base + 1 };
  }
  const newer = await findModel(db, id);
  return newer ? conflictOf(newer, base, edit) : { outcome: 'missing' };
}

/** What one revision of a model did, there and back. */
export async function openRevision(id: string, number: number): Promise<StoredPatches | undefined> {
  return findRevision(await database(), id, number);
}

/** An edit of the right form may still hold what no model can take: that is no failure of the server. */
function carriedOut(model: Model, intent: Intent): ReturnType<typeof applyIntent> {
  try {
    return applyIntent(model, intent);
  } catch (error) {
    log.warn({ intent: intent.type, err: error }, 'An edit could not be carried out');
    const what = 'The edit holds something that the model cannot take';
    return { ok: false, faults: [unfit('intent', what, 'Send entries of the documented form')] };
  }
}

/** Puts a model among what was removed; one that lies there already goes for good, with all its revisions. False where there is none. */
export async function removeModel(id: string): Promise<boolean> {
  const db = await database();
  return (await setRemoved(db, id, 'removed')) || deleteModel(db, id);
}

/** What becomes of a model as a whole; reasons where it cannot be done. */
export async function changeModel(
  id: string,
  { title, project, removed }: { readonly title?: string; readonly project?: string; readonly removed?: false },
): Promise<readonly Notice[]> {
  const db = await database();
  const missing = [unfit('model', 'There is no such model', 'Reload the list of models')];
  if (removed === false && !(await setRemoved(db, id, 'back'))) return missing;
  if (project !== undefined && !(await moveModel(db, id, project)))
    return [unfit('project', 'There is no such project', 'Choose a project of the list')];
  if (title === undefined) return [];
  const stored = await findModel(db, id);
  if (!stored) return missing;
  const edit = { edit: newId(), kind: 'edit', label: 'Set the title', intent: { type: 'set', settings: { title } } } as const;
  const done = await applyRevision(id, stored.revision, edit);
  return done.outcome === 'faults'
    ? done.faults
    : done.outcome === 'stored'
      ? []
      : [unfit('title', 'The model was changed meanwhile', 'Rename it again')];
}

/** A copy of a model beside it, with a history of its own. */
export async function duplicateModel(id: string): Promise<string | undefined> {
  const db = await database();
  const stored = await findModel(db, id);
  if (!stored) return undefined;
  const copy = newId();
  const title = `${stored.content.title || 'Untitled'}, copy`.slice(0, 200);
  await insertModel(db, copy, stored.projectId, { ...stored.content, title });
  requestTile(copy);
  return copy;
}

/** Another edit came first, unless the next one is this very edit, whose answer was lost on the way. */
async function conflictOf(stored: StoredModel, base: number, edit: string): Promise<Stored> {
  const since = await revisionsSince(await database(), stored.id, base);
  if (since[0]?.edit === edit) return { outcome: 'stored', revision: base + 1 };
  return { outcome: 'conflict', revision: stored.revision, since: since.map(({ number, label }) => ({ number, label })) };
}
