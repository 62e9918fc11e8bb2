import { modelHandler } from '../../../../server/route-handler';
import { changeModel, openModel, removeModel } from '../../../../server/models';
import { readRequest } from '../../../../server/read-request';
import { ChangeModelRequest } from '../../../../server/requests';
import { badRequest, etagOf, notFound, ok, unchanged } from '../../../../server/respond';
import { route as WORDS } from '../../../words';

export { notAllowed as POST, notAllowed as PUT } from '../../../../server/respond';

/** What is stored, with its revision as its tag. */
export const GET = modelHandler(async (request, id) => {
  const model = await openModel(id);
  if (!model) return notFound(WORDS.noModel);
  const { revision } = model;
  return request.headers.get('if-none-match') === etagOf(revision) ? unchanged(revision) : ok(model, revision);
});

export const PATCH = modelHandler(async (request, id) => {
  const read = await readRequest(request, ChangeModelRequest);
  if (!read.ok) return read.response;
  const faults = await changeModel(id, read.value);
  return faults.length === 0 ? ok({}) : badRequest(faults);
});

/** Once, it goes among what was removed; twice, for good. */
export const DELETE = modelHandler(async (_, id) => ((await removeModel(id)) ? ok({}) : notFound(WORDS.noModel)));
