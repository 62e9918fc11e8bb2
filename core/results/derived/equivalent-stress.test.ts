import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Section } from '../../model/model';
import { fibresOf } from '../../sections/fibres';
import { shearPoints } from '../../sections/shear-points';
import type { Shape } from '../../shapes/shape';
import { clamp3, pin, roller, sketch, solved } from '../../test/build';
import { randomSpace } from '../../test/random-space';
import { quantityExtremes, rangeAt } from '../read-quantity';
import { isAwaited, withShear } from '../readings';
import { readExtremes } from '../read-extremes';
import { extremesRead } from '../envelope-reading';
import type { Model } from '../../model/model';
import type { Solution } from '../results';

const sheared = (model: Model): Solution => withShear(solved(model).solution, fibresOf(model, shearPoints));
const greatest = (model: Model): number => quantityExtremes(sheared(model), 0, 0, 'sigmaV')!.max.value;

/** A cantilever along X, loaded at its tip, with a section of its own. */
const cantilever = (section: Partial<Section>, tip: object, L = 2): Model =>
  sketch({
    nodes: [['1', 0, 0, 0], ['2', L, 0, 0]], members: [['a', '1', '2']], supports: [clamp3('1')],
    loads: [{ type: 'node', node: '2', ...tip }], extra: { sections: [{ id: 's', ...section }] },
  }); // oxfmt-ignore
const of = (shape: Shape, tip: object, L?: number): number => greatest(cantilever({ shape }, tip, L));

describe('the equivalent stress', () => {
  test('of a tie is its normal stress; of a shaft √3 times the shear of its torque, round, hollow and in a closed tube', () => {
    expect(of({ type: 'rectangle', h: 0.1, b: 0.05 }, { fx: 1e4 })).toBeCloseTo(1e4 / 0.005, 3);
    const [d, t, T] = [0.1, 0.008, 2e3];
    const J = (Math.PI * (d ** 4 - (d - 2 * t) ** 4)) / 32;
    expect(of({ type: 'round', d }, { mx: T }) / ((Math.sqrt(3) * 16 * T) / (Math.PI * d ** 3))).toBeCloseTo(1, 9);
    expect(of({ type: 'chs', d, t }, { mx: T }) / ((Math.sqrt(3) * T * d) / 2 / J)).toBeCloseTo(1, 9);
    // Bredt: T / (2·A·t) in the middle of the wall of a thin closed tube; at its face half a wall more, as J of the wall itself has it.
    const [h, b, w] = [0.2, 0.1, 0.004];
    const [mean, wall] = [(h - w) * (b - w), w];
    const found = of({ type: 'rhs', h, b, t: w, ro: 1.5 * w, ri: 0.5 * w }, { mx: T }) / ((Math.sqrt(3) * T) / (2 * mean * wall));
    expect(found).toBeGreaterThan(1);
    expect(found).toBeLessThan(1.35);
  });

  test('of shear alone: 1.5·V/A in the middle of a rectangle’s side, V·ro²·(1 + 3·(ri/ro)²)/4I on a ring', () => {
    // So short that bending counts for nothing beside it.
    const [h, b, V, L] = [0.2, 0.1, 1e5, 1e-3];
    expect(of({ type: 'rectangle', h, b }, { fy: V }, L) / ((Math.sqrt(3) * 1.5 * V) / (h * b))).toBeCloseTo(1, 2);
    const [ro, ri] = [0.05, 0.03];
    const I = (Math.PI * (ro ** 4 - ri ** 4)) / 4;
    const inside = (V * (3 * ro ** 2 + ri ** 2)) / (4 * I);
    expect(of({ type: 'chs', d: 2 * ro, t: ro - ri }, { fy: V }, L) / (Math.sqrt(3) * inside)).toBeCloseTo(1, 3);
  });

  test('of a shaft that is bent as well: √(σ² + 3τ²) where both are greatest', () => {
    const [d, T, P, L] = [0.08, 3e3, 2e3, 2];
    const [sigma, tau] = [(32 * P * L) / (Math.PI * d ** 3), (16 * T) / (Math.PI * d ** 3)];
    const expected = Math.hypot(sigma, Math.sqrt(3) * tau);
    const found = of({ type: 'round', d }, { mx: T, fy: -P }, L);
    expect(found / expected).toBeCloseTo(1, 3);
  });

  test('in the plane the web of a section counts upright, and its flanges where it lies', () => {
    const shape: Shape = { type: 'i', h: 0.3, b: 0.15, tw: 0.007, tf: 0.011, r: 0.015 };
    const beam = (roll: number): Model =>
      sketch({
        nodes: [['1', 0, 0], ['2', 0.4, 0]], members: [['a', '1', '2', { roll }]], supports: [pin('1'), roller('2')],
        loads: [{ type: 'line', member: 'a', from: { wy: -4e6 }, to: { wy: -4e6 } }], extra: { sections: [{ id: 's', shape }] },
      }); // oxfmt-ignore
    // At the support: V over the web's area, as V·S/(I·t) has it within a few percent.
    const V = (4e6 * 0.4) / 2;
    const upright = rangeAt(sheared(beam(0)), 0, 0, 'sigmaV', 0)!.max;
    expect(upright / ((Math.sqrt(3) * V) / (0.278 * 0.007))).toBeGreaterThan(1);
    expect(upright / ((Math.sqrt(3) * V) / (0.278 * 0.007))).toBeLessThan(1.15);
    const lying = rangeAt(sheared(beam(90)), 0, 0, 'sigmaV', 0)!.max;
    expect(lying / ((Math.sqrt(3) * 1.5 * V) / (2 * 0.15 * 0.011))).toBeGreaterThan(0.9);
    expect(lying / ((Math.sqrt(3) * 1.5 * V) / (2 * 0.15 * 0.011))).toBeLessThan(1.1);
  });

  test('is greatest inside a span where pull, bending and shear all change: found there, not at a place of one of them', () => {
    // A shaft so short that shear and torque count for as much as bending.
    const L = 0.25;
    const model = sketch({
      nodes: [['1', 0, 0, 0], ['2', L, 0, 0]], members: [['a', '1', '2']], supports: [clamp3('1'), { node: '2', uy: 'fixed', uz: 'fixed' }],
      loads: [
        { type: 'line', member: 'a', from: { wx: 5.1e6, wy: 1.1e6 }, to: { wx: -5.2e6, wy: -2.3e6 } },
        { type: 'node', node: '2', fx: -3e5, mx: 19e3 },
      ],
      extra: { sections: [{ id: 's', shape: { type: 'round', d: 0.1 } }] },
    }); // oxfmt-ignore
    const solution = sheared(model);
    const { max } = quantityExtremes(solution, 0, 0, 'sigmaV')!;
    const steps = 3000;
    const sampled = Array.from({ length: steps + 1 }, (_, i) => rangeAt(solution, 0, 0, 'sigmaV', (L * i) / steps)!.max);
    const most = Math.max(...sampled);
    const at = (L * sampled.indexOf(most)) / steps;
    expect([at > 0.1 * L && at < 0.9 * L, Math.abs(at - max.x) < L / steps]).toEqual([true, true]);
    expect(max.value / most).toBeGreaterThanOrEqual(1 - 1e-12);
    expect(max.value / most).toBeLessThan(1 + 1e-5);
  });

  test('is awaited until shear is known, and unknown where a section does not tell it', () => {
    const model = cantilever({ shape: { type: 'rectangle', h: 0.1, b: 0.1 } }, { fy: 1 });
    const plain = solved(model).solution;
    expect([isAwaited(plain, 0, 'sigmaV'), isAwaited(plain, 0, 'sigma'), isAwaited(sheared(model), 0, 'sigmaV')]).toEqual([true, false, false]); // oxfmt-ignore
    expect(quantityExtremes(plain, 0, 0, 'sigmaV')).toBeUndefined();
    const given = cantilever({ A: 0.01, Iz: 1e-5, Iy: 1e-5, J: 1e-5, Wz: 1e-4, Wy: 1e-4 }, { fy: 1 });
    expect(quantityExtremes(sheared(given), 0, 0, 'sigmaV')).toBeUndefined();
  });
});

