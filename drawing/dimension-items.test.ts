import { describe, expect, test } from '@jest/globals';
import { dimensionItems, levels, showDimension } from './dimension-items';
import { lintelModel, view, labels, paths } from './test/demo';

describe('dimensions', () => {
  test('levels closer than a millimetre are one', () => expect(levels([3, 0, 3.0004, 1])).toEqual([0, 1, 3]));

  test.each([
    [3.6, 'm', '3.60'],
    [4.8125, 'm', '4.813'],
    [12, 'm', '12.00'],
    [3.6, 'mm', '3600'],
    [1.905, 'ft', '6.25'],
    [0.5, 'cm', '50'],
  ])('%p in %s reads %p', (metres, unit, text) => expect(showDimension(metres, unit)).toBe(text));

  test('a string of bays and the whole below it, each a thing to type over', () => {
    const texts = labels(dimensionItems(lintelModel, view));
    expect(texts.map(({ text }) => text)).toEqual(['3.60', '4.80', '1.50', '9.90']);
    expect(texts[1]!.subject).toEqual({ kind: 'dimension', axis: 'x', from: 3.6, to: 8.4 });
  });

  test('bays that differ by a millimetre are told one by one, and never as twice one length', () => {
    const at = (x: number) => ({
      ...lintelModel,
      nodes: lintelModel.nodes.map((node) => (node.id === '3' ? { ...node, x } : node)),
    });
    const bays = (x: number) => labels(dimensionItems(at(x), view)).map(({ text }) => text);
    expect(bays(7.2)).toContain('2 × 3.60');
    expect(bays(7.201).slice(0, 2)).toEqual(['3.60', '3.601']);
  });

  test('narrow bays lose their figure, not their ticks', () => {
    const far = dimensionItems(lintelModel, { ...view, scale: 6 });
    expect(labels(far).map(({ text }) => text)).toEqual(['4.80', '9.90']);
    expect(paths(far)).toHaveLength(paths(dimensionItems(lintelModel, view)).length);
  });
});
