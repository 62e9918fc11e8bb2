import { describe, expect, test } from '@jest/globals';
import { clamp, pin, roller, sketch } from '../test/build';
import { mirrorOf } from './mirrored';
import type { Model } from './model';

const portal = (change: (model: Model) => Partial<Model> = () => ({})): Model => {
  const model = sketch({
    nodes: [['a', 1, 0], ['b', 1, 4], ['c', 4, 6], ['d', 7, 4], ['e', 7, 0]],
    members: [['l', 'a', 'b'], ['m', 'b', 'c'], ['n', 'd', 'c'], ['r', 'd', 'e']],
    supports: [clamp('a'), clamp('e')],
  }); // oxfmt-ignore
  return { ...model, ...change(model) };
};
const member = (model: Model, id: string, change: object) => ({ members: model.members.map((one) => (one.id === id ? { ...one, ...change } : one)) }); // oxfmt-ignore

describe('the plane about which a model is symmetric', () => {
  test('is found by its places, whichever way members were drawn', () => {
    expect(mirrorOf(portal())).toEqual({ axis: 'x', at: 4, nodes: [4, 3, 2, 1, 0], unlike: 'nothing' });
    expect(mirrorOf(portal(({ nodes }) => ({ nodes: nodes.map((one) => (one.id === 'd' ? { ...one, y: 4.1 } : one)) })))).toBeUndefined(); // oxfmt-ignore
    expect(mirrorOf(portal(({ members }) => ({ members: members.slice(1) })))).toBeUndefined();
    // Rounding in the seventh digit is none.
    expect(mirrorOf(portal(({ nodes }) => ({ nodes: nodes.map((one) => ({ ...one, x: one.x * (1 + 1e-9) })) })))?.at).toBeCloseTo(4, 6); // oxfmt-ignore
  });

  test('with what is not the same on both sides', () => {
    expect(mirrorOf(portal((model) => member(model, 'n', { section: 'other' })))?.unlike).toBe('sections');
    expect(mirrorOf(portal((model) => member(model, 'n', { releases: { start: { mz: 'free' } } })))?.unlike).toBe('joints');
    const both = (model: Model) => {
      const one = { ...model, ...member(model, 'n', { releases: { start: { mz: 'free' } } }) };
      return member(one, 'm', { releases: { start: { mz: 'free' } } });
    };
    expect(mirrorOf(portal(both))?.unlike).toBe('nothing');
    // A hinge in the crown belongs to both halves.
    expect(mirrorOf(portal((model) => member(model, 'n', { releases: { end: { mz: 'free' } } })))?.unlike).toBe('nothing');
    expect(mirrorOf(portal(() => ({ supports: [clamp('a'), pin('e')] })))?.unlike).toBe('supports');
    // One foot that slides only lets the whole shift.
    expect(mirrorOf(portal(() => ({ supports: [pin('a'), roller('e')] })))?.unlike).toBe('nothing');
  });
});
