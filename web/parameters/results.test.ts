import { expect, test } from '@jest/globals';
import { checkModel } from '@rigid-beam/core/model/check';
import { readMeasure } from '@rigid-beam/core/study/measure';
import walk from '../../examples/canopy-walk.rbm.json';
import rib from '../../examples/glasshouse-rib.rbm.json';
import { rangeAsked, rangeOffered } from './AskedFields';
import { offeredResults } from './results';

test.each([rib, walk])('what is offered can be followed, once each, with the names of the reader', (file) => {
  const model = checkModel(file).model!;
  const offered = offeredResults(model);
  expect(new Set(offered.map(({ id }) => id)).size).toBe(offered.length);
  for (const { id, text } of offered) expect(readMeasure(id, model)).toMatchObject({ text: id, words: text });
  expect(offered.map(({ id }) => id)).toEqual(
    expect.arrayContaining(['movement', 'span ratio', 'mass', 'critical', 'N.largest']),
  );
});

test('a range is that of the parameter, or around its value, or what was typed', () => {
  const rise = { id: 'rise', unit: 'm', value: 4 };
  expect(rangeOffered({ ...rise, from: 2, to: 7, step: 0.1 })).toBe('2 to 7 m by 0.1');
  expect(rangeOffered(rise)).toBe('2 to 8 m');
  expect(rangeOffered({ ...rise, value: -4 })).toBe('-8 to -2 m');
  expect(rangeOffered({ ...rise, value: 0 })).toBe('0 to 1 m');
  expect(rangeAsked({ name: 'rise' }, rise)).toEqual({ from: 2, to: 8 });
  expect(rangeAsked({ name: 'rise', typed: '300 to 400 cm by 50 cm' }, rise)).toEqual({ from: 3, to: 4, step: 0.5 });
  expect(rangeAsked({ name: 'rise', typed: '3 to' }, rise)).toBeUndefined();
});
