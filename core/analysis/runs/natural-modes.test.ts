import { describe, expect, test } from '@jest/globals';
import type { Shape } from '../../combinations/outcome';
import { checkModel } from '../../model/check';
import type { Model } from '../../model/model';
import { isFault } from '../../model/notice';
import { quantityExtremes } from '../../results/read-quantity';
import type { Results } from '../../results/results';
import { defaultDisplay } from '../../quantities/display';
import { resultTable } from '../../tables/results/lists';
import { edited } from '../../test/edited';
import { A, clamp, E, EI, pin, roller, sketch } from '../../test/build';
import { solve } from '../session';

const density = 7850;
const mass = density * A;
const modes = (model: Model): Results => {
  const materials = model.materials.map((one) => ({ ...one, density }));
  return solve({ ...model, materials }, [], ['natural-modes']).others!.get('natural-modes')!;
};
const shapes = (model: Model): Shape[] => modes(model).solution!.outcomes as Shape[];
const frequencies = (model: Model): number[] => shapes(model).map(({ value }) => value);

const beam = (n: number, L: number, supports: Model['supports'], more: Partial<Model> = {}): Model => ({
  ...sketch({
    nodes: Array.from({ length: n + 1 }, (_, i) => [`${i}`, (L * i) / n, 0] as const),
    members: Array.from({ length: n }, (_, i) => [`m${i}`, `${i}`, `${i + 1}`] as const),
    supports,
  }),
  ...more,
});
const asking = (naturalModes: NonNullable<Model['analysis']>['naturalModes']): Partial<Model> => ({
  analysis: { naturalModes: naturalModes! },
});
const near = (found: number | undefined, exact: number, part = 1e-9): void =>
  expect(Math.abs(found! / exact - 1)).toBeLessThan(part);

/** Of bending. */
const bending = (λ: number, L: number): number => ((λ / L) ** 2 / (2 * Math.PI)) * Math.sqrt(EI / mass);
const CANTILEVER = [1.8751040687119612, 4.694091132974175, 7.854757438237613];

describe('one member is exact', () => {
  test.each([1, 3])(
    'a beam on two supports swings as (nπ)², a cantilever as the roots of cos λ · cosh λ = −1: in %i members',
    (n) => {
      const L = 8;
      const ofBeam = frequencies(beam(n, L, [pin('0'), roller(`${n}`)]));
      [1, 2, 3, 4].forEach((i) => near(ofBeam[i - 1], bending(i * Math.PI, L)));
      const ofMast = frequencies(beam(n, L, [clamp('0')]));
      CANTILEVER.forEach((λ, i) => near(ofMast[i], bending(λ, L)));
    },
  );

  test('of a member between clamps, with all its nodes at rest, every mode is found', () => {
    const found = frequencies(beam(1, 5, [clamp('0'), clamp('1')]));
    [4.730040744862704, 7.853204624095838, 10.995607838001671].forEach((λ, i) => near(found[i], bending(λ, 5)));
  });

  test.each([5, 12, 40])('%i beams alike swing alike, and none of their modes is taken for another', (count) => {
    const L = 6;
    const pairs = Array.from({ length: count }, (_, i) => i);
    const model = sketch({
      nodes: pairs.flatMap((i) => [[`${i}a`, 0, i] as const, [`${i}b`, L, i] as const]),
      members: pairs.map((i) => [`m${i}`, `${i}a`, `${i}b`] as const),
      supports: pairs.flatMap((i) => [pin(`${i}a`), roller(`${i}b`)]),
    });
    const found = frequencies({ ...model, ...asking({ modes: 8 }) });
    const exact = pairs.map(() => bending(Math.PI, L)).concat(pairs.map(() => bending(2 * Math.PI, L)));
    expect(found).toHaveLength(8);
    found.forEach((f, i) => near(f, exact[i]!));
  });

  test('a bar along itself swings as the odd quarters of its wave', () => {
    const L = 10;
    const model = beam(
      1,
      L,
      [clamp('0'), { node: '1', uy: 'fixed', rz: 'fixed' }],
      asking({ modes: 3, cases: {}, between: 'swing' }),
    );
    const stiff = model.sections.map((section) => ({ ...section, Iz: 1e6 }));
    const c = Math.sqrt(E / density);
    frequencies({ ...model, sections: stiff }).forEach((f, i) => near(f, ((2 * i + 1) * c) / (4 * L)));
  });

  test('a hinge lets its end swing by itself: clamped and hinged, tan λ = tanh λ', () => {
    const model = beam(1, 6, [clamp('0'), clamp('1')]);
    const members = model.members.map((member) => ({ ...member, releases: { end: { mz: 'free' as const } } }));
    const found = frequencies({ ...model, members });
    [3.9266023120479185, 7.068582745628732].forEach((λ, i) => near(found[i], bending(λ, 6)));
  });

  test('with shear a beam on two supports swings as Timoshenko has it, rotary inertia and all', () => {
    const [L, GA, I] = [3, 4e7, EI / E];
    const plain = beam(1, L, [pin('0'), roller('1')], { analysis: { shearDeformation: true } });
    const G = plain.materials[0]!.G ?? 8e10;
    const model = {
      ...plain,
      sections: plain.sections.map((section) => ({ ...section, Ay: GA / G, Az: GA / G })),
      materials: plain.materials.map((one) => ({ ...one, G })),
    };
    const found = frequencies(model);
    [1, 2, 3].forEach((n) => {
      const k = (n * Math.PI) / L;
      // EI·k⁴ − ω²(m + k²(ρI + m·EI/GA)) + ω⁴·m·ρI/GA = 0, the slower root.
      const [a, b, c] = [(mass * density * I) / GA, mass + k * k * (density * I + (mass * EI) / GA), EI * k ** 4];
      const ω2 = (2 * c) / (b + Math.sqrt(b * b - 4 * a * c));
      near(found[n - 1], Math.sqrt(ω2) / (2 * Math.PI));
    });
  });
});

