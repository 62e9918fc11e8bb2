import { describe, expect, test } from '@jest/globals';
import { parseSpacings, showSpacings } from './spacings';

describe('spacings as drawings write them', () => {
  test.each([
    ['3×5.4 + 2.7', 'm', [5.4, 5.4, 5.4, 2.7], '3×5.4 + 2.7'],
    ['2 x 3000', 'mm', [3, 3], '2×3000'],
    ['6 ft + 2*1.5 m', 'm', [1.8288, 1.5, 1.5], '1.8288 + 2×1.5'],
    ['18/3', 'm', [6], '6'],
  ])('%s in %s', (text, unit, steps, shown) => {
    const parsed = parseSpacings(text, unit);
    expect(parsed.ok && parsed.steps.map((step) => Number(step.toFixed(9)))).toEqual(steps);
    expect(parsed.ok && showSpacings(parsed.steps, unit)).toBe(shown);
  });

  test.each(['', '3×', '4 + -1', '5 + kN', '2000×1'])('“%s” is refused in words', (text) => {
    const parsed = parseSpacings(text, 'm');
    expect(parsed.ok ? '' : parsed.reason).toMatch(/\w+/);
  });
});
