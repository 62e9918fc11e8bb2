import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { editWalk } from '../test/edit-walk';
import { Random } from '../test/random';

test('whatever was edited, undone and redone before, a session says what a fresh one says', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1 }), (seed) => expect(editWalk(new Random(seed), 60)).toEqual([])),
    { numRuns: 8, endOnFailure: true },
  );
});
