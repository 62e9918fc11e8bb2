import { describeIntent } from '@rigid-beam/core/model/edits/describe-intent';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { FILE_BYTES } from '@rigid-beam/core/limits';
import { modelHandler } from '../../../../../server/route-handler';
import { applyRevision } from '../../../../../server/models';
import { readRequest } from '../../../../../server/read-request';
import { RevisionRequest } from '../../../../../server/requests';
import { badRequest, conflict, created, notFound } from '../../../../../server/respond';
import { route as WORDS } from '../../../../words';

export { notAllowed as GET, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../../../server/respond';

/**
 * One edit. What its sender calls it may stand in the header `Idempotency-Key`, and the revision on which it goes in `If-Match`: where another edit came
 * first that condition has failed (412), else it is a conflict (409).
 */
export const POST = modelHandler(async (request, id) => {
  const key = request.headers.get('idempotency-key');
  const match = /^"(\d{1,10})"$/.exec(request.headers.get('if-match') ?? '');
  const said = { ...(key !== null && { edit: key }), ...(match && { base: Number(match[1]) }) };
  const read = await readRequest(request, RevisionRequest, { limit: FILE_BYTES, said });
  if (!read.ok) return read.response;
  const { base, edit, kind = 'edit', label, intent: sent } = read.value;
  const intent = sent as unknown as Intent;
  const result = await applyRevision(id, base, { edit, kind, label: label ?? describeIntent(intent).slice(0, 200), intent });
  switch (result.outcome) {
    case 'stored':
      return created({ revision: result.revision }, result.revision);
    case 'faults':
      return badRequest(result.faults);
    case 'conflict':
      return conflict({ revision: result.revision, since: result.since }, match ? 412 : 409);
    case 'missing':
      return notFound(WORDS.noModel);
  }
});
