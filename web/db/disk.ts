import { closeSync, fsyncSync, openSync, rmSync, statfsSync, writeSync } from 'node:fs';
import path from 'node:path';

/** Said to the user as it is. */
export class DiskFullError extends Error {}

/** Bytes that must be free before anything is written: the database lays out its log in pieces of 16 MB, and does not survive half of one. */
const SPARE = 96 * 1024 * 1024;
/** Times its own size that an edit may take for a moment: in the log, in the table and in what is replaced. */
const COPIES = 4;
/** Bytes of a probe. */
const PROBE = 32 * 1024 * 1024;

let isFull = false;

/** Throws when the disk of a directory has no room for so many bytes more. Once it was full, it must first take a probe. */
export function ensureRoom(directory: string, bytes: number): void {
  const { bavail, bsize } = statfsSync(directory);
  const hasRoom = bavail * bsize > SPARE + COPIES * bytes;
  if (hasRoom && (!isFull || takesProbe(directory))) isFull = false;
  else {
    isFull = true;
    throw fullDisk(directory);
  }
}

/** A quota does not show in the free space of the disk: only a write tells. */
function takesProbe(directory: string): boolean {
  const file = path.join(directory, 'probe');
  try {
    const handle = openSync(file, 'w', 0o600);
    try {
      const chunk = Buffer.alloc(1024 * 1024);
      for (let written = 0; written < PROBE; written += chunk.length) writeSync(handle, chunk);
      fsyncSync(handle);
      return true;
    } finally {
      closeSync(handle);
    }
  } catch {
    return false;
  } finally {
    rmSync(file, { force: true });
  }
}

/** Told of every failure: where nothing could be written for want of room, a probe decides from then on, and words say so. */
export function asFullDisk(error: unknown, directory: string): DiskFullError | undefined {
  const said: string[] = [];
  for (let one = error as Error | undefined; one; one = one.cause as Error | undefined) said.push(String(one.message));
  if (!/ENOSPC|No space left|EDQUOT|quota exceeded/i.test(said.join(' '))) return undefined;
  isFull = true;
  return fullDisk(directory);
}

const fullDisk = (directory: string): DiskFullError =>
  new DiskFullError(`The disk is full: ${directory} has no room. Nothing of yours is lost; free some space`);
