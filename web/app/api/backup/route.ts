import { Readable } from 'node:stream';
import { createGzip } from 'node:zlib';
import { backupOf } from '../../../db/backup';
import { database } from '../../../db/database';
import { routeHandler } from '../../../server/route-handler';

export const dynamic = 'force-dynamic';
export { notAllowed as POST, notAllowed as PUT, notAllowed as PATCH, notAllowed as DELETE } from '../../../server/respond';

/** Everything that is stored, as lines of JSON, compressed. Edits go on meanwhile. */
export const GET = routeHandler(async () => {
  const db = await database();
  const lines = async function* (): AsyncGenerator<string> {
    for await (const entry of backupOf(db)) yield `${JSON.stringify(entry)}\n`;
  };
  const body = Readable.from(lines()).pipe(createGzip());
  return new Response(Readable.toWeb(body) as ReadableStream, {
    headers: {
      'Content-Type': 'application/gzip',
      'Content-Disposition': 'attachment; filename="rigid-beam.backup.jsonl.gz"',
      'Cache-Control': 'no-store',
    },
  });
});
