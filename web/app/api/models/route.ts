import { FILE_BYTES } from '@rigid-beam/core/limits';
import { formatOfName } from '@rigid-beam/core/formats/registry';
import { createModel } from '../../../server/models';
import { readRequest } from '../../../server/read-request';
import { CreateModelRequest } from '../../../server/requests';
import { badRequest, created } from '../../../server/respond';

export async function POST(request: Request): Promise<Response> {
  const read = await readRequest(request, CreateModelRequest, FILE_BYTES + 1024);
  if (!read.ok) return read.response;
  const { project, title, file: text, fileName = '' } = read.value;
  const file = text === undefined ? undefined : { text, format: formatOfName(fileName) };
  const result = await createModel(project, title, file);
  return result.ok ? created({ id: result.id }) : badRequest(result.faults);
}
