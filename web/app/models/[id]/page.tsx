import { notFound } from 'next/navigation';
import { openModel } from '../../../server/models';
import { Workspace } from '../../../workspace/Workspace';

export default async function ModelPage({ params }: { readonly params: Promise<{ readonly id: string }> }) {
  const opened = await openModel((await params).id);
  if (!opened) notFound();
  return <Workspace opened={opened} />;
}
