import { fault, type Notice } from '@rigid-beam/core/model/notice';
import { problems, type ProblemStatus } from './problems';

const NOT_KEPT = { 'Cache-Control': 'no-store' };

const json = (body: unknown, status: number, headers: Record<string, string> = {}): Response =>
  Response.json(body, { status, headers: { ...NOT_KEPT, ...headers } });

/** The revision of a model, as an answer names it. */
export const etagOf = (revision: number): string => `"${revision}"`;
const revised = (revision: number | undefined): Record<string, string> =>
  revision === undefined ? {} : { ETag: etagOf(revision) };

export const ok = (body: unknown, revision?: number): Response => json(body, 200, revised(revision));
export const created = (body: unknown, revision?: number): Response => json(body, 201, revised(revision));
/** Begun, and not done yet: where it is asked after. */
export const accepted = (body: unknown, location: string): Response =>
  json(body, 202, { Location: location, 'Retry-After': '1' });
export const unchanged = (revision: number): Response =>
  new Response(null, { status: 304, headers: { ...NOT_KEPT, ...revised(revision) } });

/** A refusal as problem details (RFC 9457): every fault at once, and nothing was stored. */
export function problem(
  status: ProblemStatus,
  faults: readonly Notice[],
  more: Readonly<Record<string, unknown>> = {},
  headers: Record<string, string> = {},
): Response {
  const { name, title } = problems[status];
  const detail = faults.map(({ message }) => message).join(' ');
  const body = { type: `/api-reference#${name}`, title, status, detail, ...more, faults };
  return json(body, status, { 'Content-Type': 'application/problem+json', ...headers });
}

export const badRequest = (faults: readonly Notice[]): Response => problem(400, faults);

const refusal = (
  status: ProblemStatus,
  {
    code,
    what,
    expected,
    remedy,
  }: { readonly code: string; readonly what: string; readonly expected: string; readonly remedy: string },
  headers: Record<string, string> = {},
): Response => problem(status, [fault({ code, path: '', value: undefined, what, expected, remedy })], {}, headers);

export const notFound = (what: string): Response =>
  refusal(404, { code: 'not-found', what, expected: 'something that exists', remedy: 'Go back to the projects page' });

export const badId = (): Response =>
  refusal(404, {
    ...{ code: 'not-found', what: 'This is not the id of a model', expected: 'letters and digits' },
    remedy: 'Go back to the projects page',
  });

/** Another edit came first; what it was stands beside. 412 where the sender named the revision as a condition. */
export const conflict = (
  {
    revision,
    since,
  }: { readonly revision: number; readonly since: readonly { readonly number: number; readonly label: string }[] },
  status: 409 | 412 = 409,
): Response => {
  const others = since.map(({ label }) => `“${label}”`).join(', ');
  const what = `The model was changed meanwhile${others === '' ? '' : `: ${others}`}`;
  const remedy = 'Read it anew, and send the edit on top of it';
  const told = fault({
    code: 'changed-meanwhile',
    path: 'base',
    value: undefined,
    what,
    expected: `revision ${revision}`,
    remedy,
  });
  return problem(status, [told], { revision, since }, revised(revision));
};

/** No token, or one that is not known. */
export const unknownCaller = (what: string): Response =>
  refusal(
    401,
    { code: 'no-access', what, expected: 'a token', remedy: 'See /api-reference' },
    { 'WWW-Authenticate': 'Bearer realm="Rigid Beam"' },
  );

/** Another host or origin. */
export const refusedCaller = (what: string): Response =>
  refusal(403, {
    code: 'refused',
    what: what.replace(/\.$/, ''),
    expected: 'a request of this machine',
    remedy: 'Use the page that Rigid Beam shows',
  });

export const tooLargeBody = (limit: number): Response =>
  refusal(413, {
    code: 'too-large',
    what: `What was sent is larger than the ${(limit / 1024 / 1024).toFixed(0)} MiB that are taken at once`,
    expected: `at most ${limit} bytes`,
    remedy: 'Send less at once: split the structure, or use a smaller picture',
  });

/** What no route does with what stands at an address. */
export const notAllowed = (): Response =>
  refusal(405, {
    code: 'wrong-method',
    what: 'This cannot be done at this address',
    expected: 'a method that this address takes',
    remedy: 'Read with GET; what can be changed is changed by POST or DELETE',
  });

/** More is under way than is taken at once. */
export const tooManyJobs = (most: number): Response =>
  refusal(
    429,
    {
      code: 'too-many-jobs',
      what: `${most} jobs wait already`,
      expected: 'fewer of them',
      remedy: 'Wait until some are done, or cancel what is not needed',
    },
    { 'Retry-After': '5' },
  );

/** The server failed; its log tells more under this number. */
export const failed = (number: string): Response =>
  refusal(500, {
    code: 'failed',
    what: `The server failed, and nothing was stored (number ${number} in its log)`,
    expected: 'an answer',
    remedy: 'Try again',
  });

/** The server cannot store for the time being. */
export const unavailable = (what: string): Response =>
  refusal(503, { code: 'unavailable', what, expected: 'room on the disk', remedy: 'It goes on by itself when there is room' });
