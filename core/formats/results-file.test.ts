import { describe, expect, test } from '@jest/globals';
import { clamp, EI, pin, roller, sketch } from '../test/build';
import { solve } from '../analysis/session';
import { resultsFile } from './results-file';

interface FileShape {
  readonly status: string;
  readonly mechanisms?: { harmless: boolean; freedoms: { node: string; freedom: string; amount: number }[] }[];
  readonly results?: Record<string, Record<string, Record<string, never>>>;
}

const file = (model: Parameters<typeof sketch>[0], options = { stations: 3 }): FileShape =>
  JSON.parse([...resultsFile(solve(sketch(model)), options)].join('')) as never;

const q = 6e3;
const beam: Parameters<typeof sketch>[0] = {
  nodes: [
    ['1', 0, 0],
    ['2', 4, 0],
  ],
  members: [['a', '1', '2']],
  supports: [pin('1'), roller('2')],
  loads: [
    { type: 'line', member: 'a', from: { wy: -q }, to: { wy: -q } },
    { case: 'P', type: 'point', member: 'a', at: 0.5, fy: -8e3 },
  ],
  extra: {
    cases: [
      { id: 'Q', category: 'imposed' },
      { id: 'P', category: 'imposed' },
    ],
    combinations: [
      { id: 'S', type: 'sum', factors: { Q: 2, P: -1 } },
      { id: 'SS', type: 'sum', factors: { S: 1, P: 1 } },
      { id: 'E', type: 'envelope', of: ['Q', 'P'] },
      { id: 'EE', type: 'envelope', of: ['E', 'S'] },
    ],
  },
};

