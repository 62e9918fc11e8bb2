import { beforeAll, expect, test } from '@jest/globals';
import { roller, pin, sketch } from '../test/build';
import { optionsOf } from './format';
import { fileNameOf, formatOf, formatOfName, formats, readable, writable, written } from './registry';

const model = sketch({
  nodes: [['1', 0, 0], ['2', 4, 0]], members: [['a', '1', '2']], supports: [pin('1'), roller('2')],
  loads: [{ type: 'line', member: 'a', from: { wy: -1e3 }, to: { wy: -1e3 } }],
}); // oxfmt-ignore

beforeAll(() => Promise.all(formats.map(({ ready }) => ready?.())));

const textOf = (id: string, said: Readonly<Record<string, string>> = {}): string => {
  const format = writable.find((one) => one.id === id)!;
  const options = optionsOf(format.writer, said);
  if ('fault' in options) return options.fault.message;
  return Buffer.concat([...written(format, model, options.values)].map((part) => Buffer.from(part))).toString();
};

/** What comes back otherwise than it went: what nobody says is left out, places are said by lengths. */
const asRead: Readonly<Record<string, object>> = {
  ifc: { nodes: model.nodes, supports: model.supports, members: model.members },
};

test('formats have ids of their own, each does something, and what can be read is what was written', () => {
  expect(new Set(formats.map(({ id }) => id)).size).toBe(formats.length);
  expect(formats.every((format) => format.reader ?? format.writer)).toBe(true);
  for (const { id, reader } of readable)
    if (writable.some((one) => one.id === id))
      expect(reader.read(Buffer.from(textOf(id))).model).toMatchObject(asRead[id] ?? model);
});

test('results are written of a model, and read back by nobody; their options are checked', () => {
  const results = JSON.parse(textOf('results')) as { results: { Q: { members: { a: { stations: unknown[] } } } } };
  expect(results).toMatchObject({ format: 'rigid-beam/results', status: 'solved' });
  expect(results.results.Q.members.a.stations).toHaveLength(21);
  expect(JSON.parse(textOf('results', { stations: '3', run: 'second-order' }))).toMatchObject({ run: 'second-order', results: { Q: { members: { a: { stations: { length: 3 } } } } } }); // oxfmt-ignore
  expect(textOf('results', { stations: '1.5' })).toMatch(/stations = 1\.5.*Give a whole number from 2 to 10000/);
  expect(textOf('results', { run: 'third-order' })).toMatch(/one of as set, first-order, second-order, natural-modes/);
  expect(textOf('model', { stations: '3' })).toMatch(/Give no options/);
  expect(formatOf('results')!.reader).toBeUndefined();
});

test('a file is known by its name, and named by its model', () => {
  expect(formatOfName('Shed.RBM.json').id).toBe('model');
  expect(formatOfName('whatever.json').id).toBe('model');
  expect(fileNameOf({ title: 'Rain-tank tower, north!' }, formatOf('results')!)).toBe('rain-tank-tower-north.results.json');
  expect(fileNameOf({ title: '…' }, formatOf('model')!)).toBe('model.rbm.json');
});
