import { createWriteStream } from 'node:fs';
import { open, rename, rm } from 'node:fs/promises';
import { createInterface } from 'node:readline';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import type { Notice } from '@rigid-beam/core/model/notice';
import { exitCodes } from './exit-codes';

/** Asks the Rigid Beam that runs; words instead of a stack where none does. */
async function ask(address: string, path: string, options: RequestInit = {}): Promise<Response> {
  try {
    return await fetch(`${address}${path}`, options);
  } catch {
    throw new Told(`No Rigid Beam answers at ${address}. Start it with npm start, or name another address with --address.`);
  }
}

/** A trouble that is told to the user as it is. */
class Told extends Error {}

const messageOf = async (response: Response): Promise<string> => {
  const answer = (await response.json().catch(() => ({}))) as { faults?: readonly Notice[] };
  return answer.faults?.map(({ message }) => message).join(' ') ?? `It answered ${response.status}.`;
};

/** Writes all projects, models and what can be undone to a file, while the server runs. A file that is there is replaced when the new one is whole. */
export const backup = (file: string, address: string): Promise<number> =>
  told(async () => {
    const response = await ask(address, '/api/backup');
    if (!response.ok) throw new Told(await messageOf(response));
    const half = `${file}.part`;
    try {
      await pipeline(Readable.fromWeb(response.body as never), createWriteStream(half, { mode: 0o600, flush: true }));
      const models = await countModels(half);
      await rename(half, file);
      console.log(`${models} ${models === 1 ? 'model' : 'models'} saved in ${file}.`);
    } catch (error) {
      await rm(half, { force: true });
      throw error;
    }
  });

/** A backup without its last line was cut off. */
async function countModels(file: string): Promise<number> {
  let last = '';
  for await (const line of entriesOf(file)) last = line;
  const end = JSON.parse(last || '{}') as { kind?: string; models?: number };
  if (end.kind !== 'end') throw new Told(`${file} is not a whole backup: its end is missing.`);
  return end.models ?? 0;
}

async function* entriesOf(file: string): AsyncGenerator<string> {
  try {
    const packed = (await open(file)).createReadStream();
    for await (const line of createInterface({ input: packed.pipe(createGunzip()), crlfDelay: Infinity }))
      if (line !== '') yield line;
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException;
    throw new Told(code === 'ENOENT' ? `There is no file ${file}.` : `${file} is not a whole backup: ${message}.`);
  }
}

/** Puts a backup into the Rigid Beam that runs. What is there already stays; nothing is put in unless the file is whole. */
export const restore = (file: string, address: string): Promise<number> =>
  told(async () => {
    await countModels(file);
    const counts = { restored: 0, 'there already': 0 };
    for await (const line of entriesOf(file)) {
      const { kind } = JSON.parse(line) as { kind: string };
      const response = await ask(address, '/api/restore', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: `{"entry":${line}}`,
      });
      if (!response.ok) throw new Told(`${file} could not be restored further: ${await messageOf(response)}`);
      const { outcome } = (await response.json()) as { outcome: keyof typeof counts };
      if (kind === 'model') counts[outcome]++;
    }
    console.log(`${counts.restored} restored, ${counts['there already']} there already.`);
  });

async function told(work: () => Promise<void>): Promise<number> {
  try {
    await work();
    return 0;
  } catch (error) {
    if (!(error instanceof Told) && (error as NodeJS.ErrnoException).code === undefined) throw error;
    console.error((error as Error).message);
    return exitCodes.invalid;
  }
}
