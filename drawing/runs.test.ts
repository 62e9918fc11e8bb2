import { expect, test } from '@jest/globals';
import { saidOnce, withNeighbours } from './runs';
import { lintelModel } from './test/demo';

const said = (text: string, ...nodes: string[]) => ({ text, nodes });

test('of a run of equal things that touch, the middle one says it for all; what differs or lies apart says its own', () => {
  const found = saidOnce([
    said('6', '1', '2'),
    said('6', '2', '3'),
    said('6', '3', '4'),
    said('7', '4', '5'),
    said('6', '8', '9'),
  ]);
  expect(found.map(({ nodes, alike }) => [nodes.join(), alike.length])).toEqual([
    ['2,3', 3],
    ['4,5', 1],
    ['8,9', 1],
  ]);
});

test('the one that speaks says it', () => {
  const [one] = saidOnce([{ ...said('6', '1', '2'), speaks: true }, said('6', '2', '3'), said('6', '3', '4')]);
  expect(one!.nodes).toEqual(['1', '2']);
});

test('things of nodes are one run where a member joins them and they say the same', () => {
  const at = (node: string, text: string) => ({ node, text });
  const of = (...all: { node: string; text: string }[]) => saidOnce(withNeighbours(lintelModel, all)).map(({ node }) => node);
  expect(of(at('1', 'x'), at('2', 'x'), at('3', 'y'), at('4', 'x'))).toEqual(['1', '3', '4']);
});
