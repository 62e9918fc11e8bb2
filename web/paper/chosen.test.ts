import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { reordered } from '../ui/ordered';
import { keepChoice, keptChoice, withSheets, type ListedSheet } from './chosen';

const SCREEN: ListedSheet = { key: 'screen', is: 'view' };

describe('how a model is put on paper', () => {
  const kept = new Map<string, string>();
  beforeEach(() => {
    Object.assign(globalThis, { localStorage: { getItem: (key: string) => kept.get(key) ?? null, setItem: (key: string, text: string) => kept.set(key, text) } }); // oxfmt-ignore
  });
  afterEach(() => {
    kept.clear();
    delete (globalThis as { localStorage?: unknown }).localStorage;
  });
  const project = { project: 'Garden', number: 'G-04' };

  test('begins with what its project is called, and is there again by model', () => {
    expect(keptChoice('one', project)).toMatchObject({ paper: 'A3', scale: '', said: project });
    const chosen = { ...keptChoice('one', project), paper: 'A1', scale: '1:20', dots: 300, said: { ...project, revision: 'B' } } as const; // oxfmt-ignore
    keepChoice('one', chosen);
    expect(keptChoice('one', project)).toEqual(chosen);
    expect(keptChoice('two', project)).toMatchObject({ paper: 'A3', said: project });
  });

  test('takes nothing else that somebody kept there', () => {
    const first = keptChoice('one', project);
    for (const text of [
      'no JSON',
      'null',
      '[]',
      '{"paper":"A9","scale":"2:1","dots":1e9,"inks":3,"said":{"date":5,"other":"x"}}',
    ]) {
      kept.set('rigid-beam:paper:one', text);
      expect(keptChoice('one', project)).toEqual(first);
    }
  });
});

test('further sheets come behind those that are there, each once', () => {
  const one = withSheets([SCREEN], 'loads', ['G', 'S']);
  expect(one.map(({ key }) => key)).toEqual(['screen', 'loads G', 'loads S']);
  expect(withSheets(one, 'loads', ['S', 'W']).map(({ key }) => key)).toEqual(['screen', 'loads G', 'loads S', 'loads W']);
  expect(withSheets(one, 'geometry', [undefined]).at(-1)).toMatchObject({ subject: 'geometry', outcome: undefined });
});

test('what is moved stands beside what it was dropped at, and nothing is lost or doubled', () => {
  expect(reordered(['a', 'b', 'c', 'd'], new Set(['d']), 'a', 'after')).toEqual(['a', 'd', 'b', 'c']);
  expect(reordered(['a', 'b', 'c', 'd'], new Set(['a', 'c']), 'd', 'before')).toEqual(['b', 'a', 'c', 'd']);
  const keys = fc.uniqueArray(fc.stringMatching(/^[a-z]{1,3}$/), { minLength: 2, maxLength: 9 });
  fc.assert(
    fc.property(keys, fc.nat(), fc.nat(), fc.boolean(), (all, from, to, isBefore) => {
      const [moved, beside] = [all[from % all.length]!, all[to % all.length]!];
      fc.pre(moved !== beside);
      const order = reordered(all, new Set([moved]), beside, isBefore ? 'before' : 'after');
      expect([...order].sort()).toEqual([...all].sort());
      expect(order.indexOf(moved) - order.indexOf(beside)).toBe(isBefore ? -1 : 1);
    }),
  );
});
