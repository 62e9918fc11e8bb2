import { modelHandler } from '../../../../../server/route-handler';
import { ResultsQuery, resultsWork } from '../../../../../server/file-queries';
import { readQuery } from '../../../../../server/query';
import { madeFile } from '../../../../../server/work/answer';

export { notAllowed as POST, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../../../server/respond';

/** What an analysis finds, as a results file. */
export const GET = modelHandler(async (request, id) => {
  const query = await readQuery(request, ResultsQuery);
  return query.ok ? madeFile(request, id, resultsWork(query.value)) : query.response;
});
