import { expect, test } from '@jest/globals';
import { solve } from '../../analysis/session';
import { readModelFile, writeModelFile } from '../../formats/model-file';
import { filled } from '../catalogue/fill';
import type { Model } from '../../model/model';
import type { SectionPart, Shape } from '../../shapes/shape';
import { sketch } from '../../test/build';
import { fibresOf } from '../fibres';
import { extentOfShape } from '../outline';
import { shapeFault } from '../shape-fault';
import { stiffnessProperties } from '../stiffness-properties';

const rectangle = (h: number, b: number): Shape => ({ type: 'rectangle', h, b });
const halves: readonly SectionPart[] = [
  { shape: rectangle(0.1, 0.1), at: [0, 0.05] },
  { shape: rectangle(0.1, 0.1), at: [0, -0.05] },
];
const built = (parts: readonly SectionPart[]): Shape => ({ type: 'built', parts });

const cantilever = (shape: Shape, extra: Partial<Model> = {}): Model =>
  sketch({
    nodes: [['1', 0, 0, 0], ['2', 2, 0, 0]],
    members: [['a', '1', '2']],
    supports: [{ node: '1', ux: 'fixed', uy: 'fixed', uz: 'fixed', rx: 'fixed', ry: 'fixed', rz: 'fixed' }],
    loads: [{ type: 'node', node: '2', fy: -1000, fz: 300, mx: 50 }],
    extra: { sections: [{ id: 's', shape }], ...extra },
  }); // oxfmt-ignore

const tipOf = (model: Model): Float64Array => solve(model).solution!.responses[0]!.displacements.slice(6, 12);

test('a member of two plates welded together bends, twists and shears as one of the whole plate', () => {
  const sheared = { analysis: { shearDeformation: true } };
  const whole = tipOf(cantilever(rectangle(0.2, 0.1), sheared));
  const parts = tipOf(cantilever(built(halves), sheared));
  parts.forEach((value, k) => expect(Math.abs(value - whole[k]!)).toBeLessThanOrEqual(1e-3 * Math.abs(whole[k]!) + 1e-12));
});

test('what is given beside the parts wins over the mesh', () => {
  expect(stiffnessProperties({ id: 's', shape: built(halves), J: 3e-5 }, ['J', 'Ay'])).toMatchObject({ J: 3e-5 });
  const J = (shape: Shape): number => stiffnessProperties({ id: 's', shape }, ['J']).J!;
  expect(J(built(halves))).toBeCloseTo(J(rectangle(0.2, 0.1)), 7);
});

test('a file names parts by their designation, and gets their shapes; places are read with units', () => {
  const parts = [{ catalogue: 'upn200', at: ['50 mm', 0] }, { catalogue: 'UPN 200', at: ['-50 mm', 0], mirrored: true }]; // oxfmt-ignore
  const file = { ...cantilever(rectangle(1, 1)), sections: [{ id: 's', shape: { type: 'built', parts } }] };
  const { model, notices } = filled(readModelFile(JSON.stringify(file)));
  expect(notices).toEqual([]);
  const read = model!.sections[0]!.shape!.parts!;
  expect(read[0]).toMatchObject({ catalogue: 'UPN 200', at: [0.05, 0], shape: { type: 'channel', h: 0.2 } });
  expect(readModelFile(writeModelFile(model!)).model).toEqual(model);
  const unknown = { ...file, sections: [{ id: 's', shape: { type: 'built', parts: [{ catalogue: 'UPN 205' }] } }] };
  expect(filled(readModelFile(JSON.stringify(unknown))).notices).toMatchObject([
    { path: 'sections[0].shape.parts[0].catalogue', subjects: ['section s'] },
  ]);
});

test('parts that cannot stand so are a fault of the model, with their place', () => {
  const over = built([halves[0]!, { ...halves[1]!, at: [0, 0] }]);
  expect(shapeFault(over)).toMatch(/parts 1 and 2 overlap/);
  expect(solve(cantilever(over))).toMatchObject({
    status: 'invalid',
    notices: [{ code: 'bad-shape', path: 'sections[0].shape' }],
  });
  expect(shapeFault(built([]))).toMatch(/nothing that the section is made of/);
  expect(shapeFault(built([{ outline: [[0, 0], [0.1, 0], [0.1, 0.1, 0.2]] }]))).toMatch(/radius does not fit.*part 1, outline 2/); // oxfmt-ignore
});

test('the farthest fibres of all parts count, and reach as far as an arc does', () => {
  const beside: Shape = built([{ shape: rectangle(0.1, 0.02) }, { shape: { type: 'chs', d: 0.1, t: 0.01 }, at: [0.2, 0] }]);
  const extent = extentOfShape(beside)!;
  const { points } = fibresOf(cantilever(beside))[0]!;
  const zs = points.filter((_, i) => i % 2 === 1);
  expect(Math.min(...zs)).toBeCloseTo(extent.z[0], 12);
  expect(Math.max(...zs) / extent.z[1]).toBeGreaterThanOrEqual(1 - 1e-12);
  expect(Math.max(...zs) / extent.z[1]).toBeLessThan(1.0003);
  expect(extent.z[1] - extent.z[0]).toBeCloseTo(0.26, 12);
});
