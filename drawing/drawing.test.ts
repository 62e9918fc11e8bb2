import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Model } from '@rigid-beam/core/model/model';
import { checkModel } from '@rigid-beam/core/model/check';
import { solve } from '@rigid-beam/core/analysis/session';
import rib from '../examples/glasshouse-rib.rbm.json';
import lintel from '../examples/lintel.rbm.json';
import walk from '../examples/canopy-walk.rbm.json';
import { boundsOf, fit, screenX, screenY, worldX, worldY, zoomAt } from './camera';
import { diagramScale } from './diagram-scale';
import { dimensionItems, levels, showDimension } from './dimension-items';
import { VERTEX, type Item, type Label, type Path } from './display-list';
import { gridItems, gridStep, snapToGrid } from './grid-items';
import { drawnMembers, pointOn } from './geometry';
import { hitTest } from './hit-test';
import { niceBelow } from './nice';
import { placeLabels, roughMeasure } from './place-labels';
import { actingFactors, scaleOfDeflection, scaleOfDiagram, sheetItems } from './sheet-items';
import { sketchMarkup } from './sketch';
import { svgMarkup } from './svg';
import { lookFrom, LOOKS, onWorkPlane, seenPoint } from './projection';
import { quickItems } from './quick-items';
import { snap, straightened, type SnapRequest } from './snap';
import { forceQuantities, plainView, type View } from './view';

const ribModel = checkModel(rib).model!;
const lintelModel = checkModel(lintel).model!;
const solutionOf = (model: Model) => solve(model).solution!;
const flat: View = {
  ...plainView,
  quantity: 'Mz',
  diagramFactor: 1,
  values: true,
  deflected: true,
  reactions: true,
  loads: true,
  dimensions: true,
  names: true,
  scale: 60,
  weight: 1,
};
const view = flat;
const camera = fit({ left: 0, right: 9.9, bottom: 0, top: 0 }, 936, 640, { left: 150, right: 60, top: 80, bottom: 200 });
const labels = (items: readonly Item[]): Label[] => items.filter((item): item is Label => item.kind === 'label');
const paths = (items: readonly Item[]): Path[] => items.filter((item): item is Path => item.kind === 'path');

describe.each(Object.entries(LOOKS))('a space model seen from the %s', (look, { round, height }) => {
  const model = checkModel(walk).model!;
  const solution = solutionOf(model);
  const view: View = { ...flat, projection: lookFrom(round, height), localAxes: true };

  test('is drawn with finite numbers, whatever is shown', () => {
    for (const quantity of forceQuantities)
      for (const outcome of [0, 3, 5])
        for (const item of sheetItems(model, solution, { ...view, quantity, outcome })) {
          const numbers = item.kind === 'label' ? [item.x, item.y] : [...item.vertices];
          expect(numbers.every(Number.isFinite)).toBe(true);
        }
  });

  test('true lengths stay on the members that are seen askew', () => {
    const tie = drawnMembers(model, view).find(({ id }) => id === 'w1')!;
    expect(tie.length).toBeCloseTo(Math.hypot(2, 1.5), 12);
    expect(pointOn(tie, tie.length)).toEqual([expect.closeTo(tie.x2, 12), expect.closeTo(tie.y2, 12)]);
    // Straight at the viewer a member is only a point.
    expect(drawnMembers(model, view).some(({ id }) => id === 'c0')).toBe(look !== 'front');
    expect(paths(quickItems(model, view)).length).toBeGreaterThan(0);
  });
});

describe('the camera', () => {
  test('goes to the screen and back', () => {
    fc.assert(
      fc.property(fc.double({ min: -50, max: 50, noNaN: true }), fc.double({ min: -50, max: 50, noNaN: true }), (x, y) => {
        expect(worldX(camera, screenX(camera, x))).toBeCloseTo(x, 9);
        expect(worldY(camera, screenY(camera, y))).toBeCloseTo(y, 9);
      }),
    );
  });

  test('fits a box between its margins, up is up', () => {
    expect(screenX(camera, 0)).toBeCloseTo(150, 6);
    expect(screenX(camera, 9.9)).toBeCloseTo(876, 6);
    expect(screenY(camera, 1)).toBeLessThan(screenY(camera, 0));
    const tall = fit({ left: 0, right: 0, bottom: 0, top: 10 }, 500, 500, { left: 50, right: 50, top: 50, bottom: 50 });
    expect(screenY(tall, 10)).toBeCloseTo(50, 6);
    expect(screenY(tall, 0)).toBeCloseTo(450, 6);
  });

  test('zooms about the point under the pointer', () => {
    const closer = zoomAt(camera, 300, 200, 1.7);
    expect(closer.scale).toBeCloseTo(1.7 * camera.scale, 9);
    expect(worldX(closer, 300)).toBeCloseTo(worldX(camera, 300), 9);
    expect(worldY(closer, 200)).toBeCloseTo(worldY(camera, 200), 9);
  });

  test('bounds of nothing are nothing', () => expect(boundsOf([])).toBeUndefined());
});

