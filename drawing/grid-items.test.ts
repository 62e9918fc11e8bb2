import { describe, expect, test } from '@jest/globals';
import { gridItems, gridStep, snapToGrid } from './grid-items';
import { niceBelow } from './diagram-scale';
import { camera } from './test/demo';

describe('round numbers', () => {
  test.each([
    [0.13, 0.1],
    [1, 1],
    [2.3, 2],
    [7, 5],
    [99, 50],
    [0.0005, 0.0005],
  ])('below %p lies %p', (x, below) => expect(niceBelow(x)).toBeCloseTo(below, 12));

  test('the grid refines as one zooms in, and never below a millimetre', () => {
    const steps = [1, 10, 60, 200, 2000, 1e6].map(gridStep);
    expect(steps).toEqual([10, 1, 0.2, 0.05, 0.005, 0.001]);
    expect(snapToGrid(1.2349, 0.05)).toBe(1.25);
    expect(snapToGrid(-0.01, 0.05)).toBe(0);
    const lines = gridItems(camera);
    expect(lines.length).toBeGreaterThan(20);
    expect(lines.some((item) => item.kind === 'path' && item.stroke === 'gridStrong')).toBe(true);
  });
});
