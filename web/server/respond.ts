import { fault, type Notice } from '@rigid-beam/core/model/notice';

const json = (body: unknown, status: number): Response =>
  Response.json(body, { status, headers: { 'Cache-Control': 'no-store' } });

export const ok = (body: unknown): Response => json(body, 200);
export const created = (body: unknown): Response => json(body, 201);

/** Bad input: every fault at once, and nothing was stored. */
export const badRequest = (faults: readonly Notice[]): Response => json({ faults }, 400);

export const notFound = (what: string): Response =>
  json(
    {
      faults: [
        fault({
          code: 'not-found',
          path: '',
          value: undefined,
          what,
          expected: 'something that exists',
          remedy: 'Go back to the projects page',
        }),
      ],
    },
    404,
  );

export const conflict = (body: unknown): Response => json(body, 409);

export const tooLargeBody = (limit: number): Response =>
  json(
    {
      faults: [
        fault({
          code: 'too-large',
          path: '',
          value: undefined,
          what: 'The request is too large',
          expected: `at most ${limit} bytes`,
          remedy: 'Send less at once',
        }),
      ],
    },
    413,
  );
