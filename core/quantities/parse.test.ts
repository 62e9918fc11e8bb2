import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { DimensionName } from './dimension';
import { parseQuantity } from './parse';
import { units } from './units';

const read = (text: string, dimension: DimensionName, bare?: string): number => {
  const parsed = parseQuantity(text, dimension, bare);
  if (!parsed.ok) throw new Error(parsed.reason);
  return parsed.value;
};
const reason = (text: string, dimension: DimensionName, bare?: string): string => {
  const parsed = parseQuantity(text, dimension, bare);
  if (parsed.ok) throw new Error(`${text} was read as ${parsed.value}`);
  return parsed.reason;
};

describe('quantities with units', () => {
  test.each<[string, DimensionName, number]>([
    ['32 kN/m', 'intensity', 32e3],
    ['210 GPa', 'stress', 210e9],
    ['6.25 ft', 'length', 1.905],
    ['850 kN·m/rad', 'rotationalSpring', 850e3],
    ['850 kNm/rad', 'rotationalSpring', 850e3],
    ['850kN*m/rad', 'rotationalSpring', 850e3],
    ['8360 cm4', 'inertia', 8.36e-5],
    ['8360 cm^4', 'inertia', 8.36e-5],
    ['8360 cm⁴', 'inertia', 8.36e-5],
    ['53 cm²', 'area', 0.0053],
    ['1.2 kip/ft', 'intensity', (1.2 * 4448.2216152605) / 0.3048],
    ['36 ksi', 'stress', (36 * 4448.2216152605) / 0.0254 ** 2],
    ['490 lb/ft^3', 'density', (490 * 0.45359237) / 0.3048 ** 3],
    ['7850 kg/m3', 'density', 7850],
    ['12 t', 'density', NaN],
    ['20 °C', 'temperature', 20],
    ['50 K/m', 'gradient', 50],
    ['30 deg', 'angle', Math.PI / 6],
    ['30°', 'angle', Math.PI / 6],
    ['12 mrad', 'angle', 0.012],
    ['1.2e-5 /K', 'expansion', NaN],
    ['1.2e-5/K', 'expansion', 1.2e-5],
    ['-8.5 kN', 'force', -8500],
    ['−8.5 kN', 'force', -8500],
  ])('%s', (text, dimension, value) => {
    if (Number.isNaN(value)) return expect(parseQuantity(text, dimension).ok).toBe(dimension === 'expansion');
    expect(read(text, dimension)).toBeCloseTo(value, 12 - Math.ceil(Math.log10(Math.abs(value) + 1)));
  });

  test('arithmetic mixes units of one dimension', () => {
    expect(read('3.6 m + 20 cm', 'length')).toBeCloseTo(3.8, 12);
    expect(read('6 ft 3 in', 'length')).toBeCloseTo(75 * 0.0254, 12);
    expect(read('(2 + 3) * 1.5 m', 'length')).toBeCloseTo(7.5, 12);
    expect(read('10 kN / 2 m', 'intensity')).toBeCloseTo(5000, 9);
    expect(read('2 kN/m * 3 m', 'force')).toBeCloseTo(6000, 9);
    expect(read('2^3 m', 'length')).toBe(8);
  });

  test('a number without a unit takes the unit beside the field, and only there', () => {
    expect(read('18.4/24', 'length', 'm')).toBeCloseTo(18.4 / 24, 15);
    expect(read('3*5.4', 'length', 'mm')).toBeCloseTo(0.0162, 15);
    expect(read('240 mm', 'length', 'm')).toBeCloseTo(0.24, 15);
    expect(reason('240', 'length')).toMatch(/a unit is missing/);
    expect(read('1.35', 'number')).toBe(1.35);
  });

  test.each<[string, DimensionName, RegExp]>([
    ['12 furlong', 'length', /unit “furlong” is not known/],
    ['12 kN', 'length', /not that of a length/],
    ['850 kN·m', 'rotationalSpring', /rotational stiffness/],
    ['3,6 m', 'length', /comma/],
    ['3 m + 2 kN', 'length', /different dimensions/],
    ['3 m / 0', 'length', /divides by zero/],
    ['', 'length', /nothing is written/],
    ['(3 m', 'length', /not closed/],
    ['3 m)', 'length', /not expected/],
    ['3 m ; 4', 'length', /“;” has no meaning/],
    ['1e400 m', 'length', /too large/],
    ['3 +', 'number', /too early/],
    ['2^1.5 m', 'length', /whole number/],
    ['alert(1)', 'number', /unit “alert” is not known/],
  ])('%s is refused and says why', (text, dimension, words) => expect(reason(text, dimension)).toMatch(words));

  test('depth and length are bounded', () => {
    expect(reason(`${'('.repeat(50)}1${')'.repeat(50)}`, 'number')).toMatch(/too deep/);
    expect(reason('1+'.repeat(300) + '1', 'number')).toMatch(/longer than/);
  });

  test('any text is read or refused, never more', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        const parsed = parseQuantity(text, 'force', 'kN');
        return parsed.ok ? Number.isFinite(parsed.value) : parsed.reason.length > 0;
      }),
      { numRuns: 2000 },
    );
  });

  test('an acceleration in metres by seconds squared, and in feet', () => {
    expect(read('9.81 m/s2', 'acceleration')).toBe(9.81);
    expect(read('2 ft/s²', 'acceleration')).toBeCloseTo(0.6096, 12);
  });
  test('every unit reads as its own size', () => {
    for (const [name, { factor, dimension }] of units) {
      const dimensionName = (['length', 'force', 'stress', 'temperature', 'angle'] as const).find(
        (one) => parseQuantity(`1 ${name}`, one).ok,
      );
      if (dimensionName === undefined)
        expect([name, dimension]).toEqual([name, name === 's' ? [0, 0, 1, 0, 0] : [0, 1, 0, 0, 0]]);
      else expect(read(`3 ${name}`, dimensionName)).toBeCloseTo(3 * factor, 12 - Math.ceil(Math.log10(factor + 1)));
    }
  });
});
