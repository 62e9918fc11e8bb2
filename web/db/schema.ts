import type { Patch } from 'immer';
import { integer, json, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core';
import type { RevisionKind } from '@rigid-beam/core/model/edits/revision';
import type { Model } from '@rigid-beam/core/model/model';

const created = () => timestamp('created_at', { withTimezone: true, precision: 6 }).notNull().defaultNow();

export const projects = pgTable('project', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  /** Its number in the office's own list. */
  number: text('number').notNull().default(''),
  createdAt: created(),
});

/** A model; `revision` counts its edits. Its content is kept as of `contentRevision`: the patches of later revisions lead from there to now. */
export const models = pgTable('model', {
  id: text('id').primaryKey(),
  projectId: text('project_id')
    .notNull()
    .references(() => projects.id, { onDelete: 'cascade' }),
  revision: integer('revision').notNull().default(0),
  content: json('content').$type<Model>().notNull(),
  contentRevision: integer('content_revision').notNull().default(0),
  /** What a list of models says of it, so that no list reads contents. */
  title: text('title').notNull().default(''),
  nodes: integer('nodes').notNull().default(0),
  members: integer('members').notNull().default(0),
  cases: integer('cases').notNull().default(0),
  createdAt: created(),
  updatedAt: timestamp('updated_at', { withTimezone: true }).notNull().defaultNow(),
  /** Since when it lies among what was removed, from where it can be brought back. */
  removedAt: timestamp('removed_at', { withTimezone: true }),
});

/** Pictures by what they hold, once each; contents and patches name them by their hash. */
export const pictures = pgTable('picture', {
  hash: text('hash').primaryKey(),
  image: text('image').notNull(),
});

/** Which models need a picture, in their contents or in what can be undone. */
export const pictureUses = pgTable(
  'picture_use',
  {
    modelId: text('model_id')
      .notNull()
      .references(() => models.id, { onDelete: 'cascade' }),
    hash: text('hash')
      .notNull()
      .references(() => pictures.hash),
  },
  (table) => [primaryKey({ columns: [table.modelId, table.hash] })],
);

/** How a model looks in a list: drawn and solved after an edit, of the revision that it names. */
export const tiles = pgTable('tile', {
  modelId: text('model_id')
    .primaryKey()
    .references(() => models.id, { onDelete: 'cascade' }),
  revision: integer('revision').notNull(),
  figure: text('figure').notNull(),
  markup: text('markup').notNull(),
});

/** Every edit as it happened, in order, with the patches that lead to it and back. */
export const revisions = pgTable(
  'revision',
  {
    modelId: text('model_id')
      .notNull()
      .references(() => models.id, { onDelete: 'cascade' }),
    number: integer('number').notNull(),
    /** The sender's own name for the edit: a repeated request is recognised. */
    edit: text('edit').notNull(),
    kind: text('kind').$type<RevisionKind>().notNull(),
    label: text('label').notNull(),
    patches: json('patches').$type<readonly Patch[]>().notNull(),
    inverse: json('inverse').$type<readonly Patch[]>().notNull(),
    createdAt: created(),
  },
  (table) => [primaryKey({ columns: [table.modelId, table.number] })],
);
