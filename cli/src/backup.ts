import { counted } from '@rigid-beam/core/counted';
import { createWriteStream } from 'node:fs';
import { open, rename, rm } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { ownKey } from '@rigid-beam/machine/access-keys';
import { dataDirectory } from '@rigid-beam/machine/data-directory';
import { FILE_BYTES } from '@rigid-beam/core/limits';
import type { Notice } from '@rigid-beam/core/model/notice';
import { exitCodes } from './exit-codes';

/** Asks the Rigid Beam that runs, as its user does, whose data it can read; words instead of a stack where none does. */
async function ask(address: string, path: string, options: RequestInit = {}): Promise<Response> {
  // The key is for the server of this machine and for nobody else.
  const isHere = ['127.0.0.1', 'localhost', '[::1]'].includes(new URL(address).hostname);
  const secret = process.env.RIGID_BEAM_TOKEN ?? (isHere ? ownKey(dataDirectory()) : undefined);
  const headers = { ...options.headers, ...(secret !== undefined && { Authorization: `Bearer ${secret}` }) };
  try {
    return await fetch(`${address}${path}`, { ...options, headers });
  } catch {
    throw new Told(`No Rigid Beam answers at ${address}. Start it with npm start, or name another address with --address.`);
  }
}

/** A trouble that is told to the user as it is. */
class Told extends Error {}

const messageOf = async (response: Response): Promise<string> => {
  if (response.status === 401)
    return `The Rigid Beam that answers has other data than ${dataDirectory()}. Name its folder by RIGID_BEAM_DATA, or one of its tokens by RIGID_BEAM_TOKEN.`;
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
      console.log(`${counted(models, 'model')} saved in ${file}.`);
    } catch (error) {
      await rm(half, { force: true });
      throw error;
    }
  });

/** A backup without its last line was cut off. */
async function countModels(file: string): Promise<number> {
  let last = '';
  for await (const line of entriesOf(file)) last = line;
  const end = endOf(last);
  if (end?.kind !== 'end') throw new Told(`${file} is not a whole backup: its end is missing.`);
  return end.models ?? 0;
}

function endOf(line: string): { readonly kind?: string; readonly models?: number } | undefined {
  try {
    return JSON.parse(line) as { kind?: string; models?: number };
  } catch {
    return undefined;
  }
}

/** Characters of the longest line that a backup may have: what is sent of it is bounded too. */
const LONGEST_LINE = FILE_BYTES;

/** The lines of a backup, each within bounds. */
async function* entriesOf(file: string): AsyncGenerator<string> {
  let count = 1;
  let pending: string[] = [];
  let length = 0;
  try {
    const packed = (await open(file)).createReadStream();
    const text = packed.pipe(createGunzip()).setEncoding('utf8');
    packed.on('error', (error) => text.destroy(error));
    for await (const chunk of text as AsyncIterable<string>) {
      const [first = '', ...others] = chunk.split('\n');
      for (const part of [first, ...others].slice(0, others.length)) {
        const line = pending.join('') + part;
        pending = [];
        length = 0;
        if (line.trim() !== '') yield line;
        count++;
      }
      const rest = others.at(-1) ?? first;
      pending.push(rest);
      length += rest.length;
      if (length > LONGEST_LINE)
        throw new Told(`${file} is not a backup: its line ${count} is longer than ${LONGEST_LINE / 1024 / 1024} MiB.`);
    }
    if (length > 0) yield pending.join('');
  } catch (error) {
    if (error instanceof Told) throw error;
    const { code, message } = error as NodeJS.ErrnoException;
    throw new Told(code === 'ENOENT' ? `There is no file ${file}.` : `${file} is not a whole backup: ${message}.`);
  }
}

/** What the server says of a line. */
interface Answer {
  readonly restore?: string;
  readonly models?: Readonly<Record<'restored' | 'there already' | 'among the removed', number>>;
  readonly removed?: readonly string[];
}

/** So many titles are named. */
const NAMED = 5;

/**
 * Puts a backup into the Rigid Beam that runs. What is there already stays; nothing is put in unless all of it can be. Of models that were
 * removed since it is said, and they are brought back where that is asked for.
 */
export const restore = (file: string, address: string, ofRemoved: 'leave' | 'bring back'): Promise<number> =>
  told(async () => {
    await countModels(file);
    let line = 0;
    let answer: Answer = {};
    for await (const text of entriesOf(file)) {
      line++;
      try {
        JSON.parse(text);
      } catch {
        throw new Told(`${file} is damaged: its line ${line} is not valid JSON. Nothing of it was put in.`);
      }
      const restoring = answer.restore === undefined ? '' : `"restore":${JSON.stringify(answer.restore)},`;
      const response = await ask(address, '/api/restore', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: `{${restoring}"line":${line},"ofRemoved":${JSON.stringify(ofRemoved)},"entry":${text}}`,
      });
      if (!response.ok) throw new Told(`${file}, line ${line}: ${await messageOf(response)}`);
      answer = (await response.json()) as Answer;
    }
    const { models, removed = [] } = answer;
    if (!models) throw new Told(`${file} is not a whole backup: its end is missing. Nothing of it was put in.`);
    const there = models['there already'] + models['among the removed'];
    console.log(`${models.restored} restored, ${there} there already.`);
    if (removed.length === 0) return;
    const names = removed.slice(0, NAMED).map((title) => `“${title}”`);
    const more = removed.length > NAMED ? ` and ${removed.length - NAMED} more` : '';
    console.log(
      `${removed.length} of them ${removed.length === 1 ? 'lies' : 'lie'} among the removed models: ${names.join(', ')}${more}. ` +
        'Run it again with --bring-back to have them back, or take them back on the projects page.',
    );
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
