import { fault } from '@rigid-beam/core/model/notice';
import type { Checked } from '@rigid-beam/core/model/check';
import { readAsked, type AskedToRead } from './read-asked';
import { Thread } from './thread';

/** What somebody brings is given so many milliseconds and megabytes to be read. */
const LIMIT = 15_000;
const MEMORY = 800;

/** One for the whole process: Next bundles this module more than once. */
const shared = globalThis as typeof globalThis & { rigidBeamReader?: Thread<AskedToRead, Checked> | undefined };

/** Reads what somebody brings, while all others are answered. What takes too long, or too much memory, is refused. */
export async function readForeign(asked: AskedToRead): Promise<Checked> {
  const thread = (shared.rigidBeamReader ??= new Thread({ bundle: 'reader-worker.mjs', limit: LIMIT, memory: MEMORY }));
  if (!thread.isThere) return readAsked(asked);
  const tooMuch = fault({
    code: 'too-much',
    path: '',
    value: undefined,
    what: `It could not be read within ${LIMIT / 1000} s and ${MEMORY} MB`,
    expected: 'a model that can be read in that time',
    remedy: 'Divide the structure, or leave out what is not needed',
  });
  return (await thread.ask(asked)) ?? { notices: [tooMuch] };
}

export const stopReading = async (): Promise<void> => shared.rigidBeamReader?.stop();
