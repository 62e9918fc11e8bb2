import { describe, expect, test } from '@jest/globals';
import { inRow, clamp, pin, roller, sketch } from '../../test/build';
import { checkModel } from '../check';
import { partCasesOf, expandLoads } from '../loads/expand';
import type { ActionGroup, Model } from '../model';
import { loadedSets } from './parts';
import { spansOf } from './spans';

const members = (count: number) => Array.from({ length: count }, (_, i) => [`${i + 1}`, `${i + 1}`, `${i + 2}`] as [string, string, string]); // oxfmt-ignore
const evenly = (ids: readonly string[]) =>
  ids.map((member) => ({ type: 'line' as const, member, from: { wy: -1e3 }, to: { wy: -1e3 } }));
const pattern = (rest: Partial<ActionGroup> = {}): ActionGroup => ({ id: 'Q in patterns', type: 'pattern', of: ['Q'], ...rest });

/** Three spans of two members each, the last with a cantilever of one. */
const beam = sketch({
  nodes: inRow(0, 2, 4, 6, 8, 10, 12, 13),
  members: members(7),
  supports: [pin('1'), roller('3'), roller('5'), roller('7')],
  loads: evenly(['1', '2', '3', '4', '5', '6', '7']),
  extra: { actions: [pattern()] },
});
const named = (model: Model, ids: readonly string[]) => spansOf(model, new Set(ids)).map(({ members: some }) => some.join(''));

describe('spans', () => {
  test('a run is divided at its supports; what overhangs is a span of its own', () =>
    expect(named(beam, ['1', '2', '3', '4', '5', '6', '7'])).toEqual(['12', '34', '56', '7']));

  test('where what is loaded has a gap, both parts have their spans', () =>
    expect(named(beam, ['1', '2', '5', '6'])).toEqual(['12', '56']));

  test('an arch of many sides is one span, and so are two rafters over their ridge; a strut divides, a tie does not', () => {
    const roof = sketch({
      nodes: [['1', 0, 0], ['2', 0, 3], ['3', 5, 5], ['4', 10, 3], ['5', 10, 0], ['6', 2.5, 4], ['7', 2.5, 0]],
      members: [['c', '1', '2'], ['r1', '2', '6'], ['r2', '6', '3'], ['r3', '3', '4'], ['d', '4', '5'], ['tie', '6', '4'], ['strut', '7', '6']],
      supports: [pin('1'), pin('5')],
    }); // oxfmt-ignore
    expect(named({ ...roof, members: roof.members.slice(0, 6) }, ['r1', 'r2', 'r3'])).toEqual(['r1r2r3']);
    expect(named(roof, ['r1', 'r2', 'r3', 'c', 'd'])).toEqual(['c', 'd', 'r1', 'r2r3']);
  });

  test('a frame of two floors: by columns, from the lowest floor up; beams that only cross divide nothing', () => {
    const frame = sketch({
      nodes: [...[0, 5, 10].flatMap((x) => [0, 3, 6].map((y) => [`${x}.${y}`, x, y, 0] as [string, number, number, number])), ['m', 2, 3, 0], ['s', 2, 3, 4]],
      members: [
        ...[0, 5, 10].flatMap((x) => [[`c${x}l`, `${x}.0`, `${x}.3`], [`c${x}u`, `${x}.3`, `${x}.6`]] as [string, string, string][]),
        ['a1', '0.3', 'm'], ['a2', 'm', '5.3'], ['b', '10.3', '5.3'], ['d', '0.6', '5.6'], ['e', '5.6', '10.6'], ['cross', 'm', 's'],
      ],
      supports: [clamp('0.0'), clamp('5.0'), clamp('10.0')],
    }); // oxfmt-ignore
    const spans = spansOf(frame, new Set(['a1', 'a2', 'b', 'd', 'e']));
    expect(spans.map(({ members: some, run, place }) => [some.join(), run, place])).toEqual([
      ['a1,a2', 0, 0],
      ['b', 0, 1],
      ['d', 1, 0],
      ['e', 1, 1],
    ]);
  });
});

