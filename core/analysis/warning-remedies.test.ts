import { expect, test } from '@jest/globals';
import { pin, sketch } from '../test/build';
import { applyIntent } from '../model/edits/apply-intent';
import type { Material, Model } from '../model/model';
import { solve } from './session';
import { remedyOfWarning } from './warning-remedies';

const beam = (material: Material, part: Partial<Model> = {}): Model => ({
  ...sketch({ nodes: [['1', 0, 0], ['2', 4, 0]], members: [['a', '1', '2']], supports: [pin('1'), pin('2')] }), // oxfmt-ignore
  materials: [material],
  cases: [{ id: 'Q', category: 'permanent', selfWeight: 1 }],
  ...part,
});
const warned = (model: Model) => solve(model).notices.filter(({ severity }) => severity === 'warning');
const mended = (model: Model): Model => {
  const [warning] = warned(model);
  const applied = applyIntent(model, remedyOfWarning(model, warning!)!.intent);
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  return applied.model;
};

test('a material without a density gets that of the standard one that is as stiff', () => {
  const { id } = beam({ id: 'm', E: 1 }).materials[0]!;
  const model = beam({ id, E: 205e9, nu: 0.3 });
  const named = { ...model, members: model.members.map((member) => ({ ...member, material: id })) };
  expect(warned(named).map(({ code }) => code)).toEqual(['no-density']);
  expect(remedyOfWarning(named, warned(named)[0]!)!.words).toMatch(/^Take 7850 kg\/m³, as for S/);
  const after = mended(named);
  expect(after.materials[0]!.density).toBe(7850);
  expect(warned(after)).toEqual([]);
});

test('what no standard is like is left to think about', () => {
  const model = beam({ id: 'm', E: 150e9, nu: 0.3 });
  const named = { ...model, members: model.members.map((member) => ({ ...member, material: 'm' })) };
  expect(remedyOfWarning(named, warned(named)[0]!)).toBeUndefined();
});

test('shear deformation without a modulus takes Poisson’s ratio of steel', () => {
  const model = beam({ id: 'm', E: 210e9, density: 7850 }, { analysis: { shearDeformation: true } });
  const named = { ...model, members: model.members.map((member) => ({ ...member, material: 'm' })) };
  expect(warned(named).map(({ code }) => code)).toContain('no-shear-modulus');
  expect(mended(named).materials[0]!.nu).toBe(0.3);
});
