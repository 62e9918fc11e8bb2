import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Shape } from '../../combinations/outcome';
import type { Model } from '../../model/model';
import type { Solution } from '../../results/results';
import { massesOf } from '../../stiffness/compile';
import { denseModesUnder, standsUnder } from '../../test/dense-modes';
import { edited } from '../../test/edited';
import { Random } from '../../test/random';
import { randomFrame } from '../../test/random-frame';
import { underAnyLoad } from '../../test/random-loads';
import { randomSpace } from '../../test/random-space';
import { storeyedFrame } from '../../test/storeyed-frame';
import { solve } from '../session';

const heavy = (model: Model): Model => ({ ...model, materials: model.materials.map((one) => ({ ...one, density: 7850 })) });
const swinging = (model: Model): Solution | undefined =>
  solve(model, [], ['natural-modes']).others!.get('natural-modes')!.solution;
const squares = ({ outcomes }: Solution): number[] => outcomes.map((one) => (2 * Math.PI * (one as Shape).value) ** 2);

describe('natural modes by transfer matrices and a dense matrix', () => {
  test.each(['plane', 'space'] as const)('of 200 frames in the %s lie where it turns', (space) => {
    let compared = 0;
    for (let seed = 1; compared < 200; seed++) {
      const plain = heavy(storeyedFrame(new Random(seed), space));
      const model: Model =
        seed % 2 === 0
          ? plain
          : {
              ...plain,
              analysis: { shearDeformation: true },
              sections: plain.sections.map((one) => ({ ...one, Ay: 2e-3, Az: 1e-3 })),
            };
      // Dense matrices of larger ones take their time.
      if (model.members.length > 16) continue;
      const solution = swinging(model)!;
      const λ = squares(solution);
      expect([seed, λ.length]).toEqual([seed, 6]);
      const massOf = massesOf(model);
      const { structure } = solution;
      expect([seed, standsUnder(structure, λ[0]! * (1 - 1e-9), massOf), standsUnder(structure, λ[0]! * (1 + 1e-9), massOf)]).toEqual([seed, true, false]); // oxfmt-ignore
      if (seed % 10 === 0 && model.members.length < 9)
        λ.forEach((one, i) => {
          if (i > 0 && one / λ[i - 1]! < 1 + 1e-7) return;
          expect([seed, i, denseModesUnder(structure, one * (1 - 1e-8), massOf)]).toEqual([seed, i, i]);
        });
      compared++;
    }
    expect(compared).toBe(200);
  });
});

describe('members cut in three', () => {
  test.each([['plane', randomFrame], ['space', randomSpace]] as const)('swing as they did in 60 %s frames with any load for a mass', (_, frames) => {
    let compared = 0;
    fc.assert(
      fc.property(underAnyLoad(frames), (drawn) => {
        // What lies on members, a little of it; at points and on nodes only what weighs.
        const loads = drawn.loads.map((load) =>
          load.type === 'point' || load.type === 'node' ? { ...load, axes: 'global' as const, fy: -Math.abs(load.fy ?? 0) } : load,
        );
        const cases = Object.fromEntries(drawn.cases.map(({ id }) => [id, 0.02]));
        const model = { ...heavy(drawn), loads, analysis: { ...drawn.analysis, naturalModes: { cases } } } as Model;
        const cuts = model.members.filter(({ behaviour }) => behaviour !== 'truss').map(({ id }) => ({ member: id, at: [0.3, 0.65] }));
        const [whole, cut] = [model, edited(model, { type: 'split', cuts })].map(swinging);
        if (!whole || whole.outcomes.length === 0) return;
        compared++;
        const after = squares(cut!);
        squares(whole).forEach((λ, i) => expect(Math.abs(after[i]! / λ - 1)).toBeLessThan(1e-8));
      }),
      { numRuns: 60, seed: 11 },
    );
    expect(compared).toBeGreaterThan(20);
  });
}); // oxfmt-ignore
