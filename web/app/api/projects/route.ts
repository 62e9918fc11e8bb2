import { door } from '../../../server/door';
import { ok } from '../../../server/respond';
import { projectTiles } from '../../../server/tiles';

export const dynamic = 'force-dynamic';
export { notAllowed as POST, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../server/respond';

/** All projects with their models, without drawings. */
export const GET = door(async () =>
  ok({
    projects: (await projectTiles()).map(({ models, ...project }) => ({
      ...project,
      models: models.map(({ id, title, changed, words }) => ({ id, title, changed, words })),
    })),
  }),
);
