import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validate, type ValidationError } from 'class-validator';
import { fault, type Notice } from '@rigid-beam/core/model/notice';
import { badRequest, tooLargeBody } from './respond';

export type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly response: Response };

const MAXIMUM_DEPTH = 24;

/** Reads a body of at most `limit` bytes as text; undefined when it is longer. */
export const readText = async (request: Request, limit: number): Promise<string | undefined> =>
  (await readBytes(request, limit))?.toString('utf8');

/** Reads a body of at most `limit` bytes; undefined when it is longer. */
export async function readBytes(request: Request, limit: number): Promise<Buffer | undefined> {
  if (Number(request.headers.get('content-length') ?? 0) > limit) return undefined;
  const reader = request.body?.getReader();
  if (!reader) return Buffer.alloc(0);
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
  return Buffer.concat(chunks);
}

interface Reading {
  /** Bytes of the body. */
  readonly limit?: number;
  /** What is said in headers: it counts where the body does not say it. */
  readonly said?: object;
}

/** Reads a JSON body into a request class and validates it: all faults come back together as a 400. */
export async function readRequest<T extends object>(
  request: Request,
  type: ClassConstructor<T>,
  { limit = 1_000_000, said = {} }: Reading = {},
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
  return validated({ ...said, ...body }, type);
}

/** The same of what is read already. */
export async function validated<T extends object>(body: object, type: ClassConstructor<T>): Promise<Read<T>> {
  const trouble = unfitPart(body, MAXIMUM_DEPTH);
  if (trouble) return refused(trouble, 'Send a JSON object of the documented form');
  let errors: ValidationError[];
  try {
    errors = await validate(plainToInstance(type, withoutInherited(body) as object), {
      whitelist: true,
      forbidNonWhitelisted: true,
      forbidUnknownValues: true,
    });
  } catch {
    // The library meets something where it expected an object.
    return refused('A part of the body has not the form that is expected', 'Send objects where objects are expected');
  }
  if (errors.length > 0) return { ok: false, response: badRequest(errors.flatMap((error) => faultsOf(error, ''))) };
  // What was sent, and not what the library made of it: it loses entries with names that every object has.
  return { ok: true, value: body as T };
}

const refused = (what: string, remedy: string): { ok: false; response: Response } => ({
  ok: false,
  response: badRequest([fault({ code: 'bad-request', path: '', value: undefined, what, expected: 'a JSON object', remedy })]),
});

/** What no request may hold anywhere, in words: what nothing could store or what would go too deep. */
function unfitPart(value: unknown, levels: number): string | undefined {
  if (typeof value === 'string') return value.includes('\0') ? 'A text holds the character NUL' : undefined;
  if (typeof value !== 'object' || value === null) return undefined;
  if (levels === 0) return `The body is nested deeper than ${MAXIMUM_DEPTH} levels`;
  for (const key of Object.keys(value)) {
    if (FORBIDDEN.has(key)) return `The key “${key}” is not allowed`;
    const trouble = unfitPart(key, 1) ?? unfitPart((value as Record<string, unknown>)[key], levels - 1);
    if (trouble) return trouble;
  }
  return undefined;
}

/** The same with other keys where an object has one of its own that all objects inherit: the library would read those in their place. */
function withoutInherited(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutInherited);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, part]) => [key in Object.prototype ? `own ${key}` : key, withoutInherited(part)]),
  );
}

/** Keys that every object has without being given them: reading them would read something else. */
const FORBIDDEN = new Set(['__proto__']);

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
