import { mkdtempSync, readdirSync, rmSync, statfsSync } from 'node:fs';
import path from 'node:path';

const MEMORY = '/dev/shm';
const NAME = 'rigid-beam-checks-';
/** Bytes: each running server keeps 40 MB of data, and the browser its profile. */
const ROOM = 4e9;

/**
 * A folder for what the checks write, in memory where the system has room for it: to copy a database, flush every edit of it and remove it
 * again takes many times as long on a disk. It goes when this process ends; what a killed one left goes at the next start. Undefined where
 * there is no such room.
 */
export function scratchFolder() {
  try {
    const { bavail, bsize } = statfsSync(MEMORY);
    if (bavail * bsize < ROOM) return undefined;
    for (const name of readdirSync(MEMORY)) if (name.startsWith(NAME) && !isAlive(ownerOf(name))) remove(path.join(MEMORY, name));
    const folder = mkdtempSync(path.join(MEMORY, `${NAME}${process.pid}-`));
    process.on('exit', () => remove(folder));
    return folder;
  } catch {
    return undefined;
  }
}

const ownerOf = (name) => Number(name.slice(NAME.length).split('-')[0]);
const remove = (folder) => rmSync(folder, { recursive: true, force: true });

function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
}
