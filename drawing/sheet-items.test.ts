import { describe, expect, test } from '@jest/globals';
import type { Model } from '@rigid-beam/core/model/model';
import { diagramOf } from '@rigid-beam/core/results/diagram';
import { zeroPoints } from '@rigid-beam/core/results/zeros';
import { checkModel } from '@rigid-beam/core/model/check';
import walk from '../examples/canopy-walk.rbm.json';
import { diagramScale, governingValues } from './diagram-scale';
import { VERTEX } from './display-list';
import { drawnMembers, pointOn } from './geometry';
import { actingFactors } from './acting-factors';
import { scaleOfDeflection, scaleOfDiagram } from './drawn-scale';
import { sheetItems } from './sheet-items';
import { pointedItems } from './pointed-items';
import { lookFrom, LOOKS } from './projection';
import { quickItems } from './quick-items';
import { sheetQuantities, type View } from './view';
import { ribModel, lintelModel, solutionOf, view, labels, paths } from './test/demo';

describe.each(Object.entries(LOOKS))('a space model seen from the %s', (look, { round, height }) => {
  const model = checkModel(walk).model!;
  const solution = solutionOf(model);
  const askew: View = { ...view, projection: lookFrom(round, height), localAxes: true };

  test('is drawn with finite numbers, whatever is shown', () => {
    for (const quantity of sheetQuantities)
      for (const outcome of [0, 3, 5])
        expect(
          sheetItems(model, solution, { ...askew, quantity, outcome }).every((item) =>
            item.kind === 'label' ? Number.isFinite(item.x + item.y) : item.vertices.every(Number.isFinite),
          ),
        ).toBe(true);
  });

  test('true lengths stay on the members that are seen askew', () => {
    const tie = drawnMembers(model, askew).find(({ id }) => id === 'w1')!;
    expect(tie.length).toBeCloseTo(Math.hypot(2, 1.5), 12);
    expect(pointOn(tie, tie.length)).toEqual([expect.closeTo(tie.x2, 12), expect.closeTo(tie.y2, 12)]);
    // Straight at the viewer a member is only a point.
    expect(drawnMembers(model, askew).some(({ id }) => id === 'c0')).toBe(look !== 'front');
    expect(paths(quickItems(model, askew)).length).toBeGreaterThan(0);
  });
});

