import { expect, test } from '@jest/globals';
import { sketch } from '../test/build';
import { membersAt, supportAlongMember, turnedAlong } from './support-along';

test('a roller on a slope stands square to the most inclined member of its node', () => {
  const model = sketch({
    nodes: [['1', 0, 0], ['2', 4, 3], ['3', 8, 3], ['x', 9, 9]],
    members: [['a', '2', '1'], ['b', '2', '3']],
    supports: [],
  }); // oxfmt-ignore
  expect(supportAlongMember(model, '2')).toEqual({ node: '2', uy: 'fixed', angle: expect.closeTo(36.8698976, 6) });
  expect(supportAlongMember(model, '3')).toEqual({ node: '3', uy: 'fixed' });
  expect(supportAlongMember(model, 'x')).toBeUndefined();
});

test('in space it rolls along the member, and is held both ways across', () => {
  const model = sketch({
    nodes: [['1', 0, 0, 0], ['2', -4, 3, 0], ['3', 0, 0, 5], ['4', 6, 0, 0]],
    members: [['a', '1', '2'], ['b', '1', '3'], ['c', '4', '1']],
    supports: [],
  }); // oxfmt-ignore
  // A line has no sense: it leads to the right.
  expect(supportAlongMember(model, '1')).toEqual({
    ...{ node: '1', uy: 'fixed', uz: 'fixed' },
    axes: { x: [0.8, -0.6, 0], y: [0.6, 0.8, 0] },
  });
  const [, b, c] = membersAt(model, '1');
  const held = { node: '1', ux: 'fixed', angle: 20 } as const;
  expect(turnedAlong(held, b!, 'space')).toEqual({ node: '1', ux: 'fixed', axes: { x: [0, 0, 1], y: [0, 1, 0] } });
  expect(turnedAlong(held, c!, 'space')).toEqual({ node: '1', ux: 'fixed' });
});
