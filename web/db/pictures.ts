import { createHash } from 'node:crypto';
import { and, eq, inArray, notInArray, sql } from 'drizzle-orm';
import type { Model } from '@rigid-beam/core/model/model';
import type { Database } from './open';
import { pictures, pictureUses } from './schema';

/** Shorter texts stay where they are. */
const LONG = 1024;
const MARK = /^picture:sha256:[0-9a-f]{64}$/;

/** A value with a mark in place of each picture in it, and the pictures by their hashes. */
export interface Extracted<T> {
  readonly value: T;
  readonly found: ReadonlyMap<string, string>;
}

/** Takes the pictures out of a value: each is stored once, however often it comes. What holds none comes back as it is. */
export function extracted<T>(value: T): Extracted<T> {
  const found = new Map<string, string>();
  const taken = mapped(value, (text) => {
    if (text.length < LONG || !text.startsWith('data:image/')) return text;
    const hash = createHash('sha256').update(text).digest('hex');
    found.set(hash, text);
    return `picture:sha256:${hash}`;
  });
  return { value: taken as T, found };
}

/** A model with a mark in place of each of its pictures: under the drawing, and in its report. */
export function withMarks(content: Model): Extracted<Model> {
  const { underlay, report } = content;
  const held = { ...(underlay && { underlay }), ...(report && { report }) };
  const { value, found } = extracted(held);
  return { value: value === held ? content : { ...content, ...value }, found };
}

/** Stores pictures that are not there yet, and notes that a model needs them. */
export async function storePictures(db: Database, modelId: string, found: ReadonlyMap<string, string>): Promise<void> {
  for (const [hash, image] of found) {
    await db.insert(pictures).values({ hash, image }).onConflictDoNothing();
    await db.insert(pictureUses).values({ modelId, hash }).onConflictDoNothing();
  }
}

/** A picture that a model needs. */
export async function findPicture(db: Database, modelId: string, hash: string): Promise<string | undefined> {
  const [row] = await db
    .select({ image: pictures.image })
    .from(pictures)
    .innerJoin(pictureUses, eq(pictureUses.hash, pictures.hash))
    .where(and(eq(pictureUses.modelId, modelId), eq(pictures.hash, hash)));
  return row?.image;
}

/** The value with its pictures in their places again. */
export async function restored<T>(db: Database, value: T): Promise<T> {
  const marks = new Set<string>();
  mapped(value, (text) => {
    if (MARK.test(text)) marks.add(text.slice('picture:sha256:'.length));
    return text;
  });
  if (marks.size === 0) return value;
  const rows = await db
    .select()
    .from(pictures)
    .where(inArray(pictures.hash, [...marks]));
  const known = new Map(rows.map(({ hash, image }) => [`picture:sha256:${hash}`, image]));
  return mapped(value, (text) => known.get(text) ?? text) as T;
}

/** The value with something else in the place of each mark of a picture, by its hash. */
export const mappedPictures = <T>(value: T, change: (hash: string) => string): T =>
  mapped(value, (text) => (MARK.test(text) ? change(text.slice('picture:sha256:'.length)) : text)) as T;

/** Whether all pictures of some hashes are stored. */
export async function picturesThere(db: Database, hashes: readonly string[]): Promise<boolean> {
  if (hashes.length === 0) return true;
  const rows = await db
    .select({ hash: pictures.hash })
    .from(pictures)
    .where(inArray(pictures.hash, [...hashes]));
  return rows.length === hashes.length;
}

/** Takes away the pictures that no model needs any more. */
export async function sweepPictures(db: Database): Promise<void> {
  await db.delete(pictures).where(notInArray(pictures.hash, sql`(select ${pictureUses.hash} from ${pictureUses})`));
}

/** The value with every text changed; parts without change stay the same objects. */
function mapped(value: unknown, change: (text: string) => string): unknown {
  if (typeof value === 'string') return change(value);
  if (typeof value !== 'object' || value === null) return value;
  let copy: Record<string, unknown> | undefined;
  for (const [key, part] of Object.entries(value)) {
    const other = mapped(part, change);
    if (other === part) continue;
    copy ??= (Array.isArray(value) ? [...(value as unknown[])] : { ...value }) as Record<string, unknown>;
    copy[key] = other;
  }
  return copy ?? value;
}
