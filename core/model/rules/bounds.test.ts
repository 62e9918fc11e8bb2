import { describe, expect, test } from '@jest/globals';
import { solve } from '../../analysis/session';
import { outcomes } from '../../combinations/outcomes';
import { clamp, inRow, roller, sketch } from '../../test/build';
import { applyIntent } from '../edits/apply-intent';
import { missedJoints } from '../edits/joints';
import { checkModel } from '../check';
import type { Combination, Model } from '../model';
import { SegmentIndex } from '../segment-index';
import type { Point } from '../point';

const beam = sketch({ nodes: inRow(0, 4, 8), members: [['a', '1', '2'], ['b', '2', '3']], supports: [clamp('1'), roller('3')] }); // oxfmt-ignore
const codesOf = (model: object): string[] => checkModel(model).notices.map(({ code, path }) => `${code} ${path}`);
const envelope = (id: string, ...of: string[]): Combination => ({ id, type: 'envelope', of });

describe('a structure lies within bounds', () => {
  const moved = (x: number): Model => ({ ...beam, nodes: beam.nodes.map((node) => (node.id === '3' ? { ...node, x } : node)) });

  test('far nodes are refused by name, with the bound', () => {
    expect(codesOf(moved(9.9e4))).toEqual([]);
    for (const x of [1.1e5, -1e10, 9e99]) {
      expect(codesOf(moved(x))).toContain('too-far nodes[2].x');
      const { notices } = checkModel(moved(x));
      expect(notices[0]!.message).toMatch(/Node “3” lies more than 100 km from the origin/);
    }
  });

  test('a member that is lost beside the structure is refused', () => {
    const near = { ...beam, nodes: beam.nodes.map((node) => (node.id === '2' ? { ...node, x: 1e-8 } : node)) };
    expect(codesOf(near)).toEqual(['out-of-proportion members[0]']);
    expect(checkModel(near).notices[0]!.message).toMatch(/“a” is too short beside the structure, which extends over 8 m/);
  });

  test.each([1e10, 1e15, 1e60])('a part repeated at a distance of %d m is refused, not sought for ever', (far) => {
    const motion = { kind: 'move', by: [far, 0, 0] } as const;
    const applied = applyIntent(beam, {
      ...{ type: 'repeat', nodes: [], members: ['a'], motion, times: 20, supports: 'copied', loads: 'copied' },
    } as Parameters<typeof applyIntent>[1]);
    expect(applied.ok ? [] : applied.faults.map(({ code }) => code)).toContain('too-far');
  });
});

describe('lines that may touch', () => {
  /** A row along each axis, every line touching only its neighbours; one of them ends far off. */
  test.each([0, 1, 2])('are found along axis %d without looking at the others, however far one reaches', (axis) => {
    const at = (place: number, off = 0): Point => [0, 1, 2].map((k) => (k === axis ? place : off)) as unknown as Point;
    const segments = Array.from({ length: 3000 }, (_, i) => [at(i), at(i + 1)] as const);
    const index = new SegmentIndex([...segments, [at(7), [300, 250, 400]], [at(9), [-2e4, 2e4, 5]]]);
    expect(index.near(segments[2000]!, 1e-6).filter((i) => i < 3000)).toEqual([1999, 2000, 2001]);
    expect([...index.pairs(1e-6)].length).toBeLessThan(12_000);
  });

  test('a frame with a node far off tells its missed joints', () => {
    const grid = Array.from({ length: 1200 }, (_, i) => [String(i), i % 40, Math.floor(i / 40)] as const);
    const model = sketch({
      nodes: [...grid.map(([id, x, y]): [string, number, number] => [id, x, y]), ['far', -2e4, 2e4]],
      members: [
        ...grid.filter(([, x]) => x < 39).map(([id]): [string, string, string] => [`m${id}`, id, String(Number(id) + 1)]),
        ['off', '0', 'far'],
      ],
      supports: [],
    });
    expect(missedJoints(model)).toEqual([]);
  });
});

