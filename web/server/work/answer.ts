import { createReadStream, statSync } from 'node:fs';
import { Readable } from 'node:stream';
import { fileNameOf } from '@rigid-beam/core/formats/registry';
import { fault } from '@rigid-beam/core/model/notice';
import { openModel } from '../models';
import { isId } from '../new-id';
import { accepted, badId, etagOf, failed, notFound, problem, tooManyJobs, unchanged } from '../respond';
import { jobs, MOST_WAITING, type Job } from './jobs';
import type { AskedWork } from './asked-work';

/** Milliseconds for which an answer is waited for unless the request prefers others, and at most. */
const USUAL_WAIT = 5000;
const LONGEST_WAIT = 60_000;

/** `Prefer: wait=10` (RFC 7240), in milliseconds. */
function waitOf(headers: Headers): number {
  const [, seconds] = /(?:^|[,;\s])wait\s*=\s*(\d{1,4})(?:$|[,;\s])/i.exec(headers.get('prefer') ?? '') ?? [];
  return seconds === undefined ? USUAL_WAIT : Math.min(LONGEST_WAIT, 1000 * Number(seconds));
}

/** A job as it is told. */
export const toldJob = ({ id, model, revision, what, state, stage, bytes, file, refusal }: Job) => ({
  ...{ id, model, revision, what, state },
  ...(stage && { stage }),
  bytes,
  ...(file && { result: `/api/jobs/${id}/result`, mediaType: file.mediaType.split(';')[0]!, notes: file.notes }),
  ...(refusal && { faults: faultsOf(refusal) }),
});

const faultsOf = (refusal: NonNullable<Job['refusal']>) =>
  'words' in refusal
    ? [fault({ code: 'not-made', path: '', value: undefined, what: refusal.words.replace(/\.$/, ''), expected: 'something that the model has', remedy: 'Ask for something else' })] // oxfmt-ignore
    : refusal.notices;

/** The file of a job that is done; else what became of it, or the job where it goes on. */
export function jobResult(job: Job): Response {
  const { state, file, refusal, id, revision, title } = job;
  if (refusal) return problem(422, faultsOf(refusal));
  if (state === 'failed') return failed(id);
  if (state === 'cancelled') return notFound('The job was cancelled');
  if (!file) return accepted(toldJob(job), `/api/jobs/${id}`);
  const headers = {
    'Content-Type': file.mediaType,
    'Content-Length': String(statSync(/* turbopackIgnore: true */ file.path).size),
    'Content-Disposition': `attachment; filename="${fileNameOf({ title }, file)}"`,
    'Content-Location': `/api/jobs/${id}/result`,
    'Cache-Control': 'no-store',
    ETag: etagOf(revision),
  };
  return new Response(Readable.toWeb(createReadStream(/* turbopackIgnore: true */ file.path)) as ReadableStream, { headers });
}

/** A file of a model that takes an analysis or drawing: itself where it is made in time, else the job that makes it. */
export async function madeFile(request: Request, id: string, work: AskedWork): Promise<Response> {
  const opened = await openModel(id);
  if (!opened) return notFound('There is no such model');
  const { revision, model: content } = opened;
  if (request.headers.get('if-none-match') === etagOf(revision)) return unchanged(revision);
  const begun = jobs().begin({ id, revision, content }, work);
  if (!begun) return tooManyJobs(MOST_WAITING);
  return jobResult((await jobs().ended(begun.id, waitOf(request.headers))) ?? begun);
}

/** The job of an address, or why there is none. */
export function jobAt(id: string): Job | Response {
  if (!isId(id)) return badId();
  return jobs().find(id) ?? notFound('There is no such job: it was cancelled, or its file was not kept any longer');
}
