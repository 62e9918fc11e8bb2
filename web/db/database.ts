import path from 'node:path';
import { dataDirectory } from '@rigid-beam/machine/data-directory';
import { openDatabase, type Beginnings, type Database, type Opened } from './open';

export type { Database } from './open';

/** One instance for the whole process: Next bundles this module more than once. */
const shared = globalThis as typeof globalThis & { rigidBeamDatabase?: Promise<Opened> | undefined };

/** Where they lie when the application runs from `web/`. */
const beginnings = (): Beginnings => ({
  migrations: path.join(process.cwd(), 'db', 'migrations'),
  template: path.join(process.cwd(), '..', '.cache', 'empty-database'),
});

/** The database of this process, opened on first use. */
export async function database(): Promise<Database> {
  shared.rigidBeamDatabase ??= openDatabase(dataDirectory(), beginnings());
  return (await shared.rigidBeamDatabase).database;
}

/** Closes the database cleanly; nothing happens when it was never opened. */
export async function closeDatabase(): Promise<void> {
  const opened = shared.rigidBeamDatabase;
  shared.rigidBeamDatabase = undefined;
  if (opened) await (await opened).close();
}
