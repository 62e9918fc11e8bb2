import type { Metadata } from 'next';
import { cache, Suspense } from 'react';
import { glanceAt, openModel, withoutPictures } from '../../../server/models';
import { PreloadWorkspace } from '../../../workspace/PreloadWorkspace';
import { StoredPicture } from '../../../workspace/StoredPicture';
import { Workspace } from '../../../workspace/Workspace';
import NotFound from '../../not-found';
import { page as WORDS } from '../../words';

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

/** Read once for the title and the page. */
const glance = cache(glanceAt);

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const model = await glance((await params).id);
  return { title: model ? WORDS.titled(model.title || WORDS.untitled) : WORDS.noSuchModelRigidBeam };
}

/** The stored picture goes out at once; the model follows behind it. */
export default async function ModelPage({ params }: Props) {
  const { id } = await params;
  const model = await glance(id);
  // Not by `notFound()`: what Next then makes in the browser from nothing has styles without the nonce that the policy asks for.
  if (!model) return <NotFound />;
  const picture = { title: model.title, projectName: model.projectName, markup: model.markup ?? '' };
  return (
    <>
      <PreloadWorkspace />
      <Suspense fallback={<StoredPicture {...picture} />}>
        <Opened id={id} markup={picture.markup} />
      </Suspense>
    </>
  );
}

async function Opened({ id, markup }: { readonly id: string; readonly markup: string }) {
  const opened = await openModel(id);
  if (!opened) return <NotFound />;
  const { model: whole, ...rest } = opened;
  const { model, pictures } = withoutPictures(whole);
  return <Workspace sent={{ ...rest, content: JSON.stringify(model), pictures }} title={model.title} markup={markup} />;
}