const shapes: readonly Shape[] = [
  { type: 'rectangle', h: 0.3, b: 0.1 },
  { type: 'chs', d: 0.2, t: 0.01 },
  { type: 'channel', h: 0.2, b: 0.08, tw: 0.008, tf: 0.012, r: 0.01 },
  { type: 'angle', h: 0.12, b: 0.08, t: 0.01, r: 0.01 },
];

test('exact extremes are reached, no place goes beyond them, and an envelope reads the same block by block', () => {
  fc.assert(
    fc.property(randomSpace, fc.constantFrom(...shapes), (any, shape) => {
      const model: Model = { ...any, sections: [{ id: 's', shape }] };
      const solution = sheared(model);
      const reading = readExtremes(solution, 0);
      let step = reading.next();
      while (!step.done) step = reading.next();
      model.members.forEach((_, m) => {
        const { max } = quantityExtremes(solution, 0, m, 'sigmaV')!;
        const normal = quantityExtremes(solution, 0, m, 'sigma')!;
        const slack = 1e-9 * Math.max(max.value, 1e-9);
        expect(max.value).toBeGreaterThanOrEqual(Math.max(normal.max.value, -normal.min.value) - slack);
        const length = solution.structure.lengths[m]!;
        for (let i = 0; i <= 30; i++)
          expect(rangeAt(solution, 0, m, 'sigmaV', (length * i) / 30)!.max).toBeLessThanOrEqual(max.value + slack);
        const read = extremesRead({ extremes: step.value as never, curves: new Map() }, 'sigmaV', m)!;
        expect(Math.abs(read.max.value - max.value)).toBeLessThanOrEqual(slack);
      });
    }),
    { numRuns: 15 },
  );
});
