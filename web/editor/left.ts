import type { Model } from '@rigid-beam/core/model/model';
import type { Sent } from './opened';
import type { History } from './history';
import { revisionReached, type StorageQueue } from './storage';
import { storedState, withPictures } from './stored';

/** An open model as its page left it, with what was still to be stored. */
export interface Left {
  readonly id: string;
  readonly model: Model;
  readonly history: History;
  readonly queue: StorageQueue;
}

/** The last one: edits go on being stored when their page has been left. */
let left: Left | undefined;
/** Pages that were opened already: the browser's own back brings them as they were first sent. */
const opened = new WeakSet<Sent>();

export const leave = (one: Left): void => void (left = one);

/** What a page is opened with: as it was sent, or as it stands now where that is older; and what was left of it. */
export interface Opening {
  readonly sent: Sent;
  readonly left?: Left | undefined;
}

const isWhole = ({ pictures = [] }: Sent): boolean => pictures.length === 0;

/** The opening of a page that nobody has opened before and that is not older than what this window stored. */
export function firstOpening(sent: Sent): Opening | undefined {
  const isFirst = !opened.has(sent) && sent.revision >= revisionReached(sent.id);
  opened.add(sent);
  if (isFirst && !isWhole(sent)) awaited.add(sent);
  return isFirst && isWhole(sent) ? { sent } : undefined;
}

/** Pages that nobody has opened before, and that wait for their pictures alone. */
const awaited = new WeakSet<Sent>();

/** The opening of a page that comes back: edits that still wait go on; else it is what the server has, or what was left where that is silent. */
export async function openingAgain(sent: Sent): Promise<Opening> {
  const own = left?.id === sent.id ? left : undefined;
  if (awaited.delete(sent)) return { sent: await withPictures(sent) };
  if (own && own.queue.unsent.length > 0) return { sent, left: own };
  const stored = await storedState(sent.id);
  if (typeof stored === 'string') return { sent: own ? sent : await withPictures(sent), left: own };
  const { model, ...rest } = stored;
  return { sent: { ...sent, ...rest, content: JSON.stringify(model), pictures: [] } };
}
