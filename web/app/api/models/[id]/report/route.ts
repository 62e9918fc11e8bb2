import { modelHandler } from '../../../../../server/route-handler';
import { ReportQuery, reportWork } from '../../../../../server/file-queries';
import { readQuery } from '../../../../../server/query';
import { madeFile } from '../../../../../server/work/answer';

export { notAllowed as POST, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../../../server/respond';

/** A calculation report. */
export const GET = modelHandler(async (request, id) => {
  const query = await readQuery(request, ReportQuery);
  return query.ok ? madeFile(request, id, reportWork(query.value)) : query.response;
});
