import { database } from '../db/database';
import { findModel, listModels, storeTile } from '../db/model-repository';
import type { DrawnTile } from './draw-tile';
import { log } from './log';
import { Thread } from './thread';

/** A model that takes longer than this, in milliseconds, is shown without drawing and figures. */
const LIMIT = 10_000;
/** Megabytes for solving it. */
const MEMORY = 800;
/** Edits that follow each other faster than this share one tile. The page still solves what was edited, and goes first. */
const QUIET = 2000;

const NOT_DRAWN: DrawnTile = { figure: 'Too much to be solved for this list: open it', markup: '' };

/** Draws tiles in a thread of their own, one after the other, and stores them. Whatever a model asks for, no request waits for it. */
class TileMaker {
  private readonly due = new Set<string>();
  private readonly thread = new Thread<unknown, DrawnTile>({ bundle: 'tile-worker.mjs', limit: LIMIT, memory: MEMORY });
  private isWorking = false;
  private isStopped = false;

  request(id: string): void {
    this.due.add(id);
    if (!this.isWorking) void this.work();
  }

  async stop(): Promise<void> {
    this.isStopped = true;
    await this.thread.stop();
  }

  private async work(): Promise<void> {
    this.isWorking = true;
    await new Promise((resolve) => setTimeout(resolve, QUIET));
    for (const id of this.due) {
      if (this.isStopped) return;
      this.due.delete(id);
      try {
        await this.make(id);
      } catch (error) {
        log.error({ model: id, reason: (error as Error).message }, 'A tile could not be made');
      }
    }
    this.isWorking = false;
    if (this.due.size > 0) void this.work();
  }

  private async make(id: string): Promise<void> {
    const db = await database();
    const stored = await findModel(db, id);
    if (!stored) return;
    const drawn = (await this.thread.ask(stored.content)) ?? NOT_DRAWN;
    if (!this.isStopped) await storeTile(db, id, { revision: stored.revision, ...drawn });
  }
}

/** One for the whole process: Next bundles this module more than once. Nothing is drawn before the server has started. */
const shared = globalThis as typeof globalThis & { rigidBeamTiles?: TileMaker | undefined };

/** From now on tiles are made; first those that are missing or out of date. */
export async function startTiles(): Promise<void> {
  const maker = (shared.rigidBeamTiles ??= new TileMaker());
  for (const { id, revision, tileRevision } of await listModels(await database()))
    if (tileRevision !== revision) maker.request(id);
}

export const stopTiles = async (): Promise<void> => shared.rigidBeamTiles?.stop();

/** The model has changed: its tile is made again soon. */
export const requestTile = (id: string): void => shared.rigidBeamTiles?.request(id);
