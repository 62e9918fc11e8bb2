import { routeHandler } from '../../../server/route-handler';
import { createProject } from '../../../server/projects';
import { readRequest } from '../../../server/read-request';
import { CreateProjectRequest } from '../../../server/requests';
import { created, ok } from '../../../server/respond';
import { projectTiles } from '../../../server/tiles';

export const dynamic = 'force-dynamic';
export { notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../server/respond';

/** All projects with their models, without drawings. */
export const GET = routeHandler(async () =>
  ok({
    projects: (await projectTiles()).map(({ models, removed: _, ...project }) => ({
      ...project,
      models: models.map(({ id, title, changed, words }) => ({ id, title, changed, words })),
    })),
  }),
);

export const POST = routeHandler(async (request) => {
  const read = await readRequest(request, CreateProjectRequest);
  return read.ok ? created({ id: await createProject(read.value.name, read.value.number) }) : read.response;
});