describe('the results file', () => {
  test('stations, ends, extremes, reactions and balance of a case', () => {
    const { results, status } = file(beam);
    expect(status).toBe('solved');
    const Q = results!.Q as never as Record<string, Record<string, Record<string, unknown>>>;
    expect(Q.reactions!['1']).toEqual({ fx: 0, fy: expect.closeTo(12e3, 6), fz: 0, mx: 0, my: 0, mz: 0 });
    expect(Q.nodes!['1']!.rz).toBeCloseTo((-q * 64) / (24 * EI), 12);
    const a = Q.members!.a as never as {
      length: number;
      ends: never;
      stations: Record<string, number>[];
      extremes: Record<string, { max: object; min: object }>;
    };
    expect(a.length).toBe(4);
    expect(a.stations.map(({ x }) => x)).toEqual([0, 2, 4]);
    expect(a.stations[1]).toMatchObject({ N: 0, T: 0, My: 0, Mz: expect.closeTo(12e3, 6), w: 0 });
    expect(Object.keys(a.extremes)).toEqual(['N', 'Vy', 'Vz', 'T', 'My', 'Mz', 'u', 'v', 'w', 'uX', 'uY']);
    expect(a.extremes.Mz!.max).toEqual({ x: expect.closeTo(2, 9), value: expect.closeTo(12e3, 6) });
    expect(Q.equilibrium).toMatchObject({
      applied: { fy: expect.closeTo(-24e3, 6), mz: expect.closeTo(-48e3, 6) },
      reactions: { fy: expect.closeTo(24e3, 6) },
    });
  });

  test('a station at a jump shows the value behind it, at the end the one before', () => {
    const { results } = file(beam);
    const stations = (results!.P as never as { members: { a: { stations: { Vy: number }[] } } }).members.a.stations;
    expect(stations.map(({ Vy }) => Math.round(Vy))).toEqual([4000, -4000, -4000]);
  });

  test('sums of sums add, and envelopes of envelopes name the bottom', () => {
    const { results } = file(beam);
    const at = (id: string): never =>
      (results![id] as never as { members: { a: { stations: { Mz: never }[] } } }).members.a.stations[1]!.Mz;
    expect(at('S')).toBeCloseTo(2 * 12e3 - 8e3, 6);
    expect(at('SS')).toBeCloseTo(2 * 12e3, 6);
    expect(at('E')).toEqual({ max: expect.closeTo(12e3, 6), min: expect.closeTo(8e3, 6), maxFrom: 'Q', minFrom: 'P' });
    expect(at('EE')).toMatchObject({ max: expect.closeTo(16e3, 6), maxFrom: 'S' });
    const envelope = results!.EE as never as {
      envelope: boolean;
      reactions: { '1': { fy: object } };
      members: { a: { extremes: { Mz: { max: object } } } };
    };
    expect(envelope.envelope).toBe(true);
    expect(envelope.members.a.extremes.Mz.max).toMatchObject({ from: 'S' });
    expect(envelope.reactions['1'].fy).toMatchObject({ maxFrom: 'S', minFrom: 'P' });
  });

  test('an envelope tells on which stretch each of its parts governs', () => {
    const { results } = file(beam);
    const { Vy, Mz } = (results!.E as never as { members: { a: { governing: Record<string, unknown> } } }).members.a
      .governing as {
      Vy: { max: object; min: object };
      Mz: { max: object };
    };
    // The line load's shear falls from 12 to −12 kN, the force's jumps from 4 to −4 kN.
    const crossing = (x: number): object => expect.closeTo(x, 9);
    expect(Vy.max).toEqual([
      { from: 0, to: crossing(4 / 3), by: 'Q' },
      { from: crossing(4 / 3), to: 2, by: 'P' },
      { from: 2, to: crossing(8 / 3), by: 'Q' },
      { from: crossing(8 / 3), to: 4, by: 'P' },
    ]);
    expect(Mz.max).toEqual([{ from: 0, to: 4, by: 'Q' }]);
  });

  test('only what was asked for is written', () =>
    expect(Object.keys(file(beam, { stations: 2, only: ['P', 'E'] } as never).results!)).toEqual(['P', 'E']));

  test('an unstable model has mechanisms and no number', () => {
    const { status, results, mechanisms } = file({ ...beam, supports: [roller('1'), roller('2')] });
    expect(status).toBe('unstable');
    expect(results).toBeUndefined();
    expect(mechanisms![0]).toMatchObject({
      harmless: false,
      freedoms: [
        { node: '1', freedom: 'ux', amount: 1 },
        { node: '2', freedom: 'ux', amount: 1 },
      ],
    });
  });

  test('a load right at an end shows both sides in the extremes', () => {
    const { results } = file({ ...beam, supports: [clamp('1')], loads: [{ type: 'point', member: 'a', at: 1, fy: -8e3 }] });
    const extremes = (
      results!.Q as never as { members: { a: { extremes: { Vy: { max: { value: number }; min: { value: number } } } } } }
    ).members.a.extremes.Vy;
    expect(extremes.max.value).toBeCloseTo(8e3, 6);
    expect(extremes.min.value).toBeCloseTo(0, 6);
  });
});

test('where trains travel a sum is a range, and each extreme says where they stand', () => {
  const model = {
    ...beam,
    extra: {
      ...beam.extra,
      cases: [
        { id: 'Q', category: 'imposed' as const },
        { id: 'T', category: 'traffic' as const },
      ],
      loads: [{ id: 't', case: 'T', type: 'train' as const, members: ['a'], stands: 1, axles: [2e4], spacings: [] }],
      actions: [{ id: 'R', type: 'travelling' as const, of: ['T'] }],
      combinations: [{ id: 'U', type: 'sum' as const, factors: { R: 1.5 } }],
    },
  };
  const entry = file(model).results!.U as unknown as {
    readonly envelope: boolean;
    readonly reactions: Record<string, Record<string, object>>;
    readonly members: { readonly a: Record<string, Record<string, Record<string, object>>> };
  };
  expect(entry.envelope).toBe(true);
  const stands = (at: number) => [expect.objectContaining({ load: 't', axles: [expect.closeTo(at, 6)] })];
  expect(entry.reactions['1']!.fy).toMatchObject({ max: expect.closeTo(3e4, 5), maxFrom: 'U', maxTrains: stands(0) });
  const { extremes, ...others } = entry.members.a;
  expect(extremes!.Mz!.max).toMatchObject({ x: expect.closeTo(2, 6), value: expect.closeTo(3e4, 3), trains: stands(2) });
  expect(Object.keys(others)).toEqual(['stations']);
});