describe('combinations of combinations', () => {
  test('45 envelopes, each over the two before it, are resolved at once', () => {
    const names = Array.from({ length: 45 }, (_, i) => `E${i}`);
    const combinations = names.map((id, i) => envelope(id, ...(i < 2 ? ['Q'] : [names[i - 1]!, names[i - 2]!])));
    const all = outcomes({ ...beam, combinations });
    expect(all.at(-1)).toMatchObject({ kind: 'envelope', parts: [0] });
  });

  test('20,000 chained sums, deepest first, are checked and solved', () => {
    const count = 20_000;
    const combinations = Array.from({ length: count }, (_, i): Combination => {
      const below = i + 1 < count ? `S${i + 1}` : 'Q';
      return { id: `S${i}`, type: 'sum', factors: { [below]: 1 } };
    });
    const { model } = checkModel({ ...beam, combinations });
    const { solution } = solve(model!);
    expect(solution!.outcomes[1]).toMatchObject({ kind: 'superposed', id: 'S0', factors: Float64Array.of(1) });
  });

  test('what would not fit is counted and refused before it is resolved', () => {
    const sums = Array.from({ length: 1500 }, (_, i): Combination => ({ id: `S${i}`, type: 'sum', factors: { Q: 1 } }));
    const over = Array.from({ length: 700 }, (_, i) =>
      envelope(`E${i}`, ...(i === 0 ? sums.map(({ id }) => id) : [`E${i - 1}`])),
    );
    const { notices } = checkModel({ ...beam, combinations: [...sums, ...over] });
    expect(notices.map(({ message }) => message).join()).toMatch(
      /envelopes have too many parts .*: at most 1,000,000 fit .*1000500/,
    );
    const cases = Array.from({ length: 30_000 }, (_, i) => ({ id: `C${i}`, category: 'imposed' }));
    expect(codesOf({ ...beam, cases: [...beam.cases, ...cases] })).toEqual([]);
    expect(codesOf({ ...beam, cases: [...beam.cases, ...cases], combinations: sums })).toEqual(['too-much combinations']);
    const places = Array.from({ length: 1000 }, (_, i) => i);
    const row = sketch({
      nodes: inRow(...places),
      members: places.slice(1).map((i): [string, string, string] => [`m${i}`, String(i), String(i + 1)]),
      supports: [],
      extra: { cases: cases.slice(0, 3000) as Model['cases'] },
    });
    expect(codesOf(row)).toEqual(['too-much cases']);
  });
});

