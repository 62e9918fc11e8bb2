import { expect, test } from '@jest/globals';
import { roller, pin, sketch } from '../test/build';
import { fileNameOf, formatOf, formatOfName, formats } from './registry';

const model = sketch({
  nodes: [['1', 0, 0], ['2', 4, 0]], members: [['a', '1', '2']], supports: [pin('1'), roller('2')],
  loads: [{ type: 'line', member: 'a', from: { wy: -1e3 }, to: { wy: -1e3 } }],
}); // oxfmt-ignore

test('formats have ids of their own, and what can be read is what was written', () => {
  expect(new Set(formats.map(({ id }) => id)).size).toBe(formats.length);
  for (const format of formats) if (format.read) expect(format.read([...format.write(model)].join('')).model).toEqual(model);
});

test('results are written of a model, and read back by nobody', () => {
  const written = JSON.parse([...formatOf('results')!.write(model)].join(''));
  expect(written).toMatchObject({ format: 'rigid-beam/results', status: 'solved' });
  expect(written.results.Q.members.a.stations).toHaveLength(21);
  expect(formatOf('results')!.read).toBeUndefined();
});

test('a file is known by its name, and named by its model', () => {
  expect(formatOfName('Shed.RBM.json').id).toBe('model');
  expect(formatOfName('whatever.json').id).toBe('model');
  expect(fileNameOf({ title: 'Rain-tank tower, north!' }, formatOf('results')!)).toBe('rain-tank-tower-north.results.json');
  expect(fileNameOf({ title: '…' }, formatOf('model')!)).toBe('model.rbm.json');
});
