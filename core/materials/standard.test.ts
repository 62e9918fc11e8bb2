import { expect, test } from '@jest/globals';
import { checkModel } from '../model/check';
import lintel from '../../examples/lintel.rbm.json';
import { standardMaterials } from './standard';

test('every standard material has a name of its own, a source with a year or a table, and passes the check of a model', () => {
  expect(new Set(standardMaterials.map(({ id }) => id)).size).toBe(standardMaterials.length);
  for (const { group, source, ...entry } of standardMaterials) {
    expect(group).not.toBe('');
    expect(source).toMatch(/\d/);
    const { model, notices } = checkModel({ ...lintel, materials: [...lintel.materials, entry] });
    expect([entry.id, notices.filter(({ severity }) => severity === 'error')]).toEqual([entry.id, []]);
    expect(model!.materials.at(-1)).toEqual(entry);
  }
});

test('constants lie where those of their kind do', () => {
  const ranges: readonly (readonly [RegExp, E: [number, number], density: [number, number]])[] = [
    [/steel/, [200e9, 210e9], [7850, 7850]],
    [/Aluminium/, [70e9, 70e9], [2700, 2700]],
    [/wood|timber/i, [7e9, 16e9], [350, 700]],
    [/lumber/, [8e9, 14e9], [460, 600]],
    [/Concrete/, [27e9, 44e9], [2549, 2549]],
  ];
  for (const { id, group, E, G, nu, density, fy } of standardMaterials) {
    const [, modulus, heavy] = ranges.find(([words]) => words.test(group))!;
    expect([id, E >= modulus[0] && E <= modulus[1]]).toEqual([id, true]);
    if (density !== undefined) expect([id, density >= heavy[0] && density <= heavy[1]]).toEqual([id, true]);
    // Isotropic ones keep to E = 2G(1 + ν); timber shears sixteen times as easily as it stretches.
    const shear = G ?? (nu === undefined ? undefined : E / (2 * (1 + nu)));
    if (shear !== undefined) expect(E / shear).toBeGreaterThan(2);
    if (shear !== undefined) expect(E / shear).toBeLessThan(/wood|timber/i.test(group) ? 24 : 2.7);
    if (fy !== undefined) expect(fy).toBeGreaterThan(200e6);
  }
});

test.each([
  ['S355', { E: 210e9, nu: 0.3, fy: 355e6 }],
  ['A992', { E: 200e9, fy: 345e6 }],
  ['A36', { fy: 248e6 }],
  ['C24', { E: 11e9, G: 0.69e9, density: 420 }],
  ['C30/37', { E: 33e9, nu: 0.2 }],
  ['MGP10', { E: 10e9, density: 500 }],
  // 0.5 / (1 + 0.009 · 19 · 0.5) · 1.19 · 62.4 lb/ft³ = 34.2 lb/ft³
  ['Douglas Fir-Larch No. 2', { density: 548 }],
  ['E250', { E: 200e9, fy: 250e6 }],
])('%s', (id, values) => expect(standardMaterials.find((one) => one.id === id)).toMatchObject(values));
