import { describe, expect, test } from '@jest/globals';
import { valueAt } from '@rigid-beam/core/results/read';
import { colouredOf, valuesAlong } from './coloured-items';
import { VERTEX, type Path } from './display-list';
import { pointedItems } from './pointed-items';
import { sheetItems } from './sheet-items';
import { solidsOf } from './solids';
import type { View } from './view';
import { labels, lintelModel, paths, solutionOf, view } from './test/demo';

const solution = solutionOf(lintelModel);
const drawn = (more: Partial<View>): Path[] => paths(sheetItems(lintelModel, solution, { ...view, ...more }));
const moments = (more: Partial<View>) => drawn(more).filter(({ stroke, fill }) => stroke === 'moment' || fill === 'moment');
const ordinates = (all: readonly Path[]): number[] =>
  all.flatMap(({ vertices }) => Array.from({ length: vertices.length / VERTEX }, (_, i) => vertices[i * VERTEX + 1]!));

describe('a diagram is drawn', () => {
  test('with ordinates, as an area, or as a line alone', () => {
    const kinds = (style: View['style']) => {
      const all = moments({ style });
      return [all.some(({ parts }) => parts !== undefined), all.some(({ fill }) => fill !== undefined), all.some(({ stroke }) => stroke !== undefined)]; // oxfmt-ignore
    };
    expect(kinds('hatched')).toEqual([true, true, true]);
    expect(kinds('filled')).toEqual([false, true, true]);
    expect(kinds('line')).toEqual([false, false, true]);
  });

  test('moments on the face that is asked for, with their figures; shear stays where it is', () => {
    const [tension, compression] = (['tension', 'compression'] as const).map((face) => ordinates(moments({ face }))) as [number[], number[]]; // oxfmt-ignore
    expect(Math.max(...compression)).toBeCloseTo(-Math.min(...tension), 9);
    const at = (face: View['face']) => labels(sheetItems(lintelModel, solution, { ...view, face })).find(({ role, ink }) => role === 'extreme' && ink === 'moment')!.y; // oxfmt-ignore
    expect(at('compression')).toBeCloseTo(-at('tension'), 9);
    const shear = (face: View['face']) => ordinates(drawn({ face, quantity: 'Vy' }).filter(({ stroke }) => stroke === 'shear'));
    expect(shear('compression')).toEqual(shear('tension'));
  });
});

describe('members in the colour of a value', () => {
  test('each part has the largest of its beginning, middle and end, the strongest ink where it is largest, and figures as ever', () => {
    const values = valuesAlong(solution, 0, 0, 'Mz', 4);
    const length = solution.structure.lengths[0]!;
    [...values].forEach((value, i) => {
      const three = [0, 0.5, 1].map((t) => valueAt(solution, 0, 0, 'Mz', ((i + t) / 4) * length));
      expect(value).toBeCloseTo(
        three.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a)),
        6,
      );
    });
    const all = moments({ style: 'colour' });
    expect(all.every(({ vertices, opacity }) => vertices.length === 2 * VERTEX && opacity! > 0 && opacity! <= 1)).toBe(true);
    expect(Math.max(...all.map(({ opacity }) => opacity!))).toBe(1);
    expect(Math.max(...ordinates(all).map(Math.abs))).toBe(0);
    const words = (style: View['style']) => labels(sheetItems(lintelModel, solution, { ...view, style })).filter(({ ink }) => ink === 'moment').map(({ text }) => text).sort(); // oxfmt-ignore
    expect(words('colour')).toEqual(words('hatched'));
  });

  test('a deflection is no colour: it is the line that members take, which stay as strong as ever; nor are bars', () => {
    const members = (more: Partial<View>) => drawn(more).filter(({ subject }) => subject?.kind === 'member').map(({ opacity, width }) => [opacity, width]); // oxfmt-ignore
    const deflected = { quantity: 'v', style: 'colour' } as const;
    expect(members(deflected)).toEqual(members({ ...deflected, style: 'hatched' }));
    expect(members({ style: 'colour' })).not.toEqual(members({}));
    expect(colouredOf(solution, { ...view, ...deflected })).toBeUndefined();
    expect(colouredOf(solution, { ...view, quantity: 'N', axial: 'bars', style: 'colour' })).toBeUndefined();
    expect(colouredOf(solution, { ...view, quantity: 'N', style: 'colour' })).toEqual({ solution, outcome: 0, quantity: 'N' });
  });

  test('what is drawn besides stands off the members, and what is said where one points does not', () => {
    const shear = drawn({ style: 'colour', also: ['Vy'] }).filter(({ stroke }) => stroke === 'shear');
    expect(Math.max(...ordinates(shear).map(Math.abs))).toBeGreaterThan(0.1);
    const tips = paths(pointedItems(lintelModel, solution, { ...view, style: 'colour' }, lintelModel.members[0]!.id, [1, 0]));
    expect(Math.max(...ordinates(tips).map(Math.abs))).toBe(0);
  });

  test('bodies carry it as a part of the largest, piece by piece, bent or not', () => {
    const shares = solidsOf(lintelModel, new Set(), undefined, { solution, outcome: 0, quantity: 'sigma' }).flatMap((one) => [...one.shares!]); // oxfmt-ignore
    expect(shares).toHaveLength(8 * lintelModel.members.length);
    expect(Math.max(...shares.map(Math.abs))).toBeLessThanOrEqual(1);
    expect(Math.max(...shares.map(Math.abs))).toBeGreaterThan(0.7);
    expect(solidsOf(lintelModel, new Set()).every((one) => one.shares === undefined)).toBe(true);
    const bent = solidsOf(
      lintelModel,
      new Set(),
      { solution, outcome: 0, factor: 10 },
      { solution, outcome: 0, quantity: 'sigma' },
    );
    expect(bent.flatMap((one) => [...one.shares!])).toEqual(shares);
  });
});
