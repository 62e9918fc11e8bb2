import { describe, expect, test } from '@jest/globals';
import { displayOf } from '../quantities/display';
import { followWords, isHeldStill, sheetFreedoms } from './follow-words';
import type { FollowingFreedom, Numbered, WorkedFreedom } from './freedoms';

const free = (number: number, component: number): WorkedFreedom => ({
  number,
  node: number,
  component,
  state: 'free',
  spring: 0,
});
const held = (number: number, component: number): WorkedFreedom => ({ ...free(number, component), state: 'held' });
const follower = (component: number, shares: FollowingFreedom['shares'], besides = 0): FollowingFreedom => ({ node: 9, component, shares, besides, spring: 0 }); // oxfmt-ignore

/** ux of two nodes, a turn about Z, and a held uy. */
const all = [free(1, 0), free(2, 0), free(3, 5), held(4, 1)];
const numbered = (one?: FollowingFreedom): Numbered => ({ all, free: 3, places: new Int32Array(60), followers: new Map(one ? [[54, one]] : []) }); // oxfmt-ignore
const words = (one: FollowingFreedom, display = {}): string => followWords(one, numbered(), displayOf({ display }));

describe('what a freedom moves with, in words', () => {
  test('one that moves as another bears its number, against it with a sign, with nothing a nought', () => {
    expect(words(follower(0, [[1, 1]]))).toBe('2');
    expect(words(follower(0, [[1, -1]]))).toBe('−2');
    expect(words(follower(0, []))).toBe('0');
  });

  test('a part of one, and sums in the order of their numbers, are written with d', () => {
    expect(words(follower(0, [[1, 0.5]]))).toBe('0.5·d2');
    expect(words(follower(0, [[1, -0.5], [0, 1]]))).toBe('d1 − 0.5·d2'); // oxfmt-ignore
    expect(words(follower(0, [[0, -1], [1, 0.25]]))).toBe('−d1 + 0.25·d2'); // oxfmt-ignore
  });

  test('what turns beside what moves has an arm, in the reader’s lengths; so has what is imposed', () => {
    expect(words(follower(0, [[2, 3]]))).toBe('3·d3');
    expect(words(follower(0, [[2, 3]]), { length: 'mm' })).toBe('3000·d3');
    expect(words(follower(5, [[0, 0.25]]), { length: 'mm' })).toBe('0.00025·d1');
    expect(words(follower(0, [[0, 1]], 2e-3))).toBe('d1 + 0.002');
    expect(words(follower(0, [], -2e-3), { length: 'mm' })).toBe('−2');
  });

  test('where readers count an axis the other way, both senses are theirs', () => {
    // With Z up, the Z of the file is their −Y: what moves along it has the other sign beside X, and none beside itself.
    expect(words(follower(2, [[0, 1]]), { up: 'Z' })).toBe('−1');
    expect(words(follower(0, [[1, 1]]), { up: 'Z' })).toBe('2');
  });
});

test('on the sheet: what follows held ones alone stands as they do, what cannot move nowhere; of a part by the nodes of the whole', () => {
  const states = (one: FollowingFreedom, nodes?: Int32Array) => sheetFreedoms(numbered(one), displayOf({}), nodes).slice(4);
  expect(states(follower(1, [[3, 1]]))).toEqual([{ node: 9, component: 1, state: 'held', label: '4' }]);
  expect(isHeldStill(follower(1, [[3, 1]]), numbered())).toBe(true);
  expect(states(follower(1, [[3, 1], [0, 1]]))).toMatchObject([{ state: 'follows', label: 'd1 + d4' }]); // oxfmt-ignore
  expect(states(follower(1, []))).toEqual([]);
  const nodes = Int32Array.from({ length: 10 }, (_, i) => 100 + i);
  expect(sheetFreedoms(numbered(follower(0, [[0, 1]])), displayOf({}), nodes).map(({ node }) => node)).toEqual([101, 102, 103, 104, 109]); // oxfmt-ignore
});
