import { FILE_BYTES } from '@rigid-beam/core/limits';
import { formatOfName } from '@rigid-beam/core/formats/registry';
import { door } from '../../../server/door';
import { createModel, type GivenFile } from '../../../server/models';
import { readRequest, readText, validated } from '../../../server/read-request';
import { CreateModelRequest, GivenFileRequest } from '../../../server/requests';
import { badRequest, created, tooLargeBody } from '../../../server/respond';

export { notAllowed as GET, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../server/respond';

/** A new model: empty, from a JSON body that names project and title; or from a file, which is the body as it is. */
export const POST = door(async (request) => {
  const isFile = !(request.headers.get('content-type') ?? '').startsWith('application/json');
  return isFile ? fromFile(request) : empty(request);
});

async function empty(request: Request): Promise<Response> {
  const read = await readRequest(request, CreateModelRequest);
  return read.ok ? answer(read.value.project, read.value.title, undefined) : read.response;
}

/** Project and name of the file stand in the address. */
async function fromFile(request: Request): Promise<Response> {
  const query = await validated(Object.fromEntries(new URL(request.url).searchParams), GivenFileRequest);
  if (!query.ok) return query.response;
  const text = await readText(request, FILE_BYTES);
  if (text === undefined) return tooLargeBody(FILE_BYTES);
  return answer(query.value.project, undefined, { text, format: formatOfName(query.value.fileName) });
}

async function answer(project: string, title: string | undefined, file: GivenFile | undefined): Promise<Response> {
  const result = await createModel(project, title, file);
  return result.ok ? created({ id: result.id }) : badRequest(result.faults);
}
