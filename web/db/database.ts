import path from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { drizzle, type PgliteDatabase } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { dataDirectory } from './data-directory';
import { lockDirectory } from './lock';
import * as schema from './schema';

/** The database, or a transaction in it. */
export type Database = Pick<PgliteDatabase<typeof schema>, 'select' | 'insert' | 'update' | 'delete' | 'transaction'>;

interface Opened {
  readonly database: Database;
  close(): Promise<void>;
}

/** One instance for the whole process: Next bundles this module more than once. */
const shared = globalThis as typeof globalThis & { rigidBeamDatabase?: Promise<Opened> | undefined };

/** Opens the database in a directory, alone, with all migrations applied. */
async function openDatabase(directory: string, migrations: string): Promise<Opened> {
  const unlock = lockDirectory(directory);
  try {
    const client = await PGlite.create(path.join(directory, 'database'));
    const database = drizzle(client, { schema });
    await migrate(database, { migrationsFolder: migrations });
    return {
      database,
      close: async () => {
        await client.close();
        unlock();
      },
    };
  } catch (error) {
    unlock();
    throw error;
  }
}

/** Where the migrations lie when the application runs from `web/`. */
const migrationsFolder = (): string => path.join(process.cwd(), 'db', 'migrations');

/** The database of this process, opened on first use. */
export async function database(): Promise<Database> {
  shared.rigidBeamDatabase ??= openDatabase(dataDirectory(), migrationsFolder());
  return (await shared.rigidBeamDatabase).database;
}

/** Closes the database cleanly; nothing happens when it was never opened. */
export async function closeDatabase(): Promise<void> {
  const opened = shared.rigidBeamDatabase;
  shared.rigidBeamDatabase = undefined;
  if (opened) await (await opened).close();
}
