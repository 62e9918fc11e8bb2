import { database } from '../../../../db/database';
import { deleteModel } from '../../../../db/model-repository';
import { openModel } from '../../../../server/models';
import { notFound, ok } from '../../../../server/respond';

type Context = { readonly params: Promise<{ readonly id: string }> };

export async function GET(_: Request, { params }: Context): Promise<Response> {
  const model = await openModel((await params).id);
  return model ? ok(model) : notFound('There is no such model');
}

export async function DELETE(_: Request, { params }: Context): Promise<Response> {
  const gone = await deleteModel(await database(), (await params).id);
  return gone ? ok({}) : notFound('There is no such model');
}
