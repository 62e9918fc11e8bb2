import { expect, test } from '@jest/globals';
import { emptyModel, type Model } from '../model/model';
import { solve } from '../analysis/session';
import { nodalAt } from '../results/read';
import { checkModel } from '../model/check';
import { billOf, together } from './bill';
import { shapeCalled } from './catalogue/search';

const model: Model = {
  ...emptyModel('Potting shed'),
  materials: [
    { id: 'steel', E: 210e9, density: 7850 },
    { id: 'oak', E: 11e9 },
  ],
  sections: [
    { id: 'bar', shape: { type: 'round', d: 0.1 } },
    { id: 'box', shape: { type: 'rhs', h: 0.2, b: 0.1, t: 0.01, ro: 0.02 } },
    { id: 'typed', A: 0.01, Iz: 1e-5 },
    { id: 'spare', shape: { type: 'rectangle', h: 0.2, b: 0.1 } },
  ],
  nodes: [
    { id: '1', x: 0, y: 0 },
    { id: '2', x: 3, y: 4 },
    { id: '3', x: 3, y: 0 },
  ],
  members: [
    { id: 'a', start: '1', end: '2', section: 'bar', material: 'steel' },
    { id: 'b', start: '1', end: '3', section: 'bar', material: 'steel', offset: { start: [0.5, 0, 0] } },
    { id: 'c', start: '3', end: '2', section: 'box', material: 'oak' },
    { id: 'd', start: '3', end: '2', section: 'typed', material: 'steel' },
  ],
};

test('members, lengths between offset ends, mass and painted surface by section; nothing where it is not known', () => {
  const rows = billOf(model);
  const bar = rows[0]!;
  expect([bar.members, bar.length]).toEqual([2, 7.5]);
  expect(bar.mass).toBeCloseTo(7.5 * 7850 * Math.PI * 0.05 ** 2, 9);
  expect(bar.surface).toBeCloseTo(7.5 * Math.PI * 0.1, 12);
  // Without a density there is no mass; a tube is painted outside.
  expect(rows[1]).toMatchObject({ members: 1, mass: undefined });
  expect(rows[1]!.surface).toBeCloseTo(4 * (0.6 - 8 * 0.02 + 2 * Math.PI * 0.02), 12);
  expect(rows[2]).toMatchObject({ mass: 4 * 7850 * 0.01, surface: undefined });
  expect(rows[3]).toEqual({ section: 'spare', members: 0, length: 0, mass: 0, surface: 0 });
  expect(together(rows)).toEqual({ mass: undefined, surface: undefined });
  expect(together([rows[0]!, rows[3]!]).mass).toBeCloseTo(bar.mass!, 9);
});

test('a tube that is calculated with a thinner wall weighs what the whole wall does, in the bill and in self weight', () => {
  const POUND = 0.45359237;
  const tube = shapeCalled('HSS6x6x1/4')!;
  const beam: Model = {
    ...emptyModel('Rail'),
    materials: [{ id: 'steel', E: 2e11, density: 7850 }],
    sections: [{ id: 'rail', catalogue: tube.designation, shape: tube.shape }],
    nodes: [
      { id: '1', x: 0, y: 0 },
      { id: '2', x: 3, y: 0 },
    ],
    members: [{ id: 'a', start: '1', end: '2', section: 'rail', material: 'steel' }],
    supports: [{ node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' }],
  };
  const mass = (3 / 0.3048) * 19.02 * POUND;
  expect(billOf(beam)[0]!.mass! / mass).toBeCloseTo(1, 3);
  const { solution } = solve(checkModel(beam).model!);
  const own = beam.cases.findIndex(({ selfWeight }) => selfWeight === 1);
  expect(nodalAt(solution!, own, 'reactions', 1) / (mass * 9.80665)).toBeCloseTo(1, 3);
});