describe('masses', () => {
  test('of a case, of a node and of the members themselves add up, with their centre; what a case has of the own weight counts once', () => {
    const L = 4;
    const model = beam(1, L, [clamp('0')], {
      cases: [
        { id: 'G', title: 'Permanent', category: 'permanent', selfWeight: 1 },
        { id: 'Q', title: 'Imposed', category: 'imposed' },
      ],
      loads: [
        {
          id: 'g',
          type: 'line',
          case: 'G',
          member: 'm0',
          measure: 'ratio',
          from: { at: 0, wy: -1000 },
          to: { at: 0.5, wy: -1000 },
        },
        { id: 'q', type: 'node', case: 'Q', node: '1', fy: -2000, fx: 700 },
        { id: 'p', type: 'point', case: 'Q', member: 'm0', measure: 'ratio', at: 0.25, fy: -400 },
      ],
      ...asking({ cases: { G: 1, Q: 0.3 }, nodes: [{ node: '1', mass: 50 }] }),
    } as Partial<Model>);
    const { masses } = modes(model).solution!;
    const g = 9.80665;
    expect(masses!.items.map(({ mass: one }) => one)).toEqual([
      mass * L,
      expect.closeTo(2000 / g, 9),
      expect.closeTo(720 / g, 9),
      50,
    ]);
    expect(masses!.items.map(({ centre }) => centre[0])).toEqual([
      2,
      expect.closeTo(1, 9),
      expect.closeTo((600 * 4 + 120 * 1) / 720, 9),
      4,
    ]);
    expect(masses!.total).toBeCloseTo(mass * L + 2720 / g + 50, 9);
  });

  test('a mass at the tip of a light mast: ω² = 3EI/(mL³); half way along one member it is as exact as at a node', () => {
    const [L, tip] = [5, 800];
    const light = (model: Model): number =>
      frequencies({ ...model, ...asking({ selfWeight: false, modes: 1, ...model.analysis!.naturalModes }) })[0]!;
    near(
      light(beam(1, L, [clamp('0')], asking({ nodes: [{ node: '1', mass: tip }] }))),
      Math.sqrt((3 * EI) / (tip * L ** 3)) / (2 * Math.PI),
    );
    const cases: Model['cases'] = [{ id: 'Q', title: '', category: 'imposed' }];
    const load = { case: 'Q', fy: -tip * 9.80665 } as const;
    const ask = { ...asking({ cases: { Q: 1 } }), cases };
    const supports = [pin('0'), roller('2')];
    const whole = beam(1, L, [pin('0'), roller('1')], {
      ...ask,
      loads: [{ ...load, id: 'p', type: 'point', member: 'm0', measure: 'ratio', at: 0.5 }],
    });
    const cut = beam(2, L, supports, { ...ask, loads: [{ ...load, id: 'p', type: 'node', node: '1' }] });
    const [a, b] = [whole, cut].map((model) => frequencies(model)) as [number[], number[]];
    a.slice(0, 4).forEach((f, i) => near(f, b[i]!));
  });

  test('what lifts more than there is, and nothing at all, is refused', () => {
    const model = beam(1, 6, [pin('0'), roller('1')]);
    const said = (one: Model): string[] =>
      solve(one, [], ['natural-modes'])
        .others!.get('natural-modes')!
        .notices.map(({ message }) => message);
    expect(said(model)).toEqual([expect.stringContaining('nothing has mass')]);
    const lifting = {
      ...model,
      ...asking({ cases: { W: 1 } }),
      cases: [{ id: 'W', title: '', category: 'wind' }],
      loads: [{ id: 'w', type: 'line', case: 'W', member: 'm0', from: { wy: 500 }, to: { wy: 500 } }],
    } as unknown as Model;
    expect(said(lifting)).toEqual([expect.stringContaining('lift member m0')]);
  });
});

