import { describe, expect, test } from '@jest/globals';
import { checkModel } from '../check';
import { applyIntent } from '../edits/apply-intent';
import type { Intent } from '../edits/intent';
import type { Motion } from '../edits/motion';
import type { Model } from '../model';
import { inRow, pin, roller, sketch } from '../../test/build';
import { expandLoads } from './expand';
import { trainOfLoad, withTrain, type TrainLoad } from './train-load';

const train = (rest: Partial<TrainLoad> = {}): TrainLoad => ({ id: 't', case: 'Q', type: 'train', members: ['a', 'b'], stands: 5, axles: [9e4, 6e4], spacings: [2], ...rest }); // oxfmt-ignore
/** Two members of 4 m and 6 m, the second drawn the other way. */
const beam = (load: TrainLoad): Model =>
  checkModel(sketch({ nodes: inRow(0, 4, 10), members: [['a', '1', '2'], ['b', '3', '2']], supports: [pin('1'), roller('2'), roller('3')], loads: [load as never] })).model!; // oxfmt-ignore
const points = (model: Model) =>
  expandLoads(model).loads.map((load) =>
    load.type === 'point' ? `${load.member} ${load.at} ${[load.fx, load.fy].join()}` : load.type,
  );
const done = (model: Model, intent: Intent): Model => {
  const applied = applyIntent(model, intent);
  if (!applied.ok) throw new Error(applied.faults.map(({ message }) => message).join(' '));
  return applied.model;
};

const { members: _, ...rest } = train();
/** Over the same nodes as a deck that rests on the outer ones and on the one between. */
const deck = (more: Partial<TrainLoad> = {}): TrainLoad => ({ ...rest, nodes: ['1', '2', '3'], ...more });
const onNodes = (model: Model) => expandLoads(model).loads.map((load) => (load.type === 'node' ? `${load.node} ${load.fy?.toFixed(0)}` : load.type)); // oxfmt-ignore

describe('a train on a deck', () => {
  test('stands as what a simple beam between two nodes hands to them; axles beside it do not count', () => {
    expect(onNodes(beam(deck()))).toEqual(['2 -75000', '3 -15000', '1 -15000', '2 -45000']);
    expect(onNodes(beam(deck({ stands: 4, way: 'backwards' })))).toEqual(['2 -90000', '2 -40000', '3 -20000']);
    expect(onNodes(beam(deck({ stands: 1, impact: 2 })))).toEqual(['1 -135000', '2 -45000']);
    expect(onNodes(beam(deck({ nodes: ['3', '1'], stands: 5, spacings: [6] })))).toEqual(['3 -45000', '1 -45000']);
  });

  test('stays where members go, moves with its nodes, and goes with one of them', () => {
    const before = beam(deck());
    expect(onNodes(done(before, { type: 'remove', list: 'members', keys: ['a'] }))).toEqual(onNodes(before));
    expect(onNodes(done(before, { type: 'split', cuts: [{ member: 'b', at: [0.5] }] }))).toEqual(onNodes(before));
    const merged = done(before, { type: 'merge', pairs: [['1', '2']] });
    expect([merged.loads[0], onNodes(merged)]).toMatchObject([{ nodes: ['1', '3'] }, ['1 -45000', '3 -45000', '1 -42000', '3 -18000']]); // oxfmt-ignore
    expect(done(before, { type: 'remove', list: 'nodes', keys: ['2'] }).loads).toEqual([]);
  });
});

