import { describe, expect, test } from '@jest/globals';
import { checkModel } from '@rigid-beam/core/model/check';
import type { Model } from '@rigid-beam/core/model/model';
import { largestMovement } from '@rigid-beam/core/results/movement';
import { governingValues, largestOf } from './diagram-scale';
import { drawnMembers, pointOn } from './geometry';
import { placeItems } from './place-items';
import { pointedItems } from './pointed-items';
import { scaleOfDiagram } from './drawn-scale';
import { sheetItems } from './sheet-items';
import { svgMarkup } from './svg';
import { camera, labels, paths, ribModel, solutionOf } from './test/demo';
import { plainView, type SheetQuantity, type View } from './view';

const solution = solutionOf(ribModel);
const showing = (quantity: SheetQuantity, more: Partial<View> = {}): View => ({
  ...plainView,
  quantity,
  values: 'that matter',
  scale: 60,
  ...more,
});

/** From a point to the line between two vertices, metres. */
function distanceTo(line: Float64Array, { x, y }: { readonly x: number; readonly y: number }): number {
  const [ax, ay, bx, by] = [line[0]!, line[1]!, line[4]!, line[5]!];
  const [dx, dy] = [bx - ax, by - ay];
  const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(ax + t * dx - x, ay + t * dy - y);
}

describe('quantities besides forces', () => {
  test('the largest stress is drawn as large as it is said, on a tie that sags too', () => {
    const view = showing('sigma');
    const { metresPerUnit } = scaleOfDiagram(ribModel, solution, view);
    const largest = largestOf(governingValues(solution, 0, 'sigma'));
    const tie = ribModel.members.findIndex(({ id }) => id === 'tie');
    const level = ribModel.nodes.find(({ id }) => id === ribModel.members[tie]!.start)!.y;
    const ordinates = paths(sheetItems(ribModel, solution, view))
      .filter(({ stroke, parts }) => (stroke === 'tension' || stroke === 'compression') && parts === undefined)
      .filter(({ vertices }) => vertices[1] === level && vertices.at(-3) === level)
      .flatMap(({ vertices }) => Array.from({ length: vertices.length / 4 }, (_, i) => Math.abs(vertices[4 * i + 1]! - level)));
    expect(Math.max(...ordinates) / (metresPerUnit * largest)).toBeCloseTo(1, 9);
  });

  test('tension stands on the side of the moment that causes it, whichever way a member was drawn', () => {
    const beam = (start: string, end: string): Model =>
      checkModel({
        format: 'rigid-beam/model', version: 1, title: '', space: 'plane',
        materials: [{ id: 'm', E: 210e9 }], sections: [{ id: 's', shape: { type: 'rectangle', h: 0.2, b: 0.1 } }],
        nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: 6, y: 0 }], members: [{ id: 'b', start, end, section: 's', material: 'm' }],
        supports: [{ node: '1', ux: 'fixed', uy: 'fixed' }, { node: '2', uy: 'fixed' }], cases: [{ id: 'G', category: 'permanent' }],
        loads: [{ case: 'G', type: 'line', member: 'b', from: { wy: -8e3 }, to: { wy: -8e3 } }, { case: 'G', type: 'node', node: '2', fx: 5e3 }],
      }).model!; // oxfmt-ignore
    const mean = (model: Model, quantity: SheetQuantity, ink: string): number => {
      const curves = paths(sheetItems(model, solutionOf(model), showing(quantity))).filter(({ stroke, closed, parts }) => stroke === ink && !closed && parts === undefined); // oxfmt-ignore
      const ys = curves.flatMap(({ vertices }) => Array.from({ length: vertices.length / 4 }, (_, i) => vertices[4 * i + 1]!));
      return ys.reduce((sum, y) => sum + y, 0) / ys.length;
    };
    for (const model of [beam('1', '2'), beam('2', '1')]) {
      // Below the beam, where it sags and is pulled.
      expect(mean(model, 'Mz', 'moment')).toBeLessThan(0);
      expect(mean(model, 'sigma', 'tension')).toBeLessThan(0);
      expect(mean(model, 'sigma', 'compression')).toBeGreaterThan(0);
      expect(mean(model, 'N', 'tension')).toBeLessThan(0);
    }
  });

  test('what no section tells is not drawn', () => {
    const untold = checkModel({ ...ribModel, sections: ribModel.sections.map(({ id }) => ({ id, A: 1e-3, Iz: 1e-6 })) }).model!;
    const drawn = sheetItems(untold, solutionOf(untold), showing('sigma'));
    expect(paths(drawn).some(({ stroke }) => stroke === 'tension' || stroke === 'compression')).toBe(false);
  });
});

