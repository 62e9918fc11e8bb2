import { ownKey } from '@rigid-beam/machine/access-keys';
import { dataDirectory } from '@rigid-beam/machine/data-directory';
import { closeDatabase, database } from '../db/database';
import { DiskFullError } from '../db/disk';
import { LockedError } from '../db/lock';
import { UnusableDataError } from '../db/open';
import { sweepPictures } from '../db/pictures';
import { log } from './log';
import { stopReading } from './reading';
import { stopJobs } from './work/jobs';
import { sweepRestoring } from './restoring';
import { startTiles, stopTiles } from './tile-maker';
import glasshouseRib from '../../examples/glasshouse-rib.rbm.json';
import lintel from '../../examples/lintel.rbm.json';
import canopyWalk from '../../examples/canopy-walk.rbm.json';
import { checkModel } from '@rigid-beam/core/model/check';
import { insertModel } from '../db/model-repository';
import { insertProject, listProjects } from '../db/project-repository';
import { newId } from './new-id';

/** Exit code that tells the start script that the data cannot be used; it has then been said why. */
const EXIT_UNUSABLE = 9;

export async function start(): Promise<void> {
  process.on('SIGTERM', () => void stop());
  process.on('SIGINT', () => void stop());
  // The start script died: without it nobody would stop this process.
  process.on('disconnect', () => void stop());
  try {
    await database();
    // The command finds it there.
    ownKey(dataDirectory());
    await sweepRestoring();
    await loadDemo();
    await sweepPictures(await database());
    await startTiles();
  } catch (error) {
    if (error instanceof LockedError || error instanceof UnusableDataError || error instanceof DiskFullError) {
      console.error(error.message);
      process.exit(EXIT_UNUSABLE);
    }
    log.fatal({ reason: (error as Error).message }, 'The database could not be opened');
    process.exit(1);
  }
}

/** Milliseconds in which the server has stopped at the latest. */
const LONGEST_STOP = 4000;

let stopping = false;

async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  // Whatever still runs: who stops the server waits no longer than this.
  setTimeout(() => process.exit(1), LONGEST_STOP).unref();
  try {
    await Promise.all([stopTiles(), stopReading(), stopJobs()]);
    await closeDatabase();
    process.exit(0);
  } catch (error) {
    log.error({ reason: (error as Error).message }, 'The database could not be closed cleanly');
    process.exit(1);
  }
}

const DEMO_PROJECT = 'Larkmere Botanic Garden';

/** On the first start: the demo project with its models. */
async function loadDemo(): Promise<void> {
  const db = await database();
  if ((await listProjects(db)).length > 0) return;
  await db.transaction(async (tx) => {
    const project = newId();
    await insertProject(tx, project, DEMO_PROJECT);
    for (const example of [glasshouseRib, lintel, canopyWalk]) {
      const { model, notices } = checkModel(example);
      if (!model) throw new Error(`The demo model is faulty: ${notices.map(({ message }) => message).join(' ')}`);
      await insertModel(tx, newId(), project, model);
    }
  });
}