describe('a train on a run', () => {
  test('stands as forces on its members, whichever way these were drawn; axles beside it do not count', () => {
    expect(points(beam(train()))).toEqual(['b 5 ,-90000', 'a 3 ,-60000']);
    expect(points(beam(train({ way: 'backwards' })))).toEqual(['b 5 ,-90000', 'b 3 ,-60000']);
    expect(points(beam(train({ stands: 1, impact: 1.5 })))).toEqual(['a 1 ,-135000']);
    expect(points(beam(train({ stands: 99 })))).toEqual([]);
    expect(points(beam(train({ stands: 1, towards: [0.6, -0.8, 0] })))).toEqual(['a 1 54000,-72000']);
  });

  test('stays where it stands when members are divided, joined or go', () => {
    const before = beam(train());
    const split = done(before, { type: 'split', cuts: [{ member: 'b', at: [0.5] }] });
    expect(points(split).map((one) => one.split(' ').slice(1).join(' '))).toEqual(['2 ,-90000', '3 ,-60000']);
    const gone = done(before, { type: 'remove', list: 'members', keys: ['a'] });
    expect(gone.loads).toMatchObject([{ type: 'train', members: ['b'], stands: 5, way: 'backwards' }]);
    expect(points(gone)).toEqual(['b 5 ,-90000']);
    expect(done(beam(train({ stands: 3 })), { type: 'remove', list: 'members', keys: ['a'] }).loads).toEqual([]);
  });

  test('goes along as a train when what carries it is turned, mirrored or copied', () => {
    const motions: Motion[] = [
      { kind: 'turn', about: [0, 0, 0], axis: 'z', degrees: 30 },
      { kind: 'mirror', at: [0, 0, 0], normal: [1, 0, 0] },
    ];
    for (const load of [train({ towards: [0.6, -0.8, 0] }), deck({ towards: [0.6, -0.8, 0] })])
      for (const motion of motions) {
        const model = beam(load);
        const { loads } = done(model, { type: 'transform', nodes: ['1', '2', '3'], motion });
        expect([loads.length, loads[0]!.type]).toEqual([1, 'train']);
        const copied = done(model, { type: 'repeat', nodes: ['1', '2', '3'], members: ['a', 'b'], times: 1, motion: { kind: 'move', by: [0, -3, 0] }, loads: 'copied', supports: 'left' }); // oxfmt-ignore
        expect(copied.loads.map(({ type }) => type)).toEqual(['train', 'train']);
      }
  });

  test('is where it travels the train that it was written as; where it stands its gap is one of those that may be', () => {
    const travelling = train({ spacings: [3.5], uniform: 2e3, varies: { behind: 0, least: 2, most: 4 } });
    const written = { axles: [9e4, 6e4], spacings: [2], uniform: 2e3, varies: { behind: 0, most: 4 } };
    expect(trainOfLoad(travelling)).toEqual(written);
    expect(withTrain(travelling, written)).toEqual(travelling);
    expect(withTrain(travelling, { ...written, varies: { behind: 0, most: 3 } }).spacings).toEqual([3]);
    expect(withTrain(travelling, { axles: [1e4], spacings: [] })).toEqual(train({ axles: [1e4], spacings: [] }));
  });

  test.each([
    [{ varies: { behind: 1, least: 2, most: 4 } }, /behind one of the axles/],
    [{ varies: { behind: 0, least: 4, most: 2 } }, /goes up from its least value/],
    [{ members: ['a', 'c'] }, /no member “c”/],
    [{ members: ['a', 'a'] }, /stands twice/],
    [{ spacings: [] }, /2 axles, between which there are 1 spacings/],
    [{ axles: [-1, 2] }, /greater than 0|positive/],
    [{ towards: [0, 0, 0] }, /push nowhere/],
    [{ nodes: ['1', '2'] }, /on a run of members, or on a deck/],
    [{ members: undefined }, /on a run of members, or on a deck/],
    [{ members: undefined, nodes: ['1'] }, /two nodes at least/],
    [{ members: undefined, nodes: ['1', '9'] }, /no node “9”/],
    [{ members: undefined, nodes: ['1', '2', '2'] }, /does not get on from node “2” to node “2”/],
  ])('%j is refused', (rest, why) => {
    const { loads, ...model } = beam(train());
    const { notices } = checkModel({ ...model, loads: [{ ...loads[0]!, ...rest }] });
    expect(notices.map(({ message }) => message).join()).toMatch(why);
  });
});
