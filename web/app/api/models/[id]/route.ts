import { modelDoor } from '../../../../server/door';
import { openModel, removeModel } from '../../../../server/models';
import { notFound, ok } from '../../../../server/respond';

export { notAllowed as POST, notAllowed as PUT, notAllowed as PATCH } from '../../../../server/respond';

export const GET = modelDoor(async (_, id) => {
  const model = await openModel(id);
  return model ? ok(model) : notFound('There is no such model');
});

export const DELETE = modelDoor(async (_, id) => ((await removeModel(id)) ? ok({}) : notFound('There is no such model')));
