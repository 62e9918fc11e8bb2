import { routeHandler } from '../../../server/route-handler';
import { notFound } from '../../../server/respond';
import { route as WORDS } from '../../words';

/** What no other route answers. */
const nothing = routeHandler(() => Promise.resolve(notFound(WORDS.nothingAtThisAddress)));
export { nothing as GET, nothing as POST, nothing as PUT, nothing as PATCH, nothing as DELETE };
