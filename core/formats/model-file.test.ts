import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkModel } from '../model/check';
import { isFault } from '../model/notice';
import { solve } from '../analysis/session';
import { noticesOf, soundModel } from '../test/faults';
import { mutatedText, mutations } from '../test/mutations';
import { Random } from '../test/random';
import { readModelFile, writeModelFile } from './model-file';

const text = JSON.stringify(soundModel());

describe('model files', () => {
  test('what is written reads back the same', () => {
    const { model } = checkModel(soundModel());
    const written = writeModelFile(model!);
    expect(readModelFile(written)).toMatchObject({ model, notices: [] });
    // One entry of a list to a line.
    expect(written.split('\n').filter((line) => line.startsWith('    {'))).toHaveLength(3 + 2 + 1 + 1 + 3 + 1 + 2 + 1);
  });

  test('a byte order mark does no harm', () => expect(readModelFile(`\uFEFF${text}`).model).toBeDefined());

  test('a truncated file is refused at every length', () => {
    for (let length = 0; length < text.length; length += 7) {
      const { model, notices } = readModelFile(text.slice(0, length));
      expect(model).toBeUndefined();
      expect(notices.some(isFault)).toBe(true);
    }
  });

  test('a file that is not what it was is a model still, or refused with the place of each fault', () => {
    const chance = new Random(3);
    for (let i = 0; i < mutations(300); i++) {
      const { model, notices } = readModelFile(mutatedText(text, chance));
      expect(model !== undefined || notices.some(isFault)).toBe(true);
      for (const { message } of notices.filter(isFault)) expect(message).toMatch(/\S.{8,}/);
      // What is read can be written, and reads as the same.
      const written = model && writeModelFile(model);
      if (written) expect(writeModelFile(readModelFile(written).model!)).toBe(written);
    }
  });

  test('deep nesting is refused before it is parsed', () => {
    const { notices } = readModelFile(`${'['.repeat(100_000)}${']'.repeat(100_000)}`);
    expect(notices[0]).toMatchObject({ code: 'too-deep' });
    // Brackets inside a text are no nesting.
    expect(readModelFile(text.replace('"test"', JSON.stringify('['.repeat(100)))).model).toBeDefined();
  });

  test('too large a file is refused unread', () =>
    expect(readModelFile(' '.repeat(64 * 1024 * 1024 + 1)).notices[0]).toMatchObject({ code: 'too-large' }));

  test('keys that would reach a prototype are refused', () => {
    const poisoned = text.replace('"title":"test"', '"title":"test","__proto__":{"polluted":1}');
    expect(readModelFile(poisoned).notices[0]).toMatchObject({ code: 'unsafe-key', severity: 'error' });
    expect(({} as { polluted?: number }).polluted).toBeUndefined();
  });

  test('any damage to a file is told or harmless: nothing crashes, hangs or passes with a wrong type', () => {
    const junk = fc.oneof(
      fc.constantFrom(
        null,
        true,
        -1,
        0,
        1e308,
        'x',
        '',
        [],
        {},
        ['1'],
        { id: 1 },
        '__proto__',
        'constructor',
        5e-324,
        '3 kN/m',
        -0,
      ),
      fc.jsonValue({ maxDepth: 2 }),
    );
    const paths = collectPaths(soundModel(), []);
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(paths.length - 1), junk), { minLength: 1, maxLength: 4 }), (damages) => {
        const model = soundModel();
        // Copies: a later damage may reach into an earlier one.
        for (const [which, value] of damages) setAt(model, paths[which]!, structuredClone(value));
        const { model: read } = checkModel(JSON.parse(JSON.stringify(model)));
        if (!read) return noticesOf(model).some(isFault);
        const results = solve(read);
        return results.solution
          ? results.solution.responses.every((one) => one.displacements.every(Number.isFinite))
          : results.notices.some(isFault);
      }),
      { numRuns: 1500 },
    );
  });
});

type PathParts = readonly (string | number)[];

function collectPaths(value: unknown, path: PathParts): PathParts[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [
    ...(path.length > 0 ? [path] : []),
    ...Object.entries(value).flatMap(([key, part]) => collectPaths(part, [...path, key])),
  ];
}

function setAt(target: unknown, path: PathParts, value: unknown): void {
  let at = target as Record<string | number, unknown>;
  for (const key of path.slice(0, -1)) {
    const next = at[key];
    if (typeof next !== 'object' || next === null) return;
    at = next as Record<string | number, unknown>;
  }
  Object.defineProperty(at, path.at(-1)!, { value, enumerable: true, configurable: true, writable: true });
}
