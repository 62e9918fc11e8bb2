import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkModel } from '../model/check';
import type { Model } from '../model/model';
import type { SpectrumSettings } from '../model/spectrum-settings';
import { sumsOf } from '../results/derived/derived';
import type { Measure } from '../results/piecewise-range';
import { isLine, quantitiesOf, quantityTable, type Quantity } from '../results/quantities';
import { ofMembers } from '../results/of-member';
import { nodalRange } from '../results/nodal-range';
import { ended } from '../results/read-now';
import { readExtremes } from '../results/read-extremes';
import { extremesRead } from '../results/envelope-reading';
import { diagramOfResponse } from '../results/diagram';
import { valueIn } from '../results/read';
import { memberReader } from '../results/read-quantity';
import type { Solution } from '../results/results';
import { correlationOf } from '../results/spectral/correlation';
import { accelerationAt } from '../results/spectral/ground';
import { baseShears } from '../tables/results/base-shear';
import { clamp, clamp3, sketch } from '../test/build';
import { randomFrame } from '../test/random-frame';
import { randomSpace } from '../test/random-space';
import { edited } from '../test/edited';
import { listed } from '../combinations/listed';
import { solve } from './session';

const STANDARD = { shape: 'type 1', ground: 'C', acceleration: 2, behaviour: 1.5 } as const;
const shaken = (model: Model, spectrum: SpectrumSettings, modes = 5): Model => ({
  ...model,
  materials: model.materials.map((one) => ({ ...one, density: 7850 })),
  analysis: { ...model.analysis, naturalModes: { modes, spectrum } },
});
const place = ({ outcomes }: Solution, id: string): number => outcomes.findIndex((one) => one.id === id);
const SIDEWAYS = 'Earthquake right and left';

/** By definition: √(Σᵢⱼ ρᵢⱼ·Rᵢ·Rⱼ + R²) of how far the modes go, and what they leave out; `read` of a response. */
function byDefinition(
  solution: Solution,
  settings: SpectrumSettings,
  axis: 'x' | 'z',
  read: (response: number) => number,
): number {
  const k = axis === 'x' ? 0 : 2;
  const modes = solution.outcomes.flatMap((one) => {
    if (one.kind !== 'shape') return [];
    const ω = 2 * Math.PI * one.value;
    return [{ ω, reach: (one.swing!.factors[k] * accelerationAt(settings, axis, 1 / one.value)! * read(one.at)) / ω ** 2 }];
  });
  const correlation = (i: number, j: number): number =>
    i === j ? 1 : settings.modes === 'srss' ? 0 : correlationOf(modes[i]!.ω, modes[j]!.ω, settings.damping ?? 0.05);
  const left = solution.masses!.leftOut?.find((one) => one.axis === k);
  const shortest = (2 * Math.PI) / modes.at(-1)!.ω;
  let squares = left
    ? (read(left.at) * Math.max(...[0, 0.5, 1].map((part) => accelerationAt(settings, axis, part * shortest)!))) ** 2
    : 0;
  modes.forEach((one, i) => modes.forEach((other, j) => (squares += correlation(i, j) * one.reach * other.reach)));
  return Math.sqrt(Math.max(0, squares));
}

const measuresOf = (solution: Solution, m: number, quantity: Quantity): readonly Measure[] | undefined =>
  isLine(quantity) ? [[[quantity, 1]]] : sumsOf(quantityTable[quantity].derived!, ofMembers(solution)[m]!);

const near = (one: number, other: number, size: number): void => expect(Math.abs(one - other)).toBeLessThanOrEqual(2e-7 * size);

