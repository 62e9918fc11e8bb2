import { MAXIMUM_BYTES } from '@rigid-beam/core/formats/model-file';
import { createModel } from '../../../server/models';
import { readRequest } from '../../../server/read-request';
import { CreateModelRequest } from '../../../server/requests';
import { badRequest, created } from '../../../server/respond';

export async function POST(request: Request): Promise<Response> {
  const read = await readRequest(request, CreateModelRequest, MAXIMUM_BYTES + 1024);
  if (!read.ok) return read.response;
  const result = await createModel(read.value.project, read.value.title, read.value.file);
  return result.ok ? created({ id: result.id }) : badRequest(result.faults);
}
