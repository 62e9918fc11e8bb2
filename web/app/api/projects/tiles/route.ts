import type { Sorting } from '../../../../projects/arranged';
import { routeHandler } from '../../../../server/route-handler';
import { readQuery } from '../../../../server/query';
import { TilesRequest } from '../../../../server/requests';
import { ok } from '../../../../server/respond';
import { shownTiles } from '../../../../server/tiles';

export const dynamic = 'force-dynamic';
export { notAllowed as POST, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../../server/respond';

/** What the projects page shows, as far down as somebody looks. */
export const GET = routeHandler(async (request) => {
  const query = await readQuery(request, TilesRequest);
  if (!query.ok) return query.response;
  const { search, sorting, count } = query.value;
  return ok(await shownTiles({ search, sorting: sorting as Sorting, count: Number(count) }));
});