describe.each([['plane', randomFrame], ['space', randomSpace]] as const)('frames in the %s whose ground moves', (space, frames) => {
  test.each(['cqc', 'srss'] as const)('reach at every place as far as their modes do by definition, beside what acts (%s)', (modes) => {
    let compared = 0;
    fc.assert(
      fc.property(frames, fc.double({ min: 0, max: 1, noNaN: true }), (plain, part) => {
        const { id } = plain.cases[0]!;
        const settings: SpectrumSettings = { ...STANDARD, modes, sum: 'squares', damping: 0.08, beside: { [id]: 0.6 } };
        const { solution } = solve(shaken(plain, settings));
        if (!solution || place(solution, SIDEWAYS) < 0) return;
        const axes = space === 'plane' ? (['x'] as const) : (['x', 'z'] as const);
        const alone = place(solution, space === 'plane' ? SIDEWAYS : 'Earthquake');
        const beside = place(solution, `${solution.outcomes[alone]!.id} with 0.6 ${id}`);
        const all = ended(readExtremes(solution, beside));
        const reach = (read: (response: number) => number): number => Math.hypot(...axes.map((axis) => byDefinition(solution, settings, axis, read)));
        solution.structure.lengths.forEach((L, m) => {
          const readers = [alone, beside].map((one) => memberReader(solution, one, m));
          for (const quantity of quantitiesOf(solution.structure)) {
            const measures = measuresOf(solution, m, quantity);
            const [own, whole] = readers.map((one) => one.at(quantity, part * L));
            if (!measures) {
              expect([own, readers[1]!.extremes(quantity)]).toEqual([undefined, undefined]);
              continue;
            }
            const sum = (response: number, measure: Measure): number => measure.reduce((total, [one, factor]) => total + factor * valueIn(diagramOfResponse(solution, solution.responses[response]!, m), one, part * L), 0);
            const found = readers[1]!.extremes(quantity)!;
            const size = Math.max(Math.abs(found.max.value), Math.abs(found.min.value));
            near(own!.max, Math.max(...measures.map((measure) => reach((i) => sum(i, measure)))), size);
            near(whole!.max, Math.max(...measures.map((measure) => 0.6 * sum(0, measure) + reach((i) => sum(i, measure)))), size);
            near(whole!.min, Math.min(...measures.map((measure) => 0.6 * sum(0, measure) - reach((i) => sum(i, measure)))), size);
            // No place is beyond the extremes, nor those of a curve; read ahead they are the same.
            const seen = [whole!, ...readers[1]!.curve(quantity)!];
            expect(Math.max(...seen.map(({ max }) => max))).toBeLessThanOrEqual(found.max.value + 1e-9 * size);
            expect(Math.min(...seen.map(({ min }) => min))).toBeGreaterThanOrEqual(found.min.value - 1e-9 * size);
            expect(extremesRead({ extremes: all, curves: new Map() }, quantity, m)).toEqual(found);
          }
        });
        for (const key of ['reactions', 'displacements'] as const)
          for (let f = 0; f < solution.supported.length * 6; f++) {
            const value = (response: number): number => solution.responses[response]![key][f]!;
            const found = nodalRange(solution, beside, key, f);
            near(found.max, 0.6 * value(0) + reach(value), Math.max(found.max, -found.min));
            expect([found.maxFrom, found.minFrom]).toEqual([beside, beside]);
          }
        compared++;
      }),
      { numRuns: 6 },
    );
    expect(compared).toBeGreaterThan(3);
  });
}); // oxfmt-ignore

/** Two posts and a beam; in space two of those behind each other, joined. */
const portal = (spectrum: SpectrumSettings, modes?: number): Model =>
  shaken(
    sketch({
      nodes: [['1', 0, 0], ['2', 0, 4], ['3', 6, 4], ['4', 6, 0]],
      members: [['a', '1', '2'], ['b', '2', '3'], ['c', '4', '3']],
      supports: [clamp('1'), clamp('4')],
    }),
    spectrum,
    modes,
  ); // oxfmt-ignore
const tower = (spectrum: SpectrumSettings): Model =>
  shaken(
    sketch({ nodes: [['1', 0, 0, 0], ['2', 1, 5, 0], ['3', 1, 8, 2]], members: [['a', '1', '2'], ['b', '2', '3']], supports: [clamp3('1')] }),
    spectrum,
    12,
  ); // oxfmt-ignore

