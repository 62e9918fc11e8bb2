import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { ApiReference, type Described } from '../../reference/ApiReference';
import { openApi } from '../../server/description/document';
import { problems } from '../../server/problems';
import { reference as WORDS } from '../words';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: WORDS.title };

/** How programs ask this server, for people to read. */
export default async function ReferencePage() {
  const address = `http://${(await headers()).get('host') ?? ''}`;
  return (
    <ApiReference
      described={openApi() as unknown as Described}
      problems={Object.entries(problems).map(([status, one]) => ({ status, ...one }))}
      example={WORDS.example(address)}
    />
  );
}
