import { firstOptions } from '@rigid-beam/core/formats/format';
import { fileNameOf, writable, written } from '@rigid-beam/core/formats/registry';
import { fault } from '@rigid-beam/core/model/notice';
import { modelHandler } from '../../../../../server/route-handler';
import { openModel } from '../../../../../server/models';
import { readQuery } from '../../../../../server/query';
import { FileQuery } from '../../../../../server/requests';
import { badRequest, notFound } from '../../../../../server/respond';
import { route as WORDS } from '../../../../words';

export { notAllowed as POST, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../../../server/respond';

/** Formats that are written of a model alone; what takes an analysis is made in the browser's own worker. */
const served = writable.filter(({ writer }) => writer.needs === 'model');

/** The model as a file to keep, in the format that `format` names. */
export const GET = modelHandler(async (request, id) => {
  const query = await readQuery(request, FileQuery);
  if (!query.ok) return query.response;
  const wanted = query.value.format ?? 'model';
  const format = served.find(({ id }) => id === wanted);
  if (!format)
    return badRequest([
      fault({
        code: 'wrong-choice',
        path: 'format',
        value: wanted,
        what: WORDS.notInThisFormat,
        expected: WORDS.formatOfModels,
        remedy: WORDS.askForOneOf(served.map(({ id }) => id).join(', ')),
      }),
    ]);
  const opened = await openModel(id);
  if (!opened) return notFound(WORDS.noModel);
  return new Response(new Blob([...written(format, opened.model, firstOptions(format.writer))] as BlobPart[]), {
    headers: {
      'Content-Type': `${format.mediaType}; charset=utf-8`,
      'Content-Disposition': `attachment; filename="${fileNameOf(opened.model, format)}"`,
      'Cache-Control': 'no-store',
    },
  });
});
