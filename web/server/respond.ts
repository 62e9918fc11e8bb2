import { fault, type Notice } from '@rigid-beam/core/model/notice';

const json = (body: unknown, status: number): Response =>
  Response.json(body, { status, headers: { 'Cache-Control': 'no-store' } });

export const ok = (body: unknown): Response => json(body, 200);
export const created = (body: unknown): Response => json(body, 201);

/** Bad input: every fault at once, and nothing was stored. */
export const badRequest = (faults: readonly Notice[]): Response => json({ faults }, 400);

const refusal = (status: number, code: string, what: string, expected: string, remedy: string): Response =>
  json({ faults: [fault({ code, path: '', value: undefined, what, expected, remedy })] }, status);

export const notFound = (what: string): Response =>
  refusal(404, 'not-found', what, 'something that exists', 'Go back to the projects page');

export const badId = (): Response =>
  refusal(404, 'not-found', 'This is not the id of a model', 'letters and digits', 'Go back to the projects page');

export const conflict = (body: unknown): Response => json(body, 409);

export const tooLargeBody = (limit: number): Response =>
  refusal(
    413,
    'too-large',
    `What was sent is larger than the ${(limit / 1024 / 1024).toFixed(0)} MiB that are taken at once`,
    `at most ${limit} bytes`,
    'Send less at once: split the structure, or use a smaller picture',
  );

/** What no route does with what stands at an address. */
export const notAllowed = (): Response =>
  refusal(
    405,
    'wrong-method',
    'This cannot be done at this address',
    'a method that this address takes',
    'Read with GET; what can be changed is changed by POST or DELETE',
  );

/** The server failed; its log tells more under this number. */
export const failed = (number: string): Response =>
  refusal(500, 'failed', `The server failed, and nothing was stored (number ${number} in its log)`, 'an answer', 'Try again');

/** The server cannot store for the time being. */
export const unavailable = (what: string): Response =>
  refusal(503, 'unavailable', what, 'room on the disk', 'It goes on by itself when there is room');