describe('round numbers', () => {
  test.each([
    [0.13, 0.1],
    [1, 1],
    [2.3, 2],
    [7, 5],
    [99, 50],
    [0.0005, 0.0005],
  ])('below %p lies %p', (x, below) => expect(niceBelow(x)).toBeCloseTo(below, 12));

  test('the grid refines as one zooms in, and never below a millimetre', () => {
    const steps = [1, 10, 60, 200, 2000, 1e6].map(gridStep);
    expect(steps).toEqual([10, 1, 0.2, 0.05, 0.005, 0.001]);
    expect(snapToGrid(1.2349, 0.05)).toBe(1.25);
    expect(snapToGrid(-0.01, 0.05)).toBe(0);
    const lines = gridItems(camera);
    expect(lines.length).toBeGreaterThan(20);
    expect(lines.some((item) => item.kind === 'path' && item.stroke === 'gridStrong')).toBe(true);
  });
});

describe('dimensions', () => {
  test('levels closer than a millimetre are one', () => expect(levels([3, 0, 3.0004, 1])).toEqual([0, 1, 3]));

  test.each([
    [3.6, 'm', '3.60'],
    [4.8125, 'm', '4.813'],
    [12, 'm', '12.00'],
    [3.6, 'mm', '3600'],
    [1.905, 'ft', '6.25'],
    [0.5, 'cm', '50'],
  ])('%p in %s reads %p', (metres, unit, text) => expect(showDimension(metres, unit)).toBe(text));

  test('a string of bays and the whole below it, each a thing to type over', () => {
    const texts = labels(dimensionItems(lintelModel, view));
    expect(texts.map(({ text }) => text)).toEqual(['3.60', '4.80', '1.50', '9.90']);
    expect(texts[1]!.subject).toEqual({ kind: 'dimension', axis: 'x', from: 3.6, to: 8.4 });
  });

  test('narrow bays lose their figure, not their ticks', () => {
    const far = dimensionItems(lintelModel, { ...view, scale: 6 });
    expect(labels(far).map(({ text }) => text)).toEqual(['4.80', '9.90']);
    expect(paths(far)).toHaveLength(paths(dimensionItems(lintelModel, view)).length);
  });
});

