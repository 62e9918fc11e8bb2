import { routeHandler } from '../../../../server/route-handler';
import { ok } from '../../../../server/respond';
import { jobAt, toldJob } from '../../../../server/work/answer';
import { jobs } from '../../../../server/work/jobs';

export { notAllowed as POST, notAllowed as PUT, notAllowed as PATCH } from '../../../../server/respond';

interface WithId {
  readonly params: Promise<{ readonly id: string }>;
}

/** What became of a job so far. */
export const GET = routeHandler<WithId>(async (_, { params }) => {
  const job = jobAt((await params).id);
  return job instanceof Response ? job : ok(toldJob(job));
});

/** Ends it, or forgets its file. */
export const DELETE = routeHandler<WithId>(async (_, { params }) => {
  const job = jobAt((await params).id);
  if (job instanceof Response) return job;
  jobs().cancel(job.id);
  return ok({});
});
