import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { applyRevision } from '../../../../../server/models';
import { readRequest } from '../../../../../server/read-request';
import { RevisionRequest } from '../../../../../server/requests';
import { badRequest, conflict, created, notFound } from '../../../../../server/respond';

const MAXIMUM_EDIT = 16_000_000;

type Context = { readonly params: Promise<{ readonly id: string }> };

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const read = await readRequest(request, RevisionRequest, MAXIMUM_EDIT);
  if (!read.ok) return read.response;
  const { base, edit, kind, label, intent } = read.value;
  const result = await applyRevision((await params).id, base, { edit, kind, label, intent: intent as unknown as Intent });
  switch (result.outcome) {
    case 'stored':
      return created({ revision: result.revision });
    case 'faults':
      return badRequest(result.faults);
    case 'conflict':
      return conflict({ revision: result.revision, since: result.since });
    case 'missing':
      return notFound('There is no such model');
  }
}
