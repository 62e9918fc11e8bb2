import { expect, test } from '@jest/globals';
import { editWalk } from '../test/edit-walk';
import { Random } from '../test/random';

test.each([1, 2, 3, 4, 5, 6, 7, 8])(
  'whatever was edited, undone and redone before, a session says what a fresh one says (%i)',
  (seed) => {
    expect(editWalk(new Random(seed + 1000 * Number(process.env.SEED ?? 0)), 60)).toEqual([]);
  },
);
