import { mkdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/** Said to the user as it is. */
export class LockedError extends Error {}

interface Holder {
  readonly pid: number;
  /** When the process began, in the kernel's own count; tells a process from a later one with the same number. */
  readonly started: string;
}

/**
 * Makes this process the only one that opens the data directory: PGlite has no lock of its own, and a second process's writes
 * would vanish. Throws LockedError while another live process holds it; a lock left by a killed process is taken over.
 * Returns the function that gives it back.
 */
export function lockDirectory(directory: string): () => void {
  mkdirSync(directory, { recursive: true });
  const file = path.join(directory, 'lock.json');
  const mine: Holder = { pid: process.pid, started: startOf(process.pid) };
  if (!create(file, mine)) {
    // Only one process at a time may judge and replace a stale lock.
    const arbiter = path.join(directory, 'lock.arbiter');
    if (!create(arbiter, mine) && !abandoned(arbiter)) throw locked(directory, undefined);
    try {
      const holder = read(file);
      if (holder && isAlive(holder)) throw locked(directory, holder.pid);
      rmSync(file, { force: true });
      if (!create(file, mine)) throw locked(directory, undefined);
    } finally {
      rmSync(arbiter, { force: true });
    }
  }
  return () => {
    const holder = read(file);
    if (holder?.pid === mine.pid && holder.started === mine.started) rmSync(file, { force: true });
  };
}

const locked = (directory: string, pid: number | undefined): LockedError =>
  new LockedError(
    `The data in ${directory} is already open in another Rigid Beam${pid === undefined ? '' : ` (process ${pid})`}. ` +
      'Use the one that runs, stop it first, or set RIGID_BEAM_DATA to another folder.',
  );

function create(file: string, holder: Holder): boolean {
  try {
    writeFileSync(file, JSON.stringify(holder), { flag: 'wx' });
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false;
    throw error;
  }
}

function read(file: string): Holder | undefined {
  try {
    const value = JSON.parse(readFileSync(file, 'utf8')) as Partial<Holder>;
    return typeof value.pid === 'number' ? { pid: value.pid, started: String(value.started) } : undefined;
  } catch {
    return undefined;
  }
}

/** An arbiter file is held for milliseconds; one that is older was left by a crash. */
function abandoned(file: string): boolean {
  try {
    return Date.now() - statSync(file).mtimeMs > 10_000;
  } catch {
    return false;
  }
}

function isAlive({ pid, started }: Holder): boolean {
  try {
    process.kill(pid, 0);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EPERM') return false;
  }
  // Nothing runs in a zombie: its parent has only not taken notice yet.
  if (statOf(pid)[0] === 'Z') return false;
  const now = startOf(pid);
  return now === '' || started === '' || now === started;
}

/** Field 22 of /proc/PID/stat; empty where there is no /proc. */
const startOf = (pid: number): string => statOf(pid)[19] ?? '';

/** Fields of /proc/PID/stat from the third on, the state; none where there is no /proc. */
function statOf(pid: number): string[] {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ');
  } catch {
    return [];
  }
}
