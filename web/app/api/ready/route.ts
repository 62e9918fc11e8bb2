import { database } from '../../../db/database';
import { routeHandler } from '../../../server/route-handler';
import { ok } from '../../../server/respond';

export const dynamic = 'force-dynamic';

/** Whether the server can be used: its database is open. Nothing else is asked of it, and no model. */
export const GET = routeHandler(async () => {
  await database();
  return ok({ ready: true });
});
