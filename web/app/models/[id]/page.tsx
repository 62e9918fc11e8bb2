import type { Metadata } from 'next';
import { cache } from 'react';
import { notFound } from 'next/navigation';
import { openModel } from '../../../server/models';
import { Workspace } from '../../../workspace/Workspace';

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

/** Read once for the title and the page. */
const opened = cache(openModel);

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const model = await opened((await params).id);
  return { title: model ? `${model.model.title || 'Untitled'} · Rigid Beam` : 'No such model · Rigid Beam' };
}

export default async function ModelPage({ params }: Props) {
  const model = await opened((await params).id);
  if (!model) notFound();
  return <Workspace opened={model} />;
}
