import { modelHandler } from '../../../../../../server/route-handler';
import { openRevision } from '../../../../../../server/models';
import { notFound, ok } from '../../../../../../server/respond';
import { route as WORDS } from '../../../../../words';

export {
  notAllowed as POST,
  notAllowed as PUT,
  notAllowed as PATCH,
  notAllowed as DELETE,
} from '../../../../../../server/respond';

/** The patches of one revision, there and back: a page asks for long ones when it needs them. */
export const GET = modelHandler(async (_, id, number) => {
  const found = /^\d{1,9}$/.test(number) ? await openRevision(id, Number(number)) : undefined;
  return found ? ok(found) : notFound(WORDS.noRevision);
});
