import { expect, test } from '@jest/globals';
import walk from '../../examples/canopy-walk.rbm.json';
import { checkModel } from './check';
import { planesOf } from './planes';

test('the planes of a bridge: its two trusses, its deck and its upper chords, its cross frames', () => {
  const planes = planesOf(checkModel(walk).model!);
  const of = (axis: string): number[] => planes.filter((plane) => plane.axis === axis).map(({ at }) => at);
  expect(of('z')).toEqual([0, 1.5]);
  expect(of('y')).toHaveLength(2);
  // The trusses hold the most members each.
  expect(planes[0]!.axis).not.toBe('x');
  expect(planes.every(({ members }) => members >= 3)).toBe(true);
});
