import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { clamp, inRow, pin, roller, sketch } from '../test/build';
import { evenly } from '../test/evenly';
import { linesOf, tried } from '../test/influence';
import type { Effect } from './effect';
import { ordinateAt, reversed, type InfluenceLine } from '../results/travelling/line';
import { readTrain, writeTrain, type Axles } from '../model/train';
import { standingLoad, travellingTrain } from './standing-load';
import { worstOf } from '../results/travelling/worst';
import { applyIntent } from '../model/edits/apply-intent';
import { solve } from '../analysis/session';
import { valueAt } from '../results/read';
import { rangeAt } from '../results/read-quantity';
import { checkModel } from '../model/check';
import { randomFrame } from '../test/random-frame';

const units = { force: 'kN', length: 'm' };
const train = (text: string): Axles => {
  const read = readTrain(text, units);
  if (!read.ok) throw new Error(read.reason);
  return read.train;
};
const reasonOf = (text: string): string => {
  const read = readTrain(text, units);
  return read.ok ? '' : read.reason;
};

const spans = (...places: readonly number[]) => inRow(...places).slice(1).map(([id], i) => [`s${i + 1}`, `${i + 1}`, id] as [string, string, string]); // oxfmt-ignore
const beam = (...places: readonly number[]) => sketch({ nodes: inRow(...places), members: spans(...places), supports: [pin('1'), ...places.slice(1).map((_, i) => roller(`${i + 2}`))] }); // oxfmt-ignore
const lineOf = (places: readonly number[], effect: Effect): InfluenceLine =>
  linesOf(beam(...places), { over: spans(...places).map(([id]) => id) }, [effect])[0]!;

describe('a train as it is written', () => {
  test.each<[string, Axles]>([
    ['90 kN', { axles: [9e4], spacings: [] }],
    ['2 × 90 kN at 1.2 m', { axles: [9e4, 9e4], spacings: [1.2] }],
    ['2x90 at 1.2', { axles: [9e4, 9e4], spacings: [1.2] }],
    ['2 × 90 kN at 1.2 m + 60 kN after 350 cm', { axles: [9e4, 9e4, 6e4], spacings: [1.2, 3.5] }],
    ['60 + 2 × 90 at 1.2 after 3', { axles: [6e4, 9e4, 9e4], spacings: [3, 1.2] }],
    ['2 × 300 kN at 1.2 m with 9 kN/m', { axles: [3e5, 3e5], spacings: [1.2], uniform: 9e3 }],
    ['35 + 145 after 4.3 m + 145 after 4.3 to 9 m with 9.3', { axles: [35e3, 145e3, 145e3], spacings: [4.3, 4.3], varies: { behind: 1, most: 9 }, uniform: 9.3e3 }],
    ['35 + 145 after 430 to 900 cm', { axles: [35e3, 145e3], spacings: [4.3], varies: { behind: 0, most: 9 } }],
  ])('%s', (text, expected) => {
    const read = train(text);
    expect(read.axles).toEqual(expected.axles.map((force) => expect.closeTo(force, 6)));
    expect(read.spacings).toEqual(expected.spacings.map((gap) => expect.closeTo(gap, 12)));
    expect(read.varies).toEqual(expected.varies);
    expect(read.uniform ?? 0).toBeCloseTo(expected.uniform ?? 0, 6);
  }); // oxfmt-ignore

  test.each([
    '90 kN',
    '3 × 90 kN at 1.2 m',
    '60 kN + 2 × 90 kN at 1.2 m after 3 m',
    '35 kN + 145 kN after 4.3 m + 145 kN after 4.3 to 9 m with 9.3 kN/m',
    '2 × 90 kN at 1.2 m + 90 kN after 1.2 to 4 m',
  ])('%s is written as it was read', (text) => expect(writeTrain(train(text), units)).toBe(text));

  test.each([
    ['', /no axle/],
    ['2 × 90 kN', /how far apart.*at 1\.2 m/],
    ['90 + 60', /how far it is behind.*after 3\.5 m/],
    ['90 after 3', /in front/],
    ['90 m', /“90 m” is no axle force/],
    ['-5 kN', /greater than 0/],
    ['0 × 90 at 1', /1 to 200 axles/],
    ['500 × 90 at 1', /1 to 200 axles/],
    ['1,5 kN', /comma/],
    ['90 + 60 after 9 to 4 m', /from the less to the greater/],
    ['90 + 60 after 4 to 9 m + 60 after 4 to 9 m', /only one gap/],
    ['90 with 3 with 4', /says once/],
    ['90 kN at 1.2 m', /one axle/],
  ])('“%s” is refused', (text, why) => expect(reasonOf(text)).toMatch(why));
});

