import { writeModelFile } from '@rigid-beam/core/formats/model-file';
import { openModel } from '../../../../../server/models';
import { notFound } from '../../../../../server/respond';

type Context = { readonly params: Promise<{ readonly id: string }> };

/** The model as a file to keep. */
export async function GET(_: Request, { params }: Context): Promise<Response> {
  const opened = await openModel((await params).id);
  if (!opened) return notFound('There is no such model');
  const name =
    opened.model.title
      .replace(/[^A-Za-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .toLowerCase() || 'model';
  return new Response(writeModelFile(opened.model), {
    headers: {
      'Content-Type': 'application/json; charset=utf-8',
      'Content-Disposition': `attachment; filename="${name}.rbm.json"`,
      'Cache-Control': 'no-store',
    },
  });
}
