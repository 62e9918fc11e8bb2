import { fault, type Notice } from '../model/notice';
import { size, times, type Point } from '../model/point';
import { DOWN } from '../results/travelling/path';

const WORDS: Readonly<Record<string, Point>> = {
  down: DOWN,
  up: [0, 1, 0],
  x: [1, 0, 0],
  '-x': [-1, 0, 0],
  z: [0, 0, 1],
  '-z': [0, 0, -1],
};

/** Where a load pushes: `down`, `up`, `x`, `-x`, `z`, `-z`, or three parts of a vector such as `0.6 -0.8 0`, as in the model file. Of length 1. */
export function readDirection(text: string): Point | Notice {
  const known = WORDS[text.trim().toLowerCase()];
  if (known) return known;
  const parts = text.trim().split(/\s+/u).map(Number);
  const vector = parts as unknown as Point;
  if (parts.length === 3 && parts.every(Number.isFinite) && size(vector) > 0) return times(vector, 1 / size(vector));
  return fault({
    code: 'no-direction',
    path: '--direction',
    value: text,
    what: `“${text}” is no direction`,
    expected: 'down, up, x, -x, z, -z, or three numbers',
    remedy: 'Write one of these words, or the parts of a vector along X, Y and Z, such as "0.6 -0.8 0"',
  });
}
