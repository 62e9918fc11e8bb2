import { routeHandler } from '../../../../../server/route-handler';
import { jobAt, jobResult } from '../../../../../server/work/answer';

export { notAllowed as POST, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../../../server/respond';

/** The file of a job, once it is done. */
export const GET = routeHandler<{ readonly params: Promise<{ readonly id: string }> }>(async (_, { params }) => {
  const job = jobAt((await params).id);
  return job instanceof Response ? job : jobResult(job);
});
