import { modelHandler } from '../../../../../../server/route-handler';
import { TableQuery, tableWork } from '../../../../../../server/file-queries';
import { readQuery } from '../../../../../../server/query';
import { madeFile } from '../../../../../../server/work/answer';

export {
  notAllowed as POST,
  notAllowed as PUT,
  notAllowed as PATCH,
  notAllowed as DELETE,
} from '../../../../../../server/respond';

/** Tables of the model or of its results; several, with commas between their names, as the sheets of one file. */
export const GET = modelHandler(async (request, id, names) => {
  const query = await readQuery(request, TableQuery);
  return query.ok ? madeFile(request, id, tableWork(names, query.value)) : query.response;
});