describe('small files that ask for much', () => {
  /** A ring of nodes in a circle, held everywhere. */
  const ring = (count: number, loads: readonly object[], cases: readonly object[] = []): object => {
    const ids = Array.from({ length: count }, (_, i) => `n${i}`);
    const turn = (i: number): number => (2 * Math.PI * i) / count;
    return sketch({
      nodes: ids.map((id, i) => [id, 50 * Math.cos(turn(i)), 0, 50 * Math.sin(turn(i))]),
      members: ids.map((id, i) => [`m${i}`, id, ids[(i + 1) % count]!]),
      supports: [],
      extra: { loads: loads as Model['loads'], cases: [{ id: 'Q', category: 'imposed' }, ...(cases as Model['cases'])] },
    });
  };
  const corners = (count: number): string[] => Array.from({ length: count }, (_, i) => `n${i}`);
  const pressures = (count: number, of: number, more: object = {}): object[] =>
    Array.from({ length: count }, (_, i) => ({ id: `a${i}`, case: 'Q', type: 'area', pressure: 1, nodes: corners(of), ...more }));
  const told = (model: object): string => checkModel(model).notices.map(({ message }) => message).join(' '); // oxfmt-ignore

  test.each<[string, object, RegExp]>([
    ['a panel of 500 corners', ring(500, pressures(1, 500)), /it has 500 corners, and 100 at the most are allowed/],
    ['a thousand panels of 90', ring(90, pressures(1000, 90)), /pressures on panels take too many steps .* at most 1,000,000 fit/],
    ['strips on 1,500 members', ring(1500, pressures(1, 4, { spread: 'oneWay', to: Array.from({ length: 1500 }, (_, i) => `m${i}`) })), /at most 1,000,000 fit/],
    ['shares of shares', ring(3, [
        ...Array.from({ length: 2000 }, (_, i) => ({ id: `l${i}`, case: 'Q', type: 'node', node: 'n0', fy: -1 })),
        ...Array.from({ length: 600 }, (_, i) => ({ id: `s${i}`, case: 'S', type: 'notional', of: 'Q', share: 0.01, direction: 'right' })),
      ], [{ id: 'S', category: 'other' }]), /stand for too many loads .* at most 1,000,000 fit .*1202000/],
  ])('%s are counted and refused before they are divided', (_, model, words) => expect(told(model)).toMatch(words)); // oxfmt-ignore

  test('actions in actions: what they and the sums would hold is counted before it is made', () => {
    const chain = (count: number): object[] => Array.from({ length: count }, (_, i) => ({ id: `A${i}`, type: 'either', of: [i === 0 ? 'Q' : `A${i - 1}`] })); // oxfmt-ignore
    const sums = Array.from({ length: 3000 }, (_, i): Combination => ({ id: `S${i}`, type: 'sum', factors: { [`A${i}`]: 1 } }));
    expect(codesOf({ ...beam, actions: chain(6000), combinations: sums })).toEqual([]);
    expect(codesOf({ ...beam, actions: chain(7000), combinations: sums })).toEqual(['too-much combinations']);
  });

  test('sums of sums: their additions and the size of their factors are counted', () => {
    const doubled = (count: number): Combination[] =>
      Array.from({ length: count }, (_, i) => ({
        ...{ id: `S${i}`, type: 'sum' },
        factors: i === 0 ? { Q: 1 } : { [`S${i - 1}`]: 2 },
      }));
    expect(codesOf({ ...beam, combinations: doubled(30) })).toEqual([]);
    expect(told({ ...beam, combinations: doubled(40) })).toMatch(/The factors of “S39” multiply to more than 1,000,000,000/);
    const cases = Array.from({ length: 600 }, (_, i) => ({ id: `C${i}`, category: 'imposed' }));
    const all = Array.from({ length: 1000 }, (_, i): Combination => {
      const before = Array.from({ length: i }, (_, k) => [`S${k}`, 0]);
      return { id: `S${i}`, type: 'sum', factors: { Q: 1, ...Object.fromEntries(before) } };
    });
    expect(told({ ...beam, cases: [...beam.cases, ...cases], combinations: all })).toMatch(
      /too many additions .* at most 200,000,000/,
    );
  });

  test('20,000 factors in one sum, and a way through 20,000 combinations that leads back, are looked at once', () => {
    const factors = Object.fromEntries(Array.from({ length: 20_000 }, (_, i) => [`X${i}`, 1]));
    const many = checkModel({ ...beam, combinations: [{ id: 'S', type: 'sum', factors }] }).notices;
    expect(many.at(-1)!.message).toMatch(/^19000 further notices/);
    const round = Array.from({ length: 20_000 }, (_, i): Combination => ({ id: `S${i}`, type: 'sum', factors: { [`S${(i + 1) % 20_000}`]: 1, Q: 1 } })); // oxfmt-ignore
    expect(checkModel({ ...beam, combinations: round }).notices[0]!.code).toBe('circular-combination');
  });

  test('loads that cut one member into thousands of pieces are refused before they are added up', () => {
    const loads = Array.from({ length: 15_000 }, (_, i) => ({ id: `l${i}`, case: 'Q', type: 'point', member: 'a', at: (i + 1) / 15_001, fy: -1 })); // oxfmt-ignore
    const { status, notices } = solve(checkModel({ ...beam, loads }).model!);
    expect([status, notices[0]!.message]).toEqual([
      'invalid',
      expect.stringMatching(/member a into 15,000\): at most 200,000,000/),
    ]);
  });
});
