import { firstOptions } from '@rigid-beam/core/formats/format';
import { fileNameOf, writable, written } from '@rigid-beam/core/formats/registry';
import { modelHandler } from '../../../../../server/route-handler';
import { openModel } from '../../../../../server/models';
import { readQuery } from '../../../../../server/query';
import { FileQuery } from '../../../../../server/requests';
import { notFound } from '../../../../../server/respond';
import { madeFile } from '../../../../../server/work/answer';
import { route as WORDS } from '../../../../words';

export { notAllowed as POST, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../../../server/respond';

/** The model as a file to keep, in the format that `format` names; one that takes an analysis is a job. */
export const GET = modelHandler(async (request, id) => {
  const query = await readQuery(request, FileQuery);
  if (!query.ok) return query.response;
  const format = writable.find(({ id: one }) => one === (query.value.format ?? 'model'))!;
  if (format.writer.needs === 'analysis') return madeFile(request, id, { what: 'file', asked: { format: format.id } });
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
