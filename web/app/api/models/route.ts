import { FILE_BYTES } from '@rigid-beam/core/limits';
import { formatOfName } from '@rigid-beam/core/formats/registry';
import { routeHandler } from '../../../server/route-handler';
import { createModel, type Begun, type GivenFile } from '../../../server/models';
import { readQuery } from '../../../server/query';
import { readBytes, readRequest } from '../../../server/read-request';
import { CreateModelRequest, GivenFileRequest } from '../../../server/requests';
import { badRequest, created, tooLargeBody } from '../../../server/respond';

export { notAllowed as GET, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../server/respond';

/** A new model: empty, from a JSON body that names project, title and space; or from a file, which is the body as it is. */
export const POST = routeHandler(async (request) => {
  const isFile = !(request.headers.get('content-type') ?? '').startsWith('application/json');
  return isFile ? fromFile(request) : empty(request);
});

async function empty(request: Request): Promise<Response> {
  const read = await readRequest(request, CreateModelRequest);
  if (!read.ok) return read.response;
  const { project, title = '', space = 'plane' } = read.value;
  return answer(project, { title, space });
}

/** Project and name of the file stand in the address. */
async function fromFile(request: Request): Promise<Response> {
  const query = await readQuery(request, GivenFileRequest);
  if (!query.ok) return query.response;
  const file = await readBytes(request, FILE_BYTES);
  if (file === undefined) return tooLargeBody(FILE_BYTES);
  const { project, fileName } = query.value;
  return answer(project, { file, format: formatOfName(fileName), name: fileName.replace(/(\.rbm)?\.[^.]*$/i, '').slice(0, 200) });
}

async function answer(project: string, begun: Begun | GivenFile): Promise<Response> {
  const result = await createModel(project, begun);
  return result.ok
    ? created({ id: result.id, ...(result.notices.length > 0 && { notices: result.notices }) })
    : badRequest(result.faults);
}
