import { describe, expect, test } from '@jest/globals';
import { sketchMarkup } from './sketch';
import { svgMarkup } from './svg';
import { ribModel, solutionOf, camera } from './test/demo';

describe('SVG', () => {
  test('escapes what a user may have named', () => {
    const markup = svgMarkup(
      [{ kind: 'label', text: '<script>"&\'', x: 0, y: 0, dx: 0, dy: 0, away: [0, 1], ink: 'text', role: 'name', rank: 1 }],
      { ...camera, x: 0, y: 0 },
      () => 'black',
    );
    expect(markup).toContain('&#60;script&#62;&#34;&#38;&#39;');
    expect(markup).not.toContain('<script');
  });

  test('sketches every outcome of the demo with finite numbers and theme colours', () => {
    const solution = solutionOf(ribModel);
    solution.outcomes.forEach((_, outcome) => {
      const markup = sketchMarkup(ribModel, solution, outcome, { width: 138, height: 50 });
      expect(markup).toMatch(/var\(--draw-member\)/);
      expect(markup).not.toMatch(/NaN|Infinity|undefined/);
    });
    expect(sketchMarkup({ ...ribModel, nodes: [], members: [] }, undefined, 0, { width: 138, height: 50 })).toBe('');
  });
});