describe('what takes part', () => {
  test('of a cantilever 61.3, 18.8 and 6.5 % across it, and all of it in the end; a mass on the support takes no part', () => {
    const model = beam(1, 6, [clamp('0')], asking({ modes: 24, nodes: [{ node: '0', mass: 90 }] }));
    const found = shapes(model);
    const total = 6 * mass;
    // Clough and Penzien, Dynamics of Structures: of the n-th mode (2·(sinh λ − sin λ)/(cosh λ + cos λ)/λ)² …
    [0.6131, 0.1883, 0.0647].forEach((part, i) => expect(found[i]!.swing!.masses[1] / total).toBeCloseTo(part, 4));
    const { moving } = modes(model).solution!.masses!;
    expect(moving[1]).toBeCloseTo(total, 6);
    const across = found.reduce((sum, { swing }) => sum + swing!.masses[1], 0);
    expect(across / total).toBeGreaterThan(0.96);
    expect(across / total).toBeLessThan(1);
    // A quarter of it swings with its tip.
    expect(found[0]!.swing!.generalised / total).toBeCloseTo(0.25, 6);
  });

  test('frequencies grow with the root of E and fall with that of the mass', () => {
    const model = beam(2, 6, [pin('0'), roller('2')]);
    const stiffer = { ...model, materials: model.materials.map((one) => ({ ...one, E: 4 * one.E })) };
    const [a, b] = [frequencies(model), frequencies(stiffer)];
    a.forEach((f, i) => near(b[i], 2 * f));
  });

  test('with all mass at the nodes half of each member is at either end, and nothing swings between', () => {
    const found = frequencies(beam(2, 6, [pin('0'), roller('2')], asking({ between: 'lumped' })));
    // What is half way moves on a spring of 48EI/L³, and along on one of EA/(L/2); what rolls, along too.
    near(found[0], bending(96 ** 0.25, 6));
    expect(found).toHaveLength(3);
  });
});

