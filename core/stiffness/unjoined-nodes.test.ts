import { expect, test } from '@jest/globals';
import fc from 'fast-check';
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

test('after a few nodes have moved, the answer is that of a fresh search', () => {
  const place = fc.tuple(fc.nat(4), fc.nat(3));
  const pairs = fc.uniqueArray(fc.tuple(fc.nat(8), fc.nat(8)), { minLength: 4, maxLength: 8, selector: String });
  fc.assert(
    fc.property(
      fc.array(place, { minLength: 9, maxLength: 9 }),
      pairs,
      fc.array(fc.tuple(fc.nat(8), place)),
      (places, ends, moves) => {
        const nodes = places.map(([x, y], i): [string, number, number] => [`${i}`, x, y]);
        const members = ends.map(([a, b], m): [string, string, string] => [`m${m}`, `${a}`, `${b}`]);
        let model = sketch({ nodes, members, supports: [clamp('1')] });
        unjoinedNodes(model);
        for (const [at, [x, y]] of moves) {
          model = { ...model, nodes: model.nodes.map((node, i) => (i === at ? { ...node, x, y } : node)) };
          expect(unjoinedNodes(model)).toEqual(unjoinedNodes({ ...model, members: [...model.members] }));
        }
      },
    ),
  );
});
