import { describe, expect, test } from '@jest/globals';
import { checkModel } from '../../model/check';
import type { AnalysisSettings } from '../../model/analysis-settings';
import type { Model } from '../../model/model';
import { jointOf } from '../../results/bodies/joint';
import { memberBody } from '../../results/bodies/member-body';
import { extremes } from '../../results/extremes';
import { readCurve } from '../../results/read-curve';
import { readExtremes } from '../../results/read-extremes';
import { ended } from '../../results/read-now';
import { edited } from '../../test/edited';
import { clamp, EI, pin, Reading, roller, sketch, solved } from '../../test/build';
import { AnalysisSession, solve } from '../session';

const H = 4;
const P = 2e5;
/** A cantilever column under P, without anything that pushes it aside. */
const column = (analysis: AnalysisSettings, H0 = 0): Model =>
  sketch({ nodes: [['1', 0, 0], ['2', 0, H]], members: [['m', '1', '2']], supports: [clamp('1')],
    loads: [{ case: 'G', type: 'node', node: '2', fy: -P }, { case: 'W', type: 'node', node: '2', fx: H0 }],
    extra: { analysis, cases: [{ id: 'G', category: 'permanent' }, { id: 'W', category: 'wind' }], combinations: [
      { id: 'U', type: 'sum', factors: { G: 1.5, W: 1 }, limitState: 'strength' },
      { id: 'S', type: 'sum', factors: { G: 1, W: 1 }, limitState: 'service' }, { id: 'E', type: 'envelope', of: ['U', 'S'] }] } }); // oxfmt-ignore
/** The moment at the foot when a column that leans by φ bears N: N·φ·tan(kH)/k. */
const foot = (N: number, angle: number): number => {
  const k = Math.sqrt(N / EI);
  return (N * angle * Math.tan(k * H)) / k;
};

