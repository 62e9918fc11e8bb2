import { describe, expect, test } from '@jest/globals';
import { showIntensity } from './show-load';
import { defaultDisplay } from './display';
import { inUnit, showNumber, showQuantity } from './show';

describe('numbers for reading', () => {
  test.each([
    [0, '0'],
    [1e-14, '0'],
    [6, '6'],
    [12.72, '12.72'],
    [-12.7199, '−12.72'],
    [0.28714, '0.2871'],
    [1234.56, '1234.6'],
    [45678.9, '45679'],
    [1.2e-5, '1.2e-5'],
    [123456789, '1.235e8'],
    [NaN, '–'],
  ])('%p reads %p', (value, text) => expect(showNumber(value)).toBe(text));

  test('values carry their unit', () => {
    expect(showQuantity(15000, 'kN/m')).toBe('15 kN/m');
    expect(showQuantity(-0.00423, 'mm', 3)).toBe('−4.23 mm');
    expect(showQuantity(8.36e-5, 'cm4')).toBe('8360 cm4');
    expect(inUnit(1.3558179483314, 'lbf·ft')).toBeCloseTo(1, 10);
    expect(showIntensity(14593.9, { ...defaultDisplay, force: 'kip', length: 'ft' })).toBe('1 kip/ft');
  });
});
