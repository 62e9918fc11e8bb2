import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validate, type ValidationError } from 'class-validator';
import { fault, type Notice } from '@rigid-beam/core/model/notice';
import { badRequest, tooLargeBody } from './respond';

export type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly response: Response };

const MAXIMUM_DEPTH = 24;

/** Reads a body of at most `limit` bytes as text; undefined when it is longer. */
export async function readText(request: Request, limit: number): Promise<string | undefined> {
  if (Number(request.headers.get('content-length') ?? 0) > limit) return undefined;
  const reader = request.body?.getReader();
  if (!reader) return '';
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.length;
    if (size > limit) {
      await reader.cancel();
      return undefined;
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks).toString('utf8');
}

/** Reads a JSON body into a request class and validates it: all faults come back together as a 400. */
export async function readRequest<T extends object>(
  request: Request,
  type: ClassConstructor<T>,
  limit = 1_000_000,
): Promise<Read<T>> {
  const text = await readText(request, limit);
  if (text === undefined) return { ok: false, response: tooLargeBody(limit) };
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    return refused('The body is not valid JSON', 'Send a JSON object');
  }
  if (typeof body !== 'object' || body === null || Array.isArray(body))
    return refused('The body is not an object', 'Send a JSON object');
  if (tooDeep(body, MAXIMUM_DEPTH)) return refused('The body is nested too deep', `Use at most ${MAXIMUM_DEPTH} levels`);
  const value = plainToInstance(type, body);
  const errors = await validate(value, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  if (errors.length > 0) return { ok: false, response: badRequest(errors.flatMap((error) => faultsOf(error, ''))) };
  return { ok: true, value };
}

const refused = (what: string, remedy: string): { ok: false; response: Response } => ({
  ok: false,
  response: badRequest([fault({ code: 'bad-request', path: '', value: undefined, what, expected: 'a JSON object', remedy })]),
});

function tooDeep(value: unknown, levels: number): boolean {
  if (typeof value !== 'object' || value === null) return false;
  return levels === 0 || Object.values(value).some((part) => tooDeep(part, levels - 1));
}

function faultsOf(error: ValidationError, parent: string): Notice[] {
  const path = /^\d+$/.test(error.property)
    ? `${parent}[${error.property}]`
    : parent
      ? `${parent}.${error.property}`
      : error.property;
  const own = Object.values(error.constraints ?? {}).map((message) =>
    fault({
      code: 'bad-request',
      path,
      value: error.value as unknown,
      what: message.charAt(0).toUpperCase() + message.slice(1),
      expected: message,
      remedy: 'Correct this value',
    }),
  );
  return [...own, ...(error.children ?? []).flatMap((child) => faultsOf(child, path))];
}