describe('the drawing of a model', () => {
  const solution = solutionOf(lintelModel);
  const items = sheetItems(lintelModel, solution, view);

  test('shows exact extremes with their units, the governing one strongest', () => {
    const values = labels(items).filter(({ ink }) => ink === 'moment');
    expect(values.map(({ text }) => text)).toEqual(
      expect.arrayContaining(['−12.72 kN·m', '4.839 kN·m', '8.352 kN·m', '−7.089 kN·m']),
    );
    expect(
      values
        .filter(({ role }) => role === 'extreme')
        .map(({ text }) => text)
        .sort(),
    ).toEqual(['8.352 kN·m', '−12.72 kN·m']);
  });

  test('draws moments on the tension face: sagging below, hogging above', () => {
    const outlines = paths(items).filter(({ stroke, closed }) => stroke === 'moment' && !closed);
    const ys = outlines.flatMap(({ vertices }) =>
      Array.from({ length: vertices.length / VERTEX }, (_, i) => vertices[i * VERTEX + 1]!),
    );
    const { perMetre } = scaleOfDiagram(lintelModel, solution, view);
    expect(Math.max(...ys)).toBeCloseTo(12719.271397883922 / perMetre, 6);
    expect(Math.min(...ys)).toBeCloseTo(-8352.407372964688 / perMetre, 6);
  });

  test('its scale stands for a round value, and grows with the user’s factor', () => {
    expect(scaleOfDiagram(lintelModel, solution, view).perMetre).toBeCloseTo(10e3, 6);
    expect(scaleOfDiagram(lintelModel, solution, { ...view, diagramFactor: 2 }).perMetre).toBeCloseTo(5e3, 6);
    expect(diagramScale(0, 5, 1e3, 1)).toEqual({ metresPerUnit: 0, perMetre: 0 });
    expect([1, 2, 5]).toContain(Number(String(scaleOfDeflection(lintelModel, solution, view))[0]));
  });

  test('shows loads with values, reactions, supports and the deflected line', () => {
    expect(
      labels(items)
        .filter(({ ink }) => ink === 'load')
        .map(({ text }) => text),
    ).toEqual(['6 kN/m', '6 kN/m', '6 kN/m']);
    expect(
      labels(items)
        .filter(({ ink }) => ink === 'reaction')
        .map(({ text }) => text),
    ).toEqual(['7.809 kN', '31.17 kN', '23.4 kN']);
    expect(paths(items).filter(({ stroke }) => stroke === 'deflection')).toHaveLength(3);
    for (const node of ['1', '2', '3'])
      expect(paths(items).some(({ subject }) => subject?.kind === 'support' && subject.id === node)).toBe(true);
  });

  test('a load along a chain of members is one thing, with its values at its own two ends', () => {
    const windward = { ...ribModel.loads.find(({ id }) => id === 'windward')!, to: { wy: 0 } } as Model['loads'][number];
    const model: Model = { ...ribModel, loads: [windward, ...ribModel.loads.filter(({ id }) => id === 'leeward')] };
    const selection = [{ kind: 'load', id: 'windward' }] as const;
    const drawn = sheetItems(model, solutionOf(model), { ...view, outcome: 2, selection });
    const said = labels(drawn).filter(({ subject }) => subject?.kind === 'load');
    expect(said.map(({ text, subject }) => [text, subject])).toEqual([
      ['1.5 kN/m', { kind: 'load', id: 'windward', end: 'from' }],
      ['0 kN/m', { kind: 'load', id: 'windward', end: 'to' }],
      ['0.6 kN/m', { kind: 'load', id: 'leeward' }],
    ]);
    const combs = paths(drawn).filter(({ closed, subject }) => !closed && subject?.kind === 'load' && subject.id === 'windward');
    expect(combs.map(({ stroke }) => stroke)).toEqual(['selection', 'selection', 'selection', 'selection']);
  });

  test('axial forces say T or C, and the inks differ', () => {
    const axial = labels(sheetItems(ribModel, solutionOf(ribModel), { ...view, quantity: 'N', outcome: 2 }));
    expect(axial.filter(({ ink }) => ink === 'compression').every(({ text }) => text.startsWith('C '))).toBe(true);
    expect(axial.filter(({ ink }) => ink === 'tension').every(({ text }) => text.startsWith('T '))).toBe(true);
  });

  test('a combination shows its loads with their factors, an envelope two curves and no loads', () => {
    const sum = solution.outcomes.findIndex(({ id }) => id === 'C2');
    expect(labels(sheetItems(lintelModel, solution, { ...view, outcome: sum })).map(({ text }) => text)).toEqual(
      expect.arrayContaining(['1.35 × 6 kN/m', '1.5 × 12 kN/m', '1.5 × 4 kN']),
    );
    const envelope = solution.outcomes.findIndex(({ kind }) => kind === 'envelope');
    const drawn = sheetItems(lintelModel, solution, { ...view, outcome: envelope });
    expect(labels(drawn).some(({ ink }) => ink === 'load')).toBe(false);
    expect(paths(drawn).filter(({ stroke, closed }) => stroke === 'moment' && !closed).length).toBeGreaterThan(
      paths(items).filter(({ stroke, closed }) => stroke === 'moment' && !closed).length,
    );
    expect([...actingFactors(lintelModel, solution, sum)]).toEqual([
      ['G', 1.35],
      ['Q1', 0],
      ['Q2', 1.5],
      ['Q3', 1.5],
    ]);
  });

  test('without results the structure and its loads are still drawn', () => {
    const bare = sheetItems(lintelModel, undefined, view);
    expect(paths(bare).some(({ stroke }) => stroke === 'moment')).toBe(false);
    expect(labels(bare).filter(({ ink }) => ink === 'load')).toHaveLength(3);
  });

  test('every kind of load, support and release is drawn', () => {
    const model: Model = {
      ...lintelModel,
      members: lintelModel.members.map((member, i) => ({
        ...member,
        ...(i === 1 && { releases: { start: { mz: 5e5, ux: 'free', uy: 'free' } }, offset: { end: [-0.2, 0.1, 0] } }),
      })),
      supports: [
        { node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' },
        { node: '2', ux: 2e5, uy: 3e5, rz: 1e5, angle: 20 },
        { node: '3', ux: 'fixed', rz: 'fixed' },
        { node: '4', uy: 'fixed', rz: 'fixed' },
      ],
      loads: [
        { id: 'x1', case: 'G', type: 'thermal', member: 'a', uniform: 20, gradientY: 50 },
        { id: 'x2', case: 'G', type: 'strain', member: 'b', elongation: 0.003 },
        { id: 'x3', case: 'G', type: 'settlement', node: '3', ux: -0.01, rz: 0.002 },
        { id: 'x4', case: 'G', type: 'node', node: '4', mz: 4e3, fx: 2e3 },
        { id: 'x5', case: 'G', type: 'line', member: 'a', axes: 'projected', from: { wy: 0 }, to: { wy: -5e3 } },
        { id: 'x6', case: 'G', type: 'point', member: 'b', at: 1, measure: 'length', axes: 'local', fy: -3e3 },
      ],
    };
    const drawn = sheetItems(model, undefined, view);
    expect(
      labels(drawn)
        .filter(({ ink }) => ink === 'load')
        .map(({ text }) => text),
    ).toEqual([
      '20 K, 50 K/m upwards',
      'too long by 3 mm',
      'moves → −10 mm, ↺ 2 mrad',
      '2 kN',
      '4 kN·m',
      '0 kN/m … 5 kN/m on plan',
      '3 kN',
    ]);
    for (const { vertices } of paths(drawn)) expect(vertices.every(Number.isFinite)).toBe(true);
  });
});

describe('labels', () => {
  test('placed labels never overlap, and the governing values are always there', () => {
    const solution = solutionOf(ribModel);
    const ribCamera = fit({ left: 0, right: 12, bottom: 0, top: 4.5 }, 936, 640, { left: 150, right: 60, top: 80, bottom: 200 });
    const items = sheetItems(ribModel, solution, { ...view, outcome: 2, scale: ribCamera.scale });
    const placed = placeLabels(items, ribCamera, roughMeasure);
    const free = placed.filter(({ label }) => label.rank < 1000);
    for (const [i, a] of free.entries())
      for (const b of free.slice(i + 1))
        expect(
          a.left >= b.left + b.width || b.left >= a.left + a.width || a.top >= b.top + b.height || b.top >= a.top + a.height,
        ).toBe(true);
    expect(placed.filter(({ label }) => label.role === 'extreme')).toHaveLength(2);
    expect(placed.length).toBeLessThanOrEqual(labels(items).length);
  });

  test('what lies outside the view is left out', () => {
    const away = { ...camera, x: 1000 };
    expect(placeLabels(sheetItems(lintelModel, undefined, view), away, roughMeasure)).toEqual([]);
  });
});

describe('hit-testing', () => {
  const items = sheetItems(lintelModel, undefined, { ...view, scale: camera.scale });
  const placed = placeLabels(items, camera, roughMeasure);
  const at = (x: number, y: number, dx = 0, dy = 0) =>
    hitTest(items, placed, camera, screenX(camera, x) + dx, screenY(camera, y) + dy, 7)?.subject;

  test.each<[string, number, number, number, number, object | undefined]>([
    ['a node before the member', 3.6, 0, 2, 2, { kind: 'node', id: '2' }],
    ['a member before the load that ends on it', 5, 0, 0, 1, { kind: 'member', id: 'b' }],
    ['the comb of a load', 5, 0, 0, -15, { kind: 'load', id: '2' }],
    ['a support below its node', 3.6, 0, 0, 12, { kind: 'support', id: '2' }],
    ['empty paper', 6, 3, 0, 0, undefined],
  ])('%s', (_, x, y, dx, dy, subject) => expect(at(x, y, dx, dy)).toEqual(subject));

  test('a text is hit as a whole, and says which', () => {
    const label = placed.find(({ label: { text } }) => text === '4.80')!;
    const hit = hitTest(items, placed, camera, label.left + 3, label.top + 3, 7);
    expect(hit?.subject).toEqual({ kind: 'dimension', axis: 'x', from: 3.6, to: 8.4 });
    expect(hit?.label).toBe(label);
  });
});

describe('SVG', () => {
  test('escapes what a user may have named', () => {
    const markup = svgMarkup(
      [{ kind: 'label', text: '<script>"&\'', x: 0, y: 0, dx: 0, dy: 0, away: [0, 1], ink: 'text', role: 'name', rank: 1 }],
      { ...camera, x: 0, y: 0 },
      () => 'black',
    );
    expect(markup).toContain('&#60;script&#62;&#34;&#38;&#39;');
    expect(markup).not.toContain('<script');
  });

  test('sketches every outcome of the demo with finite numbers and theme colours', () => {
    const solution = solutionOf(ribModel);
    solution.outcomes.forEach((_, outcome) => {
      const markup = sketchMarkup(ribModel, solution, outcome, 138, 50);
      expect(markup).toMatch(/var\(--draw-member\)/);
      expect(markup).not.toMatch(/NaN|Infinity|undefined/);
    });
    expect(sketchMarkup({ ...ribModel, nodes: [], members: [] }, undefined, 0, 138, 50)).toBe('');
  });
});

describe('a look', () => {
  test('is orthonormal, and what is seen on a work plane lies on it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -180, max: 180 }),
        fc.integer({ min: -80, max: 80 }),
        fc.constantFrom('x', 'y', 'z'),
        (round, height, axis) => {
          const projection = lookFrom(round, height);
          const point = onWorkPlane(projection, { axis, at: 1.5 }, 3, -2);
          if (!point) return;
          expect(point[['x', 'y', 'z'].indexOf(axis)]).toBe(1.5);
          expect(seenPoint(projection, point)[0]).toBeCloseTo(3, 9);
          expect(seenPoint(projection, point)[1]).toBeCloseTo(-2, 9);
        },
      ),
    );
  });
});

