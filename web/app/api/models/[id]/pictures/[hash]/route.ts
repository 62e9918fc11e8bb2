import { modelHandler } from '../../../../../../server/route-handler';
import { openPicture } from '../../../../../../server/models';
import { notFound } from '../../../../../../server/respond';
import { route as WORDS } from '../../../../../words';

export {
  notAllowed as POST,
  notAllowed as PUT,
  notAllowed as PATCH,
  notAllowed as DELETE,
} from '../../../../../../server/respond';

/** A picture of a model by what it holds, so that it never changes: the page of the model names it and fetches it once. */
export const GET = modelHandler(async (_, id, hash) => {
  const image = await openPicture(id, hash);
  if (image === undefined) return notFound(WORDS.noPicture);
  return new Response(image, {
    headers: { 'Content-Type': 'text/plain; charset=utf-8', 'Cache-Control': 'private, max-age=31536000, immutable' },
  });
});
