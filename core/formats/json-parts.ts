import type { FilePart } from './format';

/** Entries of an object that are made one after the other, as they are written. Keys may be any text, `__proto__` too. */
export class Entries {
  constructor(readonly all: Iterable<readonly [key: string, value: unknown]>) {}
}

const indented = (value: unknown, pad: string): string => JSON.stringify(value, null, 1).replaceAll('\n', `\n${pad}`);

/**
 * The text that JSON.stringify(value, null, 1) gives, in parts: a file may be longer than any text can be. `Entries` stand for objects, also
 * those inside other `Entries` and at the top of plain objects.
 */
export function* jsonParts(value: unknown, pad = ''): Generator<string> {
  const entries = value instanceof Entries ? value.all : hasEntries(value) ? Object.entries(value) : undefined;
  if (!entries) return yield indented(value, pad);
  let isFirst = true;
  for (const [key, part] of entries) {
    yield `${isFirst ? '{' : ','}\n${pad} ${JSON.stringify(key)}: `;
    yield* jsonParts(part, `${pad} `);
    isFirst = false;
  }
  yield isFirst ? '{}' : `\n${pad}}`;
}

const hasEntries = (value: unknown): value is object =>
  typeof value === 'object' &&
  value !== null &&
  !Array.isArray(value) &&
  Object.values(value).some((part) => part instanceof Entries);

/** The parts of a file, texts joined until they have a length that is worth to be sent on; bytes go as they are. */
export function* joined<Part extends FilePart>(parts: Iterable<Part>, length = 1 << 20): Generator<Part | string> {
  let text = '';
  for (const part of parts) {
    if (typeof part === 'string') text += part;
    if (text !== '' && (typeof part !== 'string' || text.length >= length)) {
      yield text;
      text = '';
    }
    if (typeof part !== 'string') yield part;
  }
  if (text !== '') yield text;
}