describe('directions', () => {
  const three = { ...STANDARD, directions: ['x', 'y', 'z'] } as const;
  const base = (solution: Solution, id: string, k: number): number =>
    nodalRange(solution, place(solution, id), 'reactions', k).max;

  test('add up by the root of their squares, or each whole with 0.3 of the others, as an envelope of these', () => {
    const squares = solve(tower(three)).solution!;
    const shares = solve(tower({ ...three, sum: 'shares' })).solution!;
    expect(shares.outcomes.filter(({ kind }) => kind === 'spectral' || kind === 'envelope').map(({ id }) => id)).toEqual([
      'Earthquake right and left',
      'Earthquake up and down',
      'Earthquake forward and back',
      'Earthquake right and left + 0.3 up and down + 0.3 forward and back',
      'Earthquake 0.3 right and left + up and down + 0.3 forward and back',
      'Earthquake 0.3 right and left + 0.3 up and down + forward and back',
      'Earthquake',
    ]);
    for (let k = 0; k < 6; k++) {
      const [x, y, z] = ['right and left', 'up and down', 'forward and back'].map((way) => base(squares, `Earthquake ${way}`, k)) as [number, number, number]; // oxfmt-ignore
      expect(base(squares, 'Earthquake', k)).toBeCloseTo(Math.hypot(x, y, z), 6);
      const expected = Math.max(x + 0.3 * y + 0.3 * z, 0.3 * x + y + 0.3 * z, 0.3 * x + 0.3 * y + z);
      expect(base(shares, 'Earthquake', k)).toBeCloseTo(expected, 6);
    }
  });

  test('the only support bears the base shear that is listed', () => {
    const solution = solve(tower(three)).solution!;
    const all = baseShears(solution);
    expect(all.map(({ axis }) => axis)).toEqual(['x', 'y', 'z']);
    all.forEach(({ together }, k) => expect(base(solution, ['right and left', 'up and down', 'forward and back'].map((way) => `Earthquake ${way}`)[k]!, k) / together).toBeCloseTo(1, 6)); // oxfmt-ignore
  });
});

describe('envelopes', () => {
  const beam = sketch({ nodes: [['1', 0, 0], ['2', 0, 4]], members: [['a', '1', '2']], supports: [clamp('1')], loads: [{ type: 'node', node: '2', fx: 500 }] }); // oxfmt-ignore
  const model: Model = shaken(
    {
      ...beam,
      combinations: [
        { id: 'U', type: 'sum', factors: { Q: 1.5 } },
        { id: 'E', type: 'envelope', of: ['U'], earthquake: true },
        { id: 'F', type: 'envelope', of: ['E', 'Q'] },
        { id: 'G', type: 'envelope', of: ['U', 'Q'] },
      ],
    },
    { ...STANDARD, beside: { Q: 0.3 } },
  );
  const most = (solution: Solution, id: string) => memberReader(solution, place(solution, id), 0).extremes('Mz')!;

  test('enclose the earthquake with what acts beside it where they say so, and those that enclose them', () => {
    const { solution } = solve(model);
    const [U, E, F, G] = ['U', 'E', 'F', 'G'].map((id) => most(solution!, id));
    const earthquake = most(solution!, `${SIDEWAYS} with 0.3 Q`);
    expect(earthquake.max.value).toBeGreaterThan(Math.abs(U!.max.value));
    expect([E!.max.value, E!.min.value]).toEqual([earthquake.max.value, Math.min(earthquake.min.value, U!.min.value)]);
    expect([F!.max.value, solution!.outcomes[F!.max.from]!.id]).toEqual([earthquake.max.value, `${SIDEWAYS} with 0.3 Q`]);
    expect(G!.max.value).toBeLessThan(earthquake.max.value);
    expect(listed(model, undefined, solution!.outcomes).filter(({ kind }) => kind === 'earthquake').map(({ id }) => id)).toEqual([SIDEWAYS, `${SIDEWAYS} with 0.3 Q`]); // oxfmt-ignore
  });
  test('say that they lack it where it is not found', () => {
    const untold = { table: [0.01, 0.011].map((period) => ({ period, acceleration: 3 })) };
    expect(solve(shaken(model, untold)).notices.map(({ message }) => message)).toContain(
      'The earthquake was not found, and E, F lack it',
    );
  });
  test('without an earthquake are refused; one that is taken away leaves them', () => {
    const { notices } = checkModel({ ...model, analysis: {} });
    expect(notices.map(({ message }) => message).join()).toMatch(
      'The envelope “E” is to enclose the earthquake, and none is described',
    );
    const left = edited(model, { type: 'set', settings: { analysis: {} } });
    expect(left.combinations[1]).toEqual({ id: 'E', type: 'envelope', of: ['U'] });
  });
  test('what acts beside it is renamed with its case, and goes with it', () => {
    const renamed = edited(model, { type: 'rename', list: 'cases', names: { Q: 'V' } });
    expect(renamed.analysis!.naturalModes!.spectrum!.beside).toEqual({ V: 0.3 });
    const without = edited({ ...model, combinations: [] }, { type: 'remove', list: 'cases', keys: ['Q'] });
    expect(without.analysis!.naturalModes!.spectrum!.beside).toBeUndefined();
  });
});

