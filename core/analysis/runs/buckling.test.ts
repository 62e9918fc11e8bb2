import { describe, expect, test } from '@jest/globals';
import type { Model } from '../../model/model';
import { bucklingLengths } from '../../results/buckling-lengths';
import { defaultDisplay } from '../../quantities/display';
import { resultTable } from '../../tables/results/lists';
import { clamp, EI, pin, sketch, solved } from '../../test/build';

const [h, b] = [4, 6];
/** A portal on pinned feet whose left column bears three times what the right one does. */
const portal = (analysis: Model['analysis']): Model =>
  sketch({ nodes: [['1', 0, 0], ['2', 0, h], ['3', b, h], ['4', b, 0]], members: [['l', '1', '2'], ['t', '2', '3'], ['r', '4', '3']],
    supports: [pin('1'), clamp('4')], loads: [{ type: 'node', node: '2', fy: -3e4 }, { type: 'node', node: '3', fy: -1e4 }],
    extra: { analysis, combinations: [{ id: 'U', type: 'sum', factors: { Q: 1.5 } }, { id: 'E', type: 'envelope', of: ['Q', 'U'] }] } }); // oxfmt-ignore

describe('critical loads that the model asks for', () => {
  test('stand behind its outcomes, by their factors, and the same of twice the load is half', () => {
    const { solution } = solved(portal({ buckling: { of: ['Q', 'U'], modes: 2 } }));
    const shapes = solution.outcomes.filter((one) => one.kind === 'shape');
    expect(shapes.map(({ id }) => id)).toEqual(['Buckling 1 of Q', 'Buckling 2 of Q', 'Buckling 1 of U', 'Buckling 2 of U']);
    expect(shapes[2]!.value * 1.5).toBeCloseTo(shapes[0]!.value, 6);
    expect(solution.outcomes.slice(0, 3).map(({ id }) => id)).toEqual(['Q', 'U', 'E']);
  });

  test('buckling lengths are those of Euler’s strut under the same force', () => {
    const { solution } = solved(portal({ buckling: { of: ['Q'], modes: 1 } }));
    const at = solution.outcomes.findIndex(({ kind }) => kind === 'shape');
    const shape = solution.outcomes[at]!;
    const found = bucklingLengths(solution, at);
    expect(found.map(({ member }) => solution.structure.names.members[member])).toEqual(['l', 'r']);
    for (const { effective, force } of found)
      expect((Math.PI ** 2 * EI) / effective ** 2 / (-force * (shape.kind === 'shape' ? shape.value : 0))).toBeCloseTo(1, 9);
    expect(Math.max(...found.map(({ share }) => share))).toBeLessThanOrEqual(1);
    expect(bucklingLengths(solution, 0)).toEqual([]);
    const table = resultTable(solution, 'bucklingLengths', { outcome: at, of: 'itself', places: 2 }, defaultDisplay)!;
    const cells = table.rows.map((row) => table.columns.map((column) => column.value(row)));
    expect(cells.map(([id]) => id)).toEqual(['l', 'r']);
    expect(cells[0]![3]).toBeCloseTo(found[0]!.effective, 12);
    expect(cells.map((row) => row[5])).toEqual(cells.map(() => expect.stringMatching(/^stores \d+ %$/)));
  });

  test('of reversed loads the factors are negative, and those of the loads turned round', () => {
    const { solution } = solved(portal({ buckling: { of: ['Q'], modes: 2, negative: true } }));
    const model = portal({ buckling: { of: ['Q'], modes: 2 } });
    const turned = solved({
      ...model,
      loads: model.loads.map((one) => ({ ...one, fy: -(one as { fy: number }).fy })) as Model['loads'],
    });
    const shapes = (of: typeof solution): number[] => of.outcomes.flatMap((one) => (one.kind === 'shape' ? [one.value] : []));
    const [first, second, ...reversed] = shapes(solution);
    expect([first! > 0, second! > first!, reversed.length]).toEqual([true, true, 2]);
    shapes(turned.solution).forEach((factor, i) => expect(reversed[i]! / -factor).toBeCloseTo(1, 8));
    const at = solution.outcomes.findIndex(({ id }) => id === 'Buckling 1 of Q reversed');
    for (const { effective, length, force } of bucklingLengths(solution, at))
      expect([force > 0, effective > length / 10]).toEqual([true, true]);
  });

  test('of an envelope none are found, and it is said', () => {
    const { results } = solved(portal({ buckling: { of: ['E'] } }));
    expect(results.notices.map(({ message }) => message).join()).toMatch(/“E” are not found: it is a range/);
    expect(results.status).toBe('solved');
  });

  test('beside the second order they are those of the first-order forces all the same', () => {
    const value = (analysis: Model['analysis']): number => {
      const shape = solved(portal(analysis)).solution.outcomes.find((one) => one.kind === 'shape')!;
      return shape.kind === 'shape' ? shape.value : NaN;
    };
    const buckling = { of: ['U'], modes: 1 };
    expect(value({ buckling, secondOrder: { of: 'everything' } })).toBeCloseTo(value({ buckling }), 9);
  });
});