describe('what the model asks for', () => {
  test('only combinations of the limit state are displaced, the others stay sums of the first order', () => {
    const r = solved(column({ secondOrder: { of: 'strength' } }, 1e3));
    const k = Math.sqrt((1.5 * P) / EI);
    expect(r.reaction('1', 'U')[2]! / ((1e3 * Math.tan(k * H)) / k)).toBeCloseTo(1, 9);
    expect(r.reaction('1', 'S')[2]).toBeCloseTo(1e3 * H, 6);
    expect(r.solution.outcomes.map(({ kind }) => kind)).toEqual([
      'solved',
      'solved',
      'solved',
      'superposed',
      'envelope',
      'superposed',
    ]);
    expect(r.max('m', 'Mz', 'E').value).toBeCloseTo(Math.max(r.max('m', 'Mz', 'U').value, r.max('m', 'Mz', 'S').value), 3);
    // The first order of it stands behind, to be looked at beside it, and that of all of it in results of its own.
    expect(r.reaction('1', 'U, first order')[2]).toBeCloseTo(1e3 * H, 6);
    expect(new Reading(r.results.others!.get('first-order')!).reaction('1', 'U')[2]).toBeCloseTo(1e3 * H, 6);
  });

  test('an envelope of both is read ahead as one by one, shapes beside them or not', () => {
    for (const buckling of [undefined, { of: ['U'], modes: 2 }]) {
      const { solution } = solved(column({ secondOrder: { of: 'strength' }, ...(buckling && { buckling }) }, 1e3));
      const at = (id: string): number => solution.outcomes.findIndex((one) => one.id === id);
      const read = ended(readExtremes(solution, at('E')));
      const curve = ended(readCurve(solution, at('E'), 'Mz'));
      for (const quantity of ['Mz', 'N', 'v'] as const) {
        const both = ['U', 'S'].map((id) => extremes(solution, at(id), 0, quantity));
        const { values } = read.get(quantity)!;
        expect(values[0]).toBeCloseTo(Math.max(...both.map(({ max }) => max.value)), 6);
        expect(values[2]).toBeCloseTo(Math.min(...both.map(({ min }) => min.value)), 6);
      }
      expect(Math.max(...curve.max)).toBeCloseTo(
        Math.max(...['U', 'S'].map((id) => extremes(solution, at(id), 0, 'Mz').max.value)),
        6,
      );
    }
  });

  test.each([
    [{ angle: 1 / 200 }, 1 / 200, 1],
    [{ height: 9, columns: 2 }, ((2 / 3) * Math.sqrt(0.75)) / 200, 1],
    [{ angle: 0.01, towards: 'left' as const }, 0.01, -1],
  ])('leans by %j', (sway, angle, side) => {
    const r = solved(column({ secondOrder: { of: 'combinations', sway } }));
    expect((side * r.reaction('1', 'U')[2]!) / foot(1.5 * P, angle)).toBeCloseTo(1, 9);
    expect(r.solution.displaced![2]!.sway[0]).toBeCloseTo(side * angle, 12);
  });

  test('it leans the way in which the loads go', () => {
    for (const push of [1e3, -1e3]) {
      const r = solved(column({ secondOrder: { of: 'strength', sway: { angle: 0.005 } } }, push));
      const k = Math.sqrt((1.5 * P) / EI);
      const exact = (Math.abs(push) * Math.tan(k * H)) / k + foot(1.5 * P, 0.005);
      expect((Math.sign(push) * r.reaction('1', 'U')[2]!) / exact).toBeCloseTo(1, 9);
    }
  });

  test('a strut bows to the side to which it bends: N·e₀ under a parabola', () => {
    const [L, q, ratio] = [5, 1e3, 1 / 250];
    const N = (0.6 * Math.PI ** 2 * EI) / L ** 2;
    const r = solved(sketch({ nodes: [['1', 0, 0], ['2', L, 0]], members: [['m', '1', '2']], supports: [pin('1'), roller('2')],
      loads: [{ type: 'node', node: '2', fx: -N }, { type: 'line', member: 'm', from: { wy: -q }, to: { wy: -q } }],
      extra: { analysis: { secondOrder: { of: 'everything', bow: { curve: 'b' } } } } })); // oxfmt-ignore
    // A parabola of height e₀ under N bends like a load of 8·N·e₀/L².
    const whole = q + (8 * N * ratio * L) / L ** 2;
    const k = Math.sqrt(N / EI);
    expect(r.max('m', 'Mz').value / ((whole / k ** 2) * (1 / Math.cos((k * L) / 2) - 1))).toBeCloseTo(1, 8);
  });

  test.each<[string, AnalysisSettings, RegExp]>([
    ['angle and height', { secondOrder: { of: 'strength', sway: { angle: 0.005, height: 4 } } }, /given twice/],
    ['no sway', { secondOrder: { of: 'strength', sway: {} } }, /is not said/],
    ['an angle in degrees', { secondOrder: { of: 'strength', sway: { angle: 0.5 } } }, /no imperfection/],
    ['out of the plane', { secondOrder: { of: 'strength', sway: { angle: 0.005, towards: 'back' } } }, /does not lean/],
    ['half a column', { secondOrder: { of: 'strength', sway: { height: 4, columns: 1.5 } } }, /Columns are counted/],
    ['bow twice', { secondOrder: { of: 'strength', bow: { ratio: 0.004, curve: 'a' } } }, /one of them/],
    ['more stiffness than there is', { secondOrder: { of: 'strength', stiffness: { m: 1.2 } } }, /no more than all of it/],
    ['the stiffness of nothing', { secondOrder: { of: 'strength', stiffness: { x: 0.8 } } }, /no material “x”/],
    ['modes of nothing', { buckling: { of: ['X'] } }, /no case or combination “X”/],
    ['too many modes', { buckling: { of: ['U'], modes: 99 } }, /at most 24/],
  ])('%s make no sense', (_, analysis, words) => {
    const { model, notices } = checkModel(column(analysis));
    expect([model, notices.map(({ message }) => message).join()]).toEqual([undefined, expect.stringMatching(words)]);
  });

  test('second order tends to the first as the loads vanish', () => {
    const of = (factor: number, run: 'first-order' | 'second-order'): number => {
      const model = column({ secondOrder: { of: 'strength' } }, 1e3 * factor);
      const small = {
        ...model,
        loads: model.loads.map((load) =>
          load.type === 'node' && load.fy ? { ...load, fy: (load.fy as number) * factor } : load,
        ),
      };
      const results = solve(small);
      return (
        new Reading(run === 'second-order' ? results : results.others!.get('first-order')!).displacement('2', 'U')[0]! / factor
      );
    };
    expect(of(1, 'second-order') / of(1, 'first-order')).toBeGreaterThan(1.3);
    expect(of(1e-8, 'second-order') / of(1e-8, 'first-order')).toBeCloseTo(1, 7);
  });

  test('of a reduced stiffness only the second order makes less', () => {
    const r = solved(column({ secondOrder: { of: 'service', stiffness: { m: 0.8 } } }, 1e3));
    const k = Math.sqrt(P / (0.8 * EI));
    expect(r.reaction('1', 'S')[2]! / ((1e3 * Math.tan(k * H)) / k)).toBeCloseTo(1, 9);
    expect(r.displacement('2', 'W')[0]! / ((1e3 * H ** 3) / (3 * EI))).toBeCloseTo(1, 9);
    expect(r.displacement('2', 'S, first order')[0]! / ((1e3 * H ** 3) / (3 * EI))).toBeCloseTo(1, 9);
  });

  test('what the settings name is followed by edits', () => {
    const model = column({ secondOrder: { of: 'strength', stiffness: { m: 0.8 } }, buckling: { of: ['U', 'S'] } });
    const renamed = edited(edited(model, { type: 'rename', list: 'materials', names: { m: 'steel' } }), {
      type: 'rename',
      list: 'combinations',
      names: { U: 'V' },
    });
    expect([renamed.analysis!.secondOrder!.stiffness, renamed.analysis!.buckling!.of]).toEqual([{ steel: 0.8 }, ['V', 'S']]);
    const less = edited(model, { type: 'remove', list: 'combinations', keys: ['U', 'S'] });
    expect(less.analysis!.buckling).toBeUndefined();
  });

  test('members and joints are in balance on the displaced axis', () => {
    for (const imperfect of [{}, { sway: { angle: 0.005 } }, { bow: { ratio: 0.004 } }]) {
      const { solution } = solved(column({ secondOrder: { of: 'strength', ...imperfect } }, 2e3));
      const at = solution.outcomes.findIndex(({ id }) => id === 'U');
      const body = memberBody(solution, at, 0);
      expect(body.residual).toBeLessThan(1e-6);
      expect(Math.abs(body.displaced[5])).toBeGreaterThan(1e3);
      for (const node of [0, 1]) expect(jointOf(solution, at, node).residual).toBeLessThan(1e-9);
    }
  });

  test('edit after edit it is what a fresh analysis finds', () => {
    const session = new AnalysisSession();
    for (const [push, of] of [[1e3, 'strength'], [2e3, 'strength'], [2e3, 'combinations'], [0, 'everything']] as const) {
      const model = column({ secondOrder: { of, sway: { angle: 0.004 } } }, push);
      const now = new Reading(session.update(model).now);
      expect(now.reaction('1', 'U')).toEqual(solved(model).reaction('1', 'U'));
    }
    session.close();
  }); // oxfmt-ignore
});
