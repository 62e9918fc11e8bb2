import { describe, expect, test } from '@jest/globals';
import { pin, sketch } from '@rigid-beam/core/test/build';
import { solve } from '@rigid-beam/core/analysis/session';
import type { Model } from '@rigid-beam/core/model/model';
import { VERTEX, type Item, type Path } from './display-list';
import { motionItems } from './motion-items';
import { plainView } from './view';

const itemsOf = (model: Model, phase: number): Path[] => {
  const { mechanisms, motions } = solve(model);
  const place = mechanisms.findIndex(({ harmless }) => !harmless);
  const isPath = (item: Item): item is Path => item.kind === 'path';
  return motionItems(model, { mechanism: mechanisms[place]!, ends: motions![place] }, plainView, phase).filter(isPath);
};
const pointsOf = ({ vertices }: Path): [number, number][] =>
  Array.from({ length: vertices.length / VERTEX }, (_, i) => [vertices[VERTEX * i]!, vertices[VERTEX * i + 1]!]);
const bars = { behaviour: 'truss' } as const;

describe('a motion on the drawing', () => {
  const chain = sketch({
    nodes: [['1', 0, 0], ['2', 3, 0], ['3', 6, 0], ['4', 3, -4]],
    members: [['a', '1', '2', bars], ['b', '2', '3', bars], ['c', '1', '4', bars], ['d', '4', '3', bars]],
    supports: [pin('1'), pin('3')],
    loads: [{ type: 'node', node: '2', fy: 1e3 }],
  }); // oxfmt-ignore

  test('takes the members where they go, with a ring at what moves, and leaves out what stays', () => {
    const [lines, ...rings] = itemsOf(chain, 0.5);
    const [a, tip, , b] = pointsOf(lines!);
    expect(pointsOf(lines!)).toHaveLength(4);
    expect([a, b]).toEqual([[0, 0], [6, 0]]); // oxfmt-ignore
    expect(tip![0]).toBeCloseTo(3, 9);
    expect(Math.abs(tip![1])).toBeGreaterThan(0.1);
    expect(rings).toHaveLength(1);
    expect(pointsOf(rings[0]!)[0]).toEqual(tip);
    const swungBack = pointsOf(itemsOf(chain, -0.5)[0]!)[1]!;
    expect(swungBack[1]).toBeCloseTo(-tip![1], 9);
  });

  test('has a round arrow at a node that only turns, in its sense', () => {
    const turned = (mz: number): Path[] => itemsOf({ ...chain, members: [...chain.members, { ...chain.members[0]!, id: 'e', end: '4', start: '2' }], loads: [{ id: 'x1', type: 'node', case: 'Q', node: '4', mz }] }, 0); // oxfmt-ignore
    const [arc, head] = turned(1e3);
    expect(pointsOf(arc!).every(([x, y]) => x === 3 && y === -4)).toBe(true);
    expect(head!.vertices).toHaveLength(3 * VERTEX);
  });
});
