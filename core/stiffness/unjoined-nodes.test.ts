import { expect, test } from '@jest/globals';
import { clamp, sketch } from '../test/build';
import { unjoinedNodes } from './unjoined-nodes';

const found = (nodes: [string, number, number][], members: [string, string, string][]): string[] =>
  unjoinedNodes(sketch({ nodes, members, supports: [clamp('1')] })).map(({ subjects }) => subjects.join(' on '));

test('a node in the middle of a member that does not end there is told', () => {
  const nodes: [string, number, number][] = [
    ['1', 0, 0],
    ['2', 6, 3],
    ['3', 2, 1],
    ['4', 4, 2.01],
    ['5', 8, 4],
  ];
  expect(
    found(nodes, [
      ['a', '1', '2'],
      ['b', '3', '4'],
    ]),
  ).toEqual(['node 3 on member a']);
  expect(found(nodes, [['a', '2', '1']])).toEqual(['node 3 on member a']);
});

test('ends, neighbours in a chain and nodes beyond are not', () => {
  expect(
    found(
      [
        ['1', 0, 0],
        ['2', 3, 0],
        ['3', 6, 0],
      ],
      [
        ['a', '1', '2'],
        ['b', '2', '3'],
      ],
    ),
  ).toEqual([]);
});

test('upright members and members on each other count too', () => {
  expect(
    found(
      [
        ['1', 0, 0],
        ['2', 0, 6],
        ['3', 0, 2],
      ],
      [['a', '2', '1']],
    ),
  ).toEqual(['node 3 on member a']);
  expect(
    found(
      [
        ['1', 0, 0],
        ['2', 3, 0],
        ['3', 6, 0],
      ],
      [
        ['a', '1', '2'],
        ['b', '1', '3'],
      ],
    ),
  ).toEqual(['node 2 on member b']);
});