describe('the drawing of a model', () => {
  const solution = solutionOf(lintelModel);
  const items = sheetItems(lintelModel, solution, view);

  test('shows exact extremes, those of the whole with their unit, and moments without a sign', () => {
    const values = labels(items).filter(({ ink }) => ink === 'moment');
    expect(values.map(({ text, role }) => `${text} ${role}`)).toEqual([
      '12.7 kN·m extreme',
      '8.4 kN·m extreme',
      '7.1 value',
      '4.8 value',
    ]);
  });

  test('in hand lines are hairlines, and no node has its dot but those that are selected', () => {
    const inHand: View = { ...view, detail: 'outline', quantity: 'none', selection: [{ kind: 'node', id: '1' }] };
    const all = paths(sheetItems(lintelModel, solution, inHand));
    const members = all.filter(({ subject, stroke }) => subject?.kind === 'member' && stroke === 'member');
    expect(members.map(({ width }) => width)).toEqual(lintelModel.members.map(() => 1));
    const dots = all.filter(({ subject, fill }) => subject?.kind === 'node' && fill === 'member');
    expect(dots.map(({ subject }) => subject)).toEqual([{ kind: 'node', id: '1' }]);
  });

  test('a member that is pointed at says all of its values, also those that wait otherwise', () => {
    const small: View = { ...view, scale: 8 };
    expect(labels(sheetItems(lintelModel, solution, small)).filter(({ ink }) => ink === 'moment')).toHaveLength(2);
    const pointed = labels(pointedItems(lintelModel, solution, small, 'a')).map(({ text }) => text);
    expect(pointed).toEqual(['a · lintel', '12.7 kN·m', '4.8']);
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
    expect(scaleOfDiagram(lintelModel, solution, view).perMetre).toBeCloseTo(15e3, 6);
    expect(scaleOfDiagram(lintelModel, solution, { ...view, diagramFactor: 2 }).perMetre).toBeCloseTo(8e3, 6);
    expect(diagramScale(0, 5, 1e3, 1)).toEqual({ metresPerUnit: 0, perMetre: 0 });
    expect([1, 2, 5]).toContain(Number(String(scaleOfDeflection(lintelModel, solution, view))[0]));
  });

  test('on request values where a load changes the diagram, both sides of a jump, and where it is zero', () => {
    const told = (quantity: View['quantity']) => {
      const besides = labels(sheetItems(lintelModel, solution, { ...view, quantity, kinks: true })).map(({ text }) => text);
      const before = labels(sheetItems(lintelModel, solution, { ...view, quantity })).map(({ text }) => text);
      for (const text of before) besides.splice(besides.indexOf(text), 1);
      return besides;
    };
    for (const quantity of ['Vy', 'Mz'] as const) {
      const expected = lintelModel.members.flatMap((_, m) => {
        const diagram = diagramOf(solution, 0, m);
        return zeroPoints(diagram, quantity).filter((x) => x > 1e-6 && x < diagram.length - 1e-6).map((x) => `0 at ${Number(x.toPrecision(3))} m`); // oxfmt-ignore
      });
      expect(told(quantity).filter((text) => text.startsWith('0 at'))).toEqual(expected);
      expect(expected.length).toBeGreaterThan(0);
    }
  });

  test('what is brought forward has its diagram and values, the rest is a hint', () => {
    const faded = new Set(['member:a', 'node:1']);
    const items = sheetItems(lintelModel, solution, { ...view, faded, reactions: true });
    const shown = new Set(
      labels(items).flatMap(({ subject, ink }) => (ink === 'moment' && subject?.kind === 'extreme' ? [subject.member] : [])),
    );
    expect(shown.has('a')).toBe(false);
    expect(shown.size).toBeGreaterThan(0);
    expect(items.some(({ subject }) => subject?.kind === 'reaction' && subject.id === '1')).toBe(false);
    const faint = paths(items).filter(
      ({ subject, stroke }) => subject?.kind === 'member' && subject.id === 'a' && stroke === 'member',
    );
    expect(faint.map(({ opacity }) => opacity)).toEqual([0.5]);
  });

  test('to a scale that was chosen, and several quantities, each to its own', () => {
    const chosen = { ...view, scales: { Mz: 1 / 40e3 } };
    expect(scaleOfDiagram(lintelModel, solution, chosen)).toEqual({ metresPerUnit: 1 / 40e3, perMetre: 40e3 });
    expect(scaleOfDeflection(lintelModel, solution, { ...view, scales: { v: 70 } })).toBe(70);
    const both = sheetItems(lintelModel, solution, { ...chosen, also: ['Vy'] });
    const reach = (ink: string): number =>
      Math.max(
        ...paths(both)
          .filter(({ stroke, closed }) => stroke === ink && !closed)
          .flatMap(({ vertices }) =>
            Array.from({ length: vertices.length / VERTEX }, (_, i) => Math.abs(vertices[i * VERTEX + 1]!)),
          ),
      );
    expect(reach('moment')).toBeCloseTo(12719.271397883922 / 40e3, 6);
    const shear = governingValues(solution, 0, 'Vy')!;
    const { metresPerUnit } = scaleOfDiagram(lintelModel, solution, { ...view, quantity: 'Vy' });
    expect(reach('shear')).toBeCloseTo(Math.max(shear.max.value, -shear.min.value) * metresPerUnit, 6);
  });

  test('shows loads with values, reactions, supports and the deflected line', () => {
    expect(
      labels(items)
        .filter(({ ink }) => ink === 'load')
        .map(({ text }) => text),
    ).toEqual(['6 kN/m']);
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

  test('the loads of a case with a colour of its own are drawn in it', () => {
    const cases = lintelModel.cases.map((one) => (one.id === 'G' ? { ...one, colour: 'indigo' as const } : one));
    const drawn = sheetItems({ ...lintelModel, cases }, solution, view);
    expect(labels(drawn).filter(({ role }) => role === 'load').map(({ ink }) => ink)).toEqual(['load-indigo']); // oxfmt-ignore
    expect(paths(drawn).some(({ stroke, fill }) => stroke === 'load' || fill === 'load')).toBe(false);
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
      ['Q2', 1.5],
      ['Q3', 1.5],
    ]);
  });

  test('without results the structure and its loads are still drawn', () => {
    const bare = sheetItems(lintelModel, undefined, view);
    expect(paths(bare).some(({ stroke }) => stroke === 'moment')).toBe(false);
    expect(labels(bare).filter(({ ink }) => ink === 'load')).toHaveLength(1);
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
      '20 K warmer and 50 K/m warmer above',
      '3 mm too long',
      '10 mm',
      '2 mrad',
      '0 kN/m … 5 kN/m on plan',
      '3 kN',
      '2 kN',
      '4 kN·m',
    ]);
    for (const { vertices } of paths(drawn)) expect(vertices.every(Number.isFinite)).toBe(true);
  });
});