describe('a train where it is worst', () => {
  const middle: Effect = { kind: 'along', member: 0, at: 5, quantity: 'Mz' };

  test('two equal axles on a simple beam: at midspan one stands there', () => {
    const { max } = worstOf(lineOf([0, 10], middle), train('2 × 90 kN at 1.2 m'));
    expect(max.value).toBeCloseTo(90e3 * (2.5 + (5 - 1.2) / 2), 6);
    expect(max.axles.some((s) => Math.abs(s - 5) < 1e-9)).toBe(true);
  });

  test('the axle in front decides which way it goes, and impact is on axles alone', () => {
    const shear: Effect = { kind: 'along', member: 0, at: 2, quantity: 'Vy' };
    const uneven: Axles = { ...train('20 + 80 after 3 with 4 kN/m'), impact: 1.2 };
    const { max, min } = worstOf(lineOf([0, 10], shear), uneven);
    // The heavy one just behind the section, the light one 3 m further; then the heavy one just in front of it, the light one off the beam.
    expect(max.value).toBeCloseTo(1.2 * (80e3 * 0.8 + 20e3 * 0.5) + (4e3 * 0.8 * 8) / 2, 6);
    expect(max.way).toBe('forwards');
    expect(max.axles).toEqual([expect.closeTo(5, 9), expect.closeTo(2, 9)]);
    expect(min.value).toBeCloseTo(-1.2 * 80e3 * 0.2 - (4e3 * 0.2 * 2) / 2, 6);
  });

  test('a gap that may vary is as long as it hurts: both on one span, or one on each', () => {
    const over: Effect = { kind: 'along', member: 1, at: 0, quantity: 'Mz' };
    const line = lineOf([0, 10, 20], over);
    const peak = 10 / Math.sqrt(3);
    const least = -(peak * (100 - peak ** 2)) / 400;
    const { min } = worstOf(line, train('100 + 100 after 4 to 12 m'));
    expect(min.value).toBeCloseTo(2 * 100e3 * least, 4);
    expect(Math.abs(min.axles[0]! - min.axles[1]!)).toBeCloseTo(20 - 2 * peak, 6);
    const { min: near } = worstOf(line, train('100 + 100 after 4 to 6 m'));
    expect(near.value).toBeGreaterThan(min.value);
  });

  test('a train longer than the structure stands on it in part', () => {
    const { max, min } = worstOf(lineOf([0, 4], { kind: 'along', member: 0, at: 2, quantity: 'Mz' }), train('3 × 50 kN at 30 m'));
    expect(max.value).toBeCloseTo(50e3, 6);
    expect(min.value).toBeCloseTo(0, 6);
  });

  test('no position of a thousandth of a metre is worse', () => {
    const trains = fc.record({
      forces: fc.array(evenly(1e3, 9e4), { minLength: 1, maxLength: 5 }),
      // Whole thousandths, so that all axles stand at places that are looked at.
      gaps: fc.array(fc.integer({ min: 200, max: 7000 }).map((mm) => mm / 1000), { minLength: 4, maxLength: 4 }), // oxfmt-ignore
      varies: fc.boolean(),
    });
    const clamped = sketch({
      nodes: inRow(0, 3, 7, 9),
      members: spans(0, 3, 7, 9),
      supports: [clamp('1'), roller('3'), roller('4')],
    });
    const asked = fc.constantFrom<Effect>(
      { kind: 'along', member: 1, at: 1.5, quantity: 'Mz' },
      { kind: 'along', member: 0, at: 2, quantity: 'Vy' },
      { kind: 'reaction', node: 0, component: 5 },
      { kind: 'movement', node: 1, component: 1 },
    );
    fc.assert(
      fc.property(trains, asked, ({ forces, gaps, varies }, effect) => {
        const [line] = linesOf(clamped, { over: ['s1', 's2', 's3'] }, [effect]);
        const own = gaps.slice(0, forces.length - 1);
        const some: Axles = {
          axles: forces,
          spacings: own,
          ...(varies && forces.length > 1 && { varies: { behind: 0, most: own[0]! + 2 } }),
        };
        const { max, min } = worstOf(line!, some);
        const size = Math.max(max.value, -min.value);
        let [high, low] = [0, 0];
        for (const seen of [line!, reversed(line!)]) {
          // Values at each thousandth of a metre, so that a position costs no more than a look.
          const at = Float64Array.from({ length: 9001 }, (_, i) => ordinateAt(seen, i / 1000));
          for (const more of some.varies ? [0, 0.4, 1.1, 2] : [0]) {
            const behind = [0];
            own.forEach((gap, i) => behind.push(behind[i]! + gap + (i === 0 ? more : 0)));
            for (let a = 0; a <= 9000 + 1000 * behind.at(-1)!; a++) {
              let value = 0;
              forces.forEach((force, k) => {
                const i = Math.round(a - 1000 * behind[k]!);
                if (i >= 0 && i <= 9000) value += force * at[i]!;
              });
              high = Math.max(high, value);
              low = Math.min(low, value);
            }
          }
        }
        expect(max.value).toBeGreaterThanOrEqual(high - 1e-9 * size);
        expect(min.value).toBeLessThanOrEqual(low + 1e-9 * size);
        if (!some.varies) {
          expect(max.value).toBeLessThanOrEqual(high + 2e-3 * size);
          expect(min.value).toBeGreaterThanOrEqual(low - 2e-3 * size);
        }
        for (const { value, axles } of [max, min]) {
          const there = axles.reduce((sum, s, k) => sum + forces[k]! * ordinateAt(line!, s), 0);
          // A shear force jumps under the axle that decides.
          if (!(effect.kind === 'along' && effect.quantity === 'Vy')) expect(there).toBeCloseTo(value, 3);
        }
      }),
      { numRuns: 40 },
    );
  });
});