test('modes and masses stand in tables: shares with their sums, what counts with its total', () => {
  const { solution } = modes(beam(1, 6, [clamp('0')], asking({ modes: 2, nodes: [{ node: '1', mass: 20 }] })));
  const read = (list: 'naturalModes' | 'masses'): unknown[][] => {
    const table = resultTable(solution!, list, { outcome: 0, of: 'each of its parts', places: 2 }, defaultDisplay)!;
    return table.rows.map((row) => table.columns.map((column) => column.value(row)));
  };
  const rows = resultTable(solution!, 'naturalModes', { outcome: 0, of: 'itself', places: 2 }, defaultDisplay)!.rows;
  expect(rows.map(({ outcome }) => outcome)).toEqual([0, 1]);
  const [first, second] = read('naturalModes') as readonly number[][];
  near(first![1], frequencies(beam(1, 6, [clamp('0')], asking({ nodes: [{ node: '1', mass: 20 }] })))[0]!);
  expect([first![0], first![2]]).toEqual([1, 1 / first![1]!]);
  expect(second![8]).toBeCloseTo(first![6]! + second![6]!, 9);
  expect(read('masses')).toEqual([
    ['Members themselves', mass * 6, 3, 0],
    ['At nodes', 20, 6, 0],
    ['Total', mass * 6 + 20, expect.closeTo((mass * 6 * 3 + 120) / (mass * 6 + 20), 9), 0],
  ]);
});

test('what is named goes with its names: cases and nodes of masses are renamed, merged and removed', () => {
  const model: Model = {
    ...beam(2, 6, [clamp('0')]),
    ...asking({
      cases: { Q: 0.3 },
      nodes: [
        { node: '1', mass: 20 },
        { node: '2', mass: 30 },
      ],
    }),
  };
  const after = (...intents: Parameters<typeof edited>[1][]): unknown => intents.reduce(edited, model).analysis!.naturalModes;
  expect(
    after({ type: 'rename', list: 'nodes', names: { 1: 'mid' } }, { type: 'rename', list: 'cases', names: { Q: 'L' } }),
  ).toEqual({
    cases: { L: 0.3 },
    nodes: [
      { node: 'mid', mass: 20 },
      { node: '2', mass: 30 },
    ],
  });
  expect(after({ type: 'remove', list: 'nodes', keys: ['2'] })).toEqual({ cases: { Q: 0.3 }, nodes: [{ node: '1', mass: 20 }] });
});

test('a force that swings is checked: one of force and unbalance, damping, frequencies in their order; it goes with its nodes', () => {
  const model = beam(2, 6, [pin('0'), roller('2')]);
  const faults = (harmonic: object): (string | undefined)[] =>
    checkModel({ ...model, ...asking({ harmonic: harmonic as never }) })
      .notices.filter(isFault)
      .map(({ path }) => path?.split('harmonic.')[1]);
  const sound = { node: '1', along: 'y', force: 100, damping: 0.02 };
  expect(faults(sound)).toEqual([]);
  expect(faults({ ...sound, unbalance: 1 })).toEqual(['force']);
  expect(faults({ ...sound, damping: 1.2, along: 'z' })).toEqual(['along', 'damping']);
  expect(faults({ ...sound, from: 3, to: 2, at: 'x' })).toEqual(['at', 'to']);
  const driven: Model = { ...model, ...asking({ harmonic: { ...sound, at: '2' } as never }) };
  const renamed = edited(driven, { type: 'rename', list: 'nodes', names: { 1: 'mid', 2: 'end' } });
  expect(renamed.analysis!.naturalModes!.harmonic).toEqual({ ...sound, node: 'mid', at: 'end' });
  expect(edited(driven, { type: 'remove', list: 'nodes', keys: ['2'] }).analysis!.naturalModes!.harmonic).toEqual(sound);
});

test('a mode balances with its inertia forces and can be read like anything else', () => {
  const { solution } = modes(beam(1, 6, [pin('0'), roller('1')]));
  const [first, second] = solution!.responses;
  solution!.responses.forEach(({ equilibrium }) => expect(equilibrium.jointResidual).toBeLessThan(1e-9));
  const mid = quantityExtremes(solution!, 0, 0, 'v')!;
  expect(Math.max(Math.abs(mid.max.value), Math.abs(mid.min.value))).toBeCloseTo(1, 6);
  // M = EI·κ² in the middle, and nothing at the ends.
  const bends = quantityExtremes(solution!, 0, 0, 'Mz')!;
  near(Math.max(Math.abs(bends.max.value), Math.abs(bends.min.value)), EI * (Math.PI / 6) ** 2, 1e-5);
  expect(Math.abs(first!.ends[5]!) + Math.abs(second!.ends[11]!)).toBeLessThan(1e-6 * EI);
});