describe('what is said', () => {
  const said = (model: Model): string => solve(model).notices.map(({ message }) => message).join('\n'); // oxfmt-ignore
  const found = (model: Model): number => solve(model).solution!.outcomes.filter(({ kind }) => kind === 'spectral').length;

  test('of too little mass that takes part', () => {
    expect(said(portal(STANDARD, 1))).toMatch(
      /Earthquake right and left: \d+ % of the mass takes part in 1 mode \(.*Ask for more modes/u,
    );
    expect(found(portal(STANDARD, 1))).toBe(1);
  });
  test('of a period that the spectrum does not tell: nothing is found', () => {
    const table = [0.5, 2].map((period) => ({ period, acceleration: 3 }));
    expect(said(portal({ table }))).toMatch(/Mode \d has a period of .* s, and the table of the spectrum does not reach there/u);
    expect(found(portal({ table }))).toBe(0);
  });
  test('of modes that depend on each other, summed as if they did not', () => {
    const row = sketch({ nodes: [['1', 0, 0], ['2', 0, 4], ['3', 1, 0], ['4', 1, 4]], members: [['a', '1', '2'], ['b', '3', '4']], supports: [clamp('1'), clamp('3')] }); // oxfmt-ignore
    expect(said(shaken(row, { ...STANDARD, modes: 'srss' }))).toMatch('modes 1 and 2 depend on each other');
    // Two posts alike, each with half of the mass: together they push twice as hard, and not √2 times.
    const [one] = baseShears(solve(shaken(row, STANDARD)).solution!);
    expect(one!.together).toBeCloseTo(one!.modes[0]! + one!.modes[1]! + 0 * one!.modes[2]!, -3);
  });
  test.each([
    [{}, 'A spectrum is a shape of the standard or a table, one of them'],
    [{ shape: 'type 1', acceleration: 2 }, 'Of a spectrum by a shape the ground is not said'],
    [{ shape: 'type 1', ground: 'A' }, 'Of a spectrum by a shape the acceleration is not said'],
    [{ ...STANDARD, behaviour: 0.5 }, 'No structure behaves worse than elastically'],
    [{ ...STANDARD, directions: ['z'] }, 'The ground moves along axes of the structure'],
    [{ ...STANDARD, directions: ['x', 'x'] }, 'The direction is named twice'],
    [{ ...STANDARD, directions: [] }, 'The ground moves nowhere'],
    [{ ...STANDARD, beside: { W: 1 } }, 'W'],
    [{ table: [{ period: 1, acceleration: 2 }, { period: 1, acceleration: 3 }] }, 'The periods of a table follow each other'],
    [{ table: [{ period: 0, acceleration: 2 }, { period: 1, acceleration: 3 }], directions: ['y'] }, 'How much of the table acts upwards and downwards is not said'],
    [{ table: [{ period: 0, acceleration: 2 }, { period: 1, acceleration: 3 }], behaviour: 2 }, 'A table is as it stands, and has no behaviour'],
  ])('of a spectrum that makes no sense: %j', (spectrum, words) => {
    const { notices, model } = checkModel(portal(spectrum as SpectrumSettings));
    expect(model).toBeUndefined();
    expect(notices.map(({ message }) => message).join('\n')).toContain(words);
  }); // oxfmt-ignore
});
