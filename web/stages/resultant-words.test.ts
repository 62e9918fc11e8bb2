import { expect, test } from '@jest/globals';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { resultantOf } from '@rigid-beam/core/results/resultant';
import { resultantWords } from './resultant-words';

test.each<[string, readonly number[], 'plane' | 'space', string]>([
  [
    'loads down',
    [0, -62.38e3, 0, 0, 0, -62.38e3 * 4.95],
    'plane',
    'The resultant of the loads is 62.38 kN down on the line through X 4.95 m, Y 0 m.',
  ],
  [
    'wind',
    [8.4e3, -3.6e3, 0, 0, 0, -4.8e3],
    'plane',
    'The resultant of the loads is 9.139 kN at −23.2° on the line through X 0 m, Y 0.5714 m.',
  ],
  ['a couple', [0, 0, 0, 0, 0, 3e3], 'plane', 'The resultant of the loads is a couple of 3 kN·m.'],
  ['nothing', [0, 0, 0, 0, 0, 0], 'plane', 'The loads are self-equilibrating.'],
  [
    'space',
    [0, 0, 5e3, 0, 10e3, 7e3],
    'space',
    'The resultant of the loads is 5 kN forward on the line through X −2 m, Y 0 m, Z 0 m, and 7 kN·m about it.',
  ],
])('%s', (_, applied, space, words) =>
  expect(resultantWords(resultantOf(applied, Math.hypot(...applied) || 1), space, defaultDisplay)).toBe(words),
);
