import { modelHandler } from '../../../../server/route-handler';
import { changeProject, removeProject } from '../../../../server/projects';
import { readRequest } from '../../../../server/read-request';
import { ChangeProjectRequest } from '../../../../server/requests';
import { badRequest, notFound, ok } from '../../../../server/respond';
import { route as WORDS } from '../../../words';

export { notAllowed as GET, notAllowed as POST, notAllowed as PUT } from '../../../../server/respond';

export const PATCH = modelHandler(async (request, id) => {
  const read = await readRequest(request, ChangeProjectRequest);
  if (!read.ok) return read.response;
  return (await changeProject(id, read.value)) ? ok({}) : notFound(WORDS.noProject);
});

export const DELETE = modelHandler(async (_, id) => {
  const faults = await removeProject(id);
  return faults.length === 0 ? ok({}) : badRequest(faults);
});
