import { modelHandler } from '../../../../../server/route-handler';
import { DrawingQuery, drawingWork } from '../../../../../server/file-queries';
import { readQuery } from '../../../../../server/query';
import { madeFile } from '../../../../../server/work/answer';

export { notAllowed as POST, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../../../server/respond';

/** A drawing on paper, true to scale. */
export const GET = modelHandler(async (request, id) => {
  const query = await readQuery(request, DrawingQuery);
  return query.ok ? madeFile(request, id, drawingWork(query.value)) : query.response;
});