test('put on the structure where it is worst, a train brings about what its influence line says', () => {
  const trains = fc.constantFrom('80 kN', '60 kN + 2 × 90 kN at 1.2 m after 2 m', '20 + 80 after 1 to 4 m');
  fc.assert(
    fc.property(
      randomFrame,
      trains,
      fc.nat(),
      fc.constantFrom('run', 'one', 'deck'),
      fc.constantFrom('max', 'min'),
      (frame, text, n, on, side) => {
        const model = checkModel(frame).model!;
        const beams = model.members.map(({ id }) => id).filter((id) => id.startsWith('b'));
        const member = n % model.members.length;
        const effect: Effect = { kind: 'along', member, at: 1, quantity: 'Mz' };
        const nodes = model.nodes.map(({ id }) => id).filter((_, i) => i % 2 === 0);
        const way = on === 'deck' ? { across: nodes } : { over: on === 'one' ? beams.slice(0, 1) : beams };
        const found = tried(model, way, [effect]);
        if (!('lines' in found)) throw new Error(found.map(({ message }) => message).join());
        const axles = { ...train(text), impact: 1.3 };
        const standing = worstOf(found.lines[0]!, axles)[side as 'max'];
        const put = standingLoad(model, found.path, axles, standing);
        const isBeside = !standing.axles.some((s) => s > -1e-7 && s < found.path.length + 1e-7);
        expect(typeof put === 'string').toBe(isBeside);
        if (typeof put === 'string')
          return expect([standing.value, put]).toEqual([0, expect.stringMatching(/no axle on the path/)]);
        const applied = applyIntent(model, put.intent);
        if (!applied.ok) throw new Error(applied.faults.map(({ message }) => message).join());
        const { solution } = solve(applied.model);
        const outcome = solution!.outcomes.findIndex(({ id }) => id === put.caseId);
        const value = valueAt(solution!, outcome, member, 'Mz', 1);
        expect(Math.abs(value - standing.value)).toBeLessThanOrEqual(1e-6 * Math.abs(standing.value) + 1e-3);
        // Put once more, it takes the place of the one before.
        const again = standingLoad(applied.model, found.path, axles, standing);
        const twice = typeof again === 'string' ? undefined : applyIntent(applied.model, again.intent);
        expect(twice?.ok && twice.model.loads.length).toBe(applied.model.loads.length);
      },
    ),
    { numRuns: 40 },
  );
});

test('let to travel, its envelope holds the worst of any influence line; let once more, nothing is there twice', () => {
  const model = checkModel(beam(0, 6, 10)).model!;
  const effect: Effect = { kind: 'along', member: 1, at: 1.5, quantity: 'Mz' };
  const found = tried(model, { over: ['s1', 's2'] }, [effect]);
  if (!('lines' in found)) throw new Error('no lines');
  const some = { ...train('30 kN + 2 × 90 kN at 1.2 m after 2 to 4 m with 3 kN/m'), impact: 1.2 };
  const let1 = (before: typeof model) => {
    const travels = travellingTrain(before, found.path, some);
    if (typeof travels === 'string') throw new Error(travels);
    const applied = applyIntent(before, travels.intent);
    if (!applied.ok) throw new Error(applied.faults.map(({ message }) => message).join());
    return { model: applied.model, envelope: travels.envelope };
  };
  const once = let1(model);
  expect(once.model.actions).toEqual([{ id: 'QT travelling', type: 'travelling', of: ['QT'] }]);
  expect(let1(once.model)).toEqual(once);
  const { solution } = solve(once.model);
  const outcome = solution!.outcomes.findIndex(({ id }) => id === once.envelope);
  const { max, min } = worstOf(found.lines[0]!, some);
  const read = rangeAt(solution!, outcome, 1, 'Mz', 1.5)!;
  expect([read.max / max.value, read.min / min.value]).toEqual([expect.closeTo(1, 9), expect.closeTo(1, 9)]);
  expect(travellingTrain(model, { ...found.path, spans: [{ kind: 'joint', from: 0, to: 6 }] }, some)).toMatch(/not across a stiff joint/); // oxfmt-ignore
});