describe('a portal on fixed feet', () => {
  const portal: Model = checkModel({
    format: 'rigid-beam/model', version: 1, title: '', space: 'plane',
    materials: [{ id: 'm', E: 210e9 }], sections: [{ id: 's', shape: { type: 'rectangle', h: 0.2, b: 0.1 } }],
    nodes: [{ id: '1', x: 0, y: 0 }, { id: '2', x: 0, y: 4 }, { id: '3', x: 5, y: 4 }, { id: '4', x: 5, y: 0 }],
    members: [['c', '1', '2'], ['r', '2', '3'], ['d', '4', '3']].map(([id, start, end]) => ({ id, start, end, section: 's', material: 'm' })),
    supports: ['1', '4'].map((node) => ({ node, ux: 'fixed', uy: 'fixed', rz: 'fixed' })),
    cases: [{ id: 'G', category: 'permanent' }],
    loads: [{ case: 'G', type: 'line', member: 'r', from: { wy: -8e3 }, to: { wy: -8e3 } }, { case: 'G', type: 'node', node: '2', fx: 6e3 }],
  }).model!; // oxfmt-ignore
  const solved = solutionOf(portal);
  const items = sheetItems(portal, solved, showing('Mz', { reactions: true }));

  test('the moment round its corner is said once', () => {
    const said = labels(items).filter(({ ink, text }) => ink === 'moment' && text === '16.9 kN·m');
    expect(said).toHaveLength(1);
  });

  test('arcs of the couples that its feet take are open where the columns stand', () => {
    const arcs = paths(items).filter(({ stroke, vertices, fill }) => stroke === 'reaction' && !fill && vertices.length > 40);
    expect(arcs).toHaveLength(2);
    for (const { vertices } of arcs)
      for (let i = 0; i < vertices.length; i += 4)
        expect(Math.atan2(Math.abs(vertices[i + 2]!), vertices[i + 3]!)).toBeGreaterThan(1);
  });

  test('a deflection is the line that the members take, and its figure stands on it, also where all of a member sways', () => {
    const bent = sheetItems(portal, solved, showing('v'));
    const [said] = labels(bent).filter(({ role }) => role === 'extreme');
    expect(said!.text).toMatch(/^[\d.]+ mm$/);
    const distances = paths(bent)
      .filter(({ stroke }) => stroke === 'deflection')
      .flatMap(({ vertices }) =>
        Array.from({ length: vertices.length / 4 - 1 }, (_, i) => distanceTo(vertices.subarray(4 * i, 4 * i + 8), said!)),
      );
    expect(Math.min(...distances)).toBeLessThan(5e-3);
    // The rafter sways as a whole: its figure goes along.
    const { metresPerUnit } = scaleOfDiagram(portal, solved, showing('v'));
    const { at, way, size } = largestMovement(solved, 0)!;
    expect(said!.text).toBe(`${(size * 1e3).toFixed(said!.text.split('.')[1]!.length - 3)} mm`);
    expect(Math.abs(way[0])).toBeGreaterThan(1e-3);
    const member = drawnMembers(portal, plainView).find(({ index }) => index === at.member)!;
    expect(said!.x - pointOn(member, at.x)[0]).toBeCloseTo(metresPerUnit * way[0], 9);
    expect(said!.y - pointOn(member, at.x)[1]).toBeCloseTo(metresPerUnit * way[1], 9);
    // What bends between its own ends is told as a part of its length, nodes by how far they move.
    const others = labels(bent)
      .filter(({ role, ink }) => role === 'value' && ink === 'deflection')
      .map(({ text }) => text);
    expect(others.length).toBeGreaterThan(1);
    for (const text of others) expect(text).toMatch(/^[\d.]+( own, span\/\d+)?$/);
    // Pointed at, a member says the same: what the place moves, not what bends across it.
    const place = pointOn(member, at.x);
    const pointed = labels(pointedItems(portal, solved, showing('v'), member.id, place));
    expect(pointed.map(({ text }) => text)).toContain(said!.text);
    const reading = pointed.find(({ rank }) => rank === Infinity)!.text;
    expect(Math.abs(parseFloat(reading) / (size * 1e3) - 1)).toBeLessThan(1e-2);
    // It is drawn once, also where the deflected line is shown besides.
    const besides = sheetItems(portal, solved, showing('v', { deflected: true }));
    expect(paths(besides).filter(({ stroke }) => stroke === 'deflection')).toHaveLength(portal.members.length);
  });

  test('says where its selected nodes stand, unless there are many', () => {
    const node = (id: string) => ({ kind: 'node', id }) as const;
    const said = placeItems(portal, { ...plainView, selection: [node('3')] });
    expect(said.map(({ text, x, y }) => [text, x, y])).toEqual([['5.00 by 4.00', 5, 4]]);
    const many = Array.from({ length: 7 }, (_, i) => node(String(i)));
    expect(placeItems(portal, { ...plainView, selection: many })).toEqual([]);
  });

  test('an SVG holds what is drawn alike as one', () => {
    const markup = svgMarkup(sheetItems(portal, undefined, plainView), camera, () => 'black');
    expect(markup.match(/stroke-width="3.2"/g)).toHaveLength(1);
    expect(markup.match(/<path d="M[^"]*M[^"]*M[^"]*" fill="none" stroke="black" stroke-width="3.2"/)).not.toBeNull();
  });
});
