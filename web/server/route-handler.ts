import { randomBytes } from 'node:crypto';
import { dataDirectory } from '@rigid-beam/machine/data-directory';
import { asFullDisk, DiskFullError } from '../db/disk';
import { log } from './log';
import { isId } from './new-id';
import { badId, failed, unavailable } from './respond';
import { jobs } from './work/jobs';

type Handler<Context> = (request: Request, context: Context) => Promise<Response>;

/**
 * What is around every handler. Whatever goes wrong behind it is told: a full disk as such, anything else with a number under which the
 * log says more. No answer is without words.
 */
export const routeHandler =
  <Context>(handler: Handler<Context>): Handler<Context> =>
  async (request, context) => {
    // A program that asks for anything is likely to ask for a file soon.
    if (request.headers.has('authorization')) jobs().warm();
    try {
      return await handler(request, context);
    } catch (error) {
      const full = error instanceof DiskFullError ? error : asFullDisk(error, dataDirectory());
      if (full) return unavailable(full.message);
      const number = randomBytes(4).toString('hex');
      log.error({ number, method: request.method, path: new URL(request.url).pathname, err: error }, 'A request failed');
      return failed(number);
    }
  };

interface WithId {
  readonly params: Promise<{ readonly id: string; readonly number?: string; readonly hash?: string; readonly name?: string }>;
}

/** The same for what belongs to a model, or to one of its revisions or pictures: an id that cannot be one is told before anything is looked up. */
export const modelHandler = (handler: (request: Request, id: string, part: string) => Promise<Response>): Handler<WithId> =>
  routeHandler(async (request, { params }) => {
    const { id, number, hash, name } = await params;
    return isId(id) ? handler(request, id, number ?? hash ?? name ?? '') : badId();
  });
