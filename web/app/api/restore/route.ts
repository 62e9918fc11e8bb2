import { FILE_BYTES } from '@rigid-beam/core/limits';
import { restoreEntry, type BackupEntry } from '../../../db/backup';
import { database } from '../../../db/database';
import { door } from '../../../server/door';
import { readRequest } from '../../../server/read-request';
import { RestoreRequest } from '../../../server/requests';
import { badRequest, ok } from '../../../server/respond';
import { requestTile } from '../../../server/tile-maker';

export { notAllowed as GET, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../server/respond';

/** One entry of a backup. Entries come in the order of the file: what one refers to is there before it. */
export const POST = door(async (request) => {
  const read = await readRequest(request, RestoreRequest, FILE_BYTES);
  if (!read.ok) return read.response;
  const entry = read.value.entry as BackupEntry;
  const result = await restoreEntry(await database(), entry);
  if (result.outcome === 'refused') return badRequest(result.faults);
  if (entry.kind === 'model') requestTile(entry.id);
  return ok(result);
});
