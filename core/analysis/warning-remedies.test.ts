import { expect, test } from '@jest/globals';
import { pin, sketch } from '../test/build';
import { applyIntent } from '../model/edits/apply-intent';
import type { Material, Model } from '../model/model';
import { solve } from './session';
import { remedyOfWarning } from './warning-remedies';

/** A beam of each material under its own weight, side by side. */
const beams = (materials: Material[], part: Partial<Model> = {}): Model => {
  const ids = materials.map((_, i) => `${i + 1}`);
  const shape = sketch({
    nodes: ids.flatMap((id, i) => [[`${id}a`, 8 * i, 0], [`${id}b`, 8 * i + 4, 0]] as [string, number, number][]),
    members: ids.map((id) => [id, `${id}a`, `${id}b`]),
    supports: ids.flatMap((id) => [pin(`${id}a`), pin(`${id}b`)]),
  }); // oxfmt-ignore
  return {
    ...shape,
    materials,
    members: shape.members.map((member, i) => ({ ...member, material: materials[i]!.id })),
    cases: [{ id: 'Q', category: 'permanent', selfWeight: 1 }],
    ...part,
  };
};
const warned = (model: Model) => solve(model).notices.filter(({ severity }) => severity === 'warning');
const remedyOf = (model: Model) => remedyOfWarning(model, warned(model)[0]!);
const mended = (model: Model): Model => {
  const applied = applyIntent(model, remedyOf(model)!.intent);
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  return applied.model;
};
const dense = { id: 'm', E: 210e9, density: 7850 };
const timber = { id: 't', E: 11e9, density: 420 };

test('a material without a density gets that of the standard one that is as stiff', () => {
  const model = beams([{ id: 'm', E: 205e9, nu: 0.3 }]);
  expect(warned(model).map(({ code }) => code)).toEqual(['no-density']);
  expect(remedyOf(model)!.words).toMatch(/^Take 7850 kg\/m³, as for S/);
  const after = mended(model);
  expect(after.materials[0]!.density).toBe(7850);
  expect(warned(after)).toEqual([]);
});

test('the words are in the units of the project', () =>
  expect(remedyOf(beams([{ id: 'm', E: 205e9 }], { display: { length: 'ft' } }))!.words).toMatch(
    /^Take 490(\.\d)? lb\/ft³, as for S/,
  ));

test('what no standard is like is left to think about', () => {
  expect(remedyOf(beams([{ id: 'm', E: 150e9, nu: 0.3 }]))).toBeUndefined();
  expect(remedyOf(beams([dense, { ...timber, E: 150e9 }], { analysis: { shearDeformation: true } }))).toBeUndefined();
});

test('shear deformation without a modulus: each material takes its own, and the words tell all of them', () => {
  const many = Array.from({ length: 21 }, () => dense.id);
  const model = beams([dense, timber], { analysis: { shearDeformation: true } });
  const longer = { ...model, members: [...many.map((_, i) => ({ ...model.members[0]!, id: `m${i}` })), ...model.members] };
  expect(warned(longer).map(({ code }) => code)).toContain('no-shear-modulus');
  const remedy = remedyOfWarning(
    longer,
    warned(longer).find(({ code }) => code === 'no-shear-modulus')!,
  )!;
  expect(remedy.words).toMatch(/^Take Poisson’s ratio 0\.3, as for S\w+, and G = 0\.69 GPa, as for C24$/);
  const applied = applyIntent(longer, remedy.intent);
  expect(applied.ok && applied.model.materials.map(({ nu, G }) => [nu, G])).toEqual([[0.3, undefined], [undefined, 0.69e9]]); // oxfmt-ignore
});

test('a node on a member that it is not joined to is joined', () => {
  const model = beams([{ ...dense, nu: 0.3 }]);
  const loose = { ...model, nodes: [...model.nodes, { id: 'x', x: 1, y: 0 }] };
  const warning = warned(loose).find(({ code }) => code === 'unjoined-node')!;
  const applied = applyIntent(loose, remedyOfWarning(loose, warning)!.intent);
  expect(applied.ok && applied.model.members.length).toBe(2);
  expect(applied.ok && warned(applied.model)).toEqual([]);
});
