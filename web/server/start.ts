import { closeDatabase, database } from '../db/database';
import { LockedError } from '../db/lock';
import { loadDemo } from './demo';
import { log } from './log';

/** Exit code that tells the start script that the data is in use elsewhere; it has then been said why. */
const EXIT_LOCKED = 9;

export async function start(): Promise<void> {
  process.on('SIGTERM', () => void stop());
  process.on('SIGINT', () => void stop());
  // The start script died: without it nobody would stop this process.
  process.on('disconnect', () => void stop());
  try {
    await database();
    await loadDemo();
  } catch (error) {
    if (error instanceof LockedError) {
      console.error(error.message);
      process.exit(EXIT_LOCKED);
    }
    log.fatal({ reason: (error as Error).message }, 'The database could not be opened');
    process.exit(1);
  }
}

let stopping = false;

async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  try {
    await closeDatabase();
    process.exit(0);
  } catch (error) {
    log.error({ reason: (error as Error).message }, 'The database could not be closed cleanly');
    process.exit(1);
  }
}
