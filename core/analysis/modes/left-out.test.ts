import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Model } from '../../model/model';
import { lineQuantities } from '../../results/quantities';
import { diagramOfResponse } from '../../results/diagram';
import { valueIn } from '../../results/read';
import { randomFrame } from '../../test/random-frame';
import { randomSpace } from '../../test/random-space';
import { solve } from '../session';

/** Members' own mass only, whose ground is thrown upwards; its case is what 1 m/s² does to it in statics. */
const thrown = (plain: Model, modes: number): Model => ({
  ...plain,
  gravity: 1,
  materials: plain.materials.map((one) => ({ ...one, density: 7850 })),
  cases: [{ id: 'up', category: 'permanent', selfWeight: -1 }],
  loads: [],
  combinations: [],
  analysis: {
    naturalModes: { modes, spectrum: { shape: 'type 1', ground: 'A', acceleration: 1, behaviour: 1, directions: ['y'] } },
  },
});

test.each([['plane', randomFrame], ['space', randomSpace]] as const)('modes and what they leave out add up to statics in 40 frames in the %s', (_, frames) => {
  let compared = 0;
  fc.assert(
    fc.property(frames, fc.integer({ min: 1, max: 6 }), (plain, count) => {
      const { solution } = solve(thrown(plain, count));
      const left = solution?.masses?.leftOut?.[0];
      if (!solution || !left) return;
      const modes = solution.outcomes.flatMap((one) => (one.kind === 'shape' ? [{ ...one, ω2: (2 * Math.PI * one.value) ** 2 }] : []));
      const taking = modes.reduce((sum, { swing }) => sum + swing!.masses[1], 0);
      expect((taking + left.mass) / solution.masses!.moving[1]).toBeCloseTo(1, 7);
      expect(solution.responses[left.at]!.equilibrium.jointResidual).toBeLessThan(1e-6);
      const parts = [...modes.map(({ at, swing, ω2 }) => ({ at, factor: swing!.factors[1] / ω2 })), { at: left.at, factor: 1 }];
      solution.structure.lengths.forEach((L, m) => {
        const read = (at: number) => diagramOfResponse(solution, solution.responses[at]!, m);
        const diagrams = parts.map(({ at, factor }) => ({ diagram: read(at), factor }));
        for (const quantity of lineQuantities) {
          const places = [0, 0.21, 0.5, 0.83, 1].map((part) => part * L);
          const still = places.map((x) => valueIn(read(0), quantity, x));
          const sums = places.map((x) => diagrams.reduce((sum, { diagram, factor }) => sum + factor * valueIn(diagram, quantity, x), 0));
          // Diagrams of modes are cubics that keep to the true ones, and coarser where it is their slope.
          const near = 'VyVzT'.includes(quantity) ? 1e-3 : 1e-4;
          const size = Math.max(0.1 * solution.responses[0]!.equilibrium.size * ('uvw'.includes(quantity) ? 1e-7 : 1), ...still.map(Math.abs), ...diagrams.flatMap(({ diagram, factor }) => places.map((x) => Math.abs(factor * valueIn(diagram, quantity, x))))); // oxfmt-ignore
          sums.forEach((sum, i) => expect([quantity, m, places[i], Math.abs(sum - still[i]!) <= near * size]).toEqual([quantity, m, places[i], true]));
        }
      });
      compared++;
    }),
    { numRuns: 40 },
  );
  expect(compared).toBeGreaterThan(25);
}); // oxfmt-ignore