describe('snapping', () => {
  const at = (x: number, y: number, more: Partial<SnapRequest> = {}) =>
    snap({
      model: ribModel,
      seen: view,
      camera: ribView,
      px: screenX(ribView, x),
      py: screenY(ribView, y),
      plane: { axis: 'z', at: 0 },
      step: 0.1,
      reach: 10,
      ...more,
    });
  const ribView = { x: 3, y: 2, scale: 100, width: 1000, height: 800 };
  const [first] = ribModel.members;
  const ends = [first!.start, first!.end].map((id) => ribModel.nodes.find((node) => node.id === id)!);
  const along = (t: number): [number, number] => [
    ends[0]!.x + t * (ends[1]!.x - ends[0]!.x),
    ends[0]!.y + t * (ends[1]!.y - ends[0]!.y),
  ];

  test('prefers nodes, then marked points of members, then the member, then the grid', () => {
    expect(at(ends[0]!.x + 0.04, ends[0]!.y)).toMatchObject({ kind: 'node', node: ends[0]!.id });
    expect(at(...along(0.51))).toMatchObject({ kind: 'mid-point', on: [{ member: first!.id, at: 0.5 }] });
    expect(at(...along(0.34))).toMatchObject({ kind: 'third' });
    expect(at(...along(0.2))).toMatchObject({ kind: 'member' });
    expect(at(40.04, 30.02)).toMatchObject({ kind: 'grid', at: [40, 30, 0] });
    expect(at(ends[0]!.x, ends[0]!.y, { without: new Set([ends[0]!.id]) })?.kind).not.toBe('node');
  });

  test('crossings of named grid lines come before the grid', () => {
    const model: Model = { ...ribModel, grid: { x: { from: 20.03, steps: [1] } } };
    expect(at(20, 30, { model })).toMatchObject({ kind: 'grid line', at: [20.03, 30, 0] });
  });

  test('a held key keeps to the axes of the plane and to 45°', () => {
    expect(straightened([1, 1, 0], [5, 1.4, 0], 'z')).toEqual([5, 1, 0]);
    expect(straightened([1, 1, 0], [4, 3.4, 0], 'z')).toEqual([4, 4, 0]);
    expect(straightened([0, 0, 2], [1, 0, 7], 'y')).toEqual([0, 0, 7]);
  });
});