describe('parts of a case', () => {
  const sets = (model: Model, ways: NonNullable<ActionGroup['ways']>) =>
    loadedSets(partCasesOf(model), ways).map((set) => set.join('+'));

  test('each load is in one part, and the parts make up the whole', () => {
    const { loads } = expandLoads(beam);
    expect(partCasesOf(beam).map(({ id }) => id)).toEqual(['Q, span 1', 'Q, span 2', 'Q, span 3', 'Q, span 4']);
    expect(loads).toHaveLength(14);
    expect(loads.slice(7).map(({ case: id }) => id)).toEqual([...'1122334'].map((n) => `Q, span ${n}`));
  });

  test('which are loaded: all, every other one, two neighbours, one alone; what is the same once', () => {
    expect(sets(beam, ['everywhere'])).toEqual(['1+2+3+4']);
    expect(sets(beam, ['alternate', 'adjacent'])).toEqual(['1+3', '2+4', '1+2', '2+3', '3+4']);
    expect(sets({ ...beam, loads: [] }, ['alternate', 'adjacent'])).toEqual(['']);
    expect(sets({ ...beam, loads: beam.loads.slice(0, 2) }, ['adjacent'])).toEqual(['1']);
    const two: Model = { ...beam, supports: [pin('1'), roller('5'), roller('8')] };
    expect(sets(two, ['everywhere', 'adjacent', 'each', 'alternate'])).toEqual(['1+2', '1', '2']);
  });

  test('spans above each other take turns, and by bays or storeys they go together', () => {
    const frame: Model = sketch({
      nodes: [0, 5, 10].flatMap((x) => [0, 3, 6].map((y) => [`${x}.${y}`, x, y] as [string, number, number])),
      members: [
        ...[0, 5, 10].flatMap((x) => [[`c${x}l`, `${x}.0`, `${x}.3`], [`c${x}u`, `${x}.3`, `${x}.6`]] as [string, string, string][]),
        ['a', '0.3', '5.3'], ['b', '5.3', '10.3'], ['d', '0.6', '5.6'], ['e', '5.6', '10.6'],
      ],
      supports: [clamp('0.0'), clamp('5.0'), clamp('10.0')],
      loads: evenly(['a', 'b', 'd', 'e']),
      extra: { actions: [pattern()] },
    }); // oxfmt-ignore
    expect(sets(frame, ['alternate', 'adjacent'])).toEqual(['1+4', '2+3', '1+2', '3+4']);
    const by = (way: 'bays' | 'storeys') =>
      partCasesOf({ ...frame, actions: [pattern({ by: way })] }).map(({ id, members: some }) => `${id}: ${[...some].join('')}`);
    expect(by('bays')).toEqual(['Q, bay 1: ad', 'Q, bay 2: be']);
    expect(by('storeys')).toEqual(['Q, storey 1: ab', 'Q, storey 2: de']);
  });

  test('what is on no member acts with every part, and a name that is taken is not taken again', () => {
    const model: Model = { ...beam, loads: [...beam.loads, { id: 'n', case: 'Q', type: 'node', node: '8', fy: -1 }], cases: [...beam.cases, { id: 'Q, span 2', category: 'wind' }] }; // oxfmt-ignore
    expect(partCasesOf(model).map(({ id, number }) => [id, number])).toEqual([
      ['Q, span 1', 1],
      ['Q, span 2′', 2],
      ['Q, span 3', 3],
      ['Q, span 4', 4],
      ['Q, elsewhere', undefined],
    ]);
  });
});

test.each([
  [{ of: ['Q', 'S'] }, /one case, of which it loads some spans/],
  [{ of: ['A'] }, /one case, of which it loads some spans/],
  [{ by: 'rooms' }, /one of spans, bays, storeys/],
  [{ ways: ['sometimes'] }, /everywhere, alternate, adjacent, each/],
])('a pattern of %j is refused', (rest, why) => {
  const model = {
    ...beam,
    cases: [...beam.cases, { id: 'S', category: 'imposed' }, { id: 'T', category: 'imposed' }],
    actions: [{ ...pattern(), ...rest }, { id: 'A', type: 'both signs', of: ['T'] }],
  };
  expect(checkModel(model).notices.map(({ message }) => message).join()).toMatch(why);
}); // oxfmt-ignore
