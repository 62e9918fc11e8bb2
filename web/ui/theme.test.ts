import { describe, expect, test } from '@jest/globals';
import { caseColours } from '@rigid-beam/core/model/model';
import { inkOfColour } from '@rigid-beam/drawing/load-marks';
import { inks } from '@rigid-beam/drawing/inks';
import { day, night } from './theme';

/** Relative luminance, WCAG 2.2. */
function luminance(colour: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const part = parseInt(colour.slice(at, at + 2), 16) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
const contrast = (a: string, b: string): number => {
  const [light, dark] = [luminance(a), luminance(b)].toSorted((one, other) => other - one) as [number, number];
  return (light + 0.05) / (dark + 0.05);
};

test('the page has the inks of the drawing as variables', () => {
  for (const [theme, own] of [
    [day, inks.day],
    [night, inks.night],
  ] as const)
    // oxfmt-ignore
    for (const [ink, colour] of Object.entries(own)) expect((theme as readonly unknown[]).join('')).toContain(`--draw-${ink}: ${colour};`);
});

describe.each(['day', 'night', 'print'] as const)('%s', (theme) => {
  const colours = new Map<string, string>(Object.entries(inks[theme]));
  const paper = inks[theme].paper;

  test.each(caseColours)('loads of a %s case are written so that they can be read', (colour) =>
    expect(contrast(colours.get(inkOfColour(colour))!, paper)).toBeGreaterThanOrEqual(4.5),
  );

  test('what is drawn in words keeps AA on the paper', () => {
    const written = ['tension', 'compression', 'shear', 'moment', 'deflection', 'reaction', 'dimension', 'text', 'fault'];
    for (const ink of written) expect([ink, contrast(colours.get(ink)!, paper) >= 4.5]).toEqual([ink, true]);
  });

  test('the colours of cases are told apart', () => {
    const used = caseColours.map((colour) => colours.get(inkOfColour(colour)));
    expect(new Set(used).size).toBe(caseColours.length);
  });
});
