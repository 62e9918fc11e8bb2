import { FILE_BYTES } from '@rigid-beam/core/limits';
import { routeHandler } from '../../../server/route-handler';
import { readRequest } from '../../../server/read-request';
import { RestoreRequest } from '../../../server/requests';
import { badRequest, ok } from '../../../server/respond';
import { bringLine, type BroughtLine } from '../../../server/restoring';

export { notAllowed as GET, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../server/respond';

/** One line of a backup, in the order of the file. */
export const POST = routeHandler(async (request) => {
  const read = await readRequest(request, RestoreRequest, { limit: FILE_BYTES });
  if (!read.ok) return read.response;
  const result = await bringLine(read.value as BroughtLine);
  return result.outcome === 'refused' ? badRequest(result.faults) : ok(result);
});
