import { closeSync, fsyncSync, openSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { PGlite } from '@electric-sql/pglite';

/** An open file, as the database's file system keeps it. */
interface Stream {
  readonly nfd: number;
}
/** The part of the embedded file system that hands files of this machine through; it has no flush of its own. */
interface NodeFiles {
  readonly stream_ops: { fsync?: (stream: Stream) => number };
}

/** The embedded PostgreSQL is started without flushing (-F); its log is to be flushed by the one call that reaches the file system. */
const PARAMETERS = [...PGlite.defaultStartParams.filter((one) => one !== '-F'), '-c', 'fsync=on', '-c', 'wal_sync_method=fsync'];

/** Opens a database whose commits are on the disk when they are acknowledged: what PostgreSQL asks to be flushed is flushed. */
export async function openDurable(folder: string): Promise<PGlite> {
  const client = await PGlite.create(folder, { startParams: PARAMETERS });
  const { NODEFS } = client.Module as unknown as { readonly NODEFS?: NodeFiles };
  if (!NODEFS) throw new Error('the embedded database has no files of this machine');
  NODEFS.stream_ops.fsync = ({ nfd }) => {
    fsyncSync(nfd);
    return 0;
  };
  // What was written on the way up, by a first start or by a recovery, was not flushed yet.
  flushAll(folder);
  return client;
}

/** Flushes a folder and all that is in it. */
export function flushAll(folder: string): void {
  for (const entry of readdirSync(folder, { recursive: true, withFileTypes: true }))
    // Windows flushes no folders; their names are in its own log.
    if (entry.isFile() || (entry.isDirectory() && process.platform !== 'win32')) flush(path.join(entry.parentPath, entry.name));
  if (process.platform !== 'win32') flush(folder);
}

function flush(file: string): void {
  const handle = openSync(file, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}
