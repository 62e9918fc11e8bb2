import { expect, test } from '@jest/globals';
import { keepSaid, takeSaid } from './said-of-file';

test('what was said of a file is told once, by the page of its own model', () => {
  keepSaid('a', ['A wall is left out.']);
  keepSaid('b', []);
  expect([takeSaid('b'), takeSaid('a'), takeSaid('a')]).toEqual([[], ['A wall is left out.'], []]);
});
