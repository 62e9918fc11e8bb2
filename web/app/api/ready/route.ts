import { database } from '../../../db/database';
import { door } from '../../../server/door';
import { ok } from '../../../server/respond';

export const dynamic = 'force-dynamic';

/** Whether the server can be used: its database is open. Nothing else is asked of it, and no model. */
export const GET = door(async () => {
  await database();
  return ok({ ready: true });
});
