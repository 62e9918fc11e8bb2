import { openApi } from '../../../server/description/document';
import { routeHandler } from '../../../server/route-handler';
import { ok } from '../../../server/respond';

export const dynamic = 'force-dynamic';
export { notAllowed as POST, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../server/respond';

/** How the interface is asked and answers. */
export const GET = routeHandler(() => Promise.resolve(ok(openApi())));
