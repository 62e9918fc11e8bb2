import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { FILE_BYTES } from '@rigid-beam/core/limits';
import { modelHandler } from '../../../../../server/route-handler';
import { applyRevision } from '../../../../../server/models';
import { readRequest } from '../../../../../server/read-request';
import { RevisionRequest } from '../../../../../server/requests';
import { badRequest, conflict, created, notFound } from '../../../../../server/respond';
import { route as WORDS } from '../../../../words';

export { notAllowed as GET, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../../../server/respond';

export const POST = modelHandler(async (request, id) => {
  const read = await readRequest(request, RevisionRequest, FILE_BYTES);
  if (!read.ok) return read.response;
  const { base, edit, kind, label, intent } = read.value;
  const result = await applyRevision(id, base, { edit, kind, label, intent: intent as unknown as Intent });
  switch (result.outcome) {
    case 'stored':
      return created({ revision: result.revision });
    case 'faults':
      return badRequest(result.faults);
    case 'conflict':
      return conflict({ revision: result.revision, since: result.since });
    case 'missing':
      return notFound(WORDS.noModel);
  }
});
