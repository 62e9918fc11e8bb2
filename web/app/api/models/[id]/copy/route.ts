import { modelHandler } from '../../../../../server/route-handler';
import { duplicateModel } from '../../../../../server/models';
import { created, notFound } from '../../../../../server/respond';
import { route as WORDS } from '../../../../words';

export { notAllowed as GET, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../../../server/respond';

/** A copy of the model, in the same project. */
export const POST = modelHandler(async (_, id) => {
  const copy = await duplicateModel(id);
  return copy === undefined ? notFound(WORDS.noModel) : created({ id: copy });
});
