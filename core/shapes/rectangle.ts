import { box, DEPTH, WIDTH, type ShapeKind } from './kind';

export const rectangle: ShapeKind = {
  words: 'Rectangle',
  short: 'Rectangle',
  needs: ['h', 'b'],
  may: [],
  begin: { h: 0.2, b: 0.1 },
  rules: () => [],
  body: 'corners',
  corners: ({ h, b }) => [box(h, b, 0)],
  exact: ({ h, b }) => ({ A: b * h, Iz: (b * h ** 3) / 12, Iy: (h * b ** 3) / 12 }),
  torsion: ({ h, b }) => series(Math.max(h, b), Math.min(h, b)),
  shear: 5 / 6,
  places: () => [DEPTH, WIDTH],
};

/** Timoshenko and Goodier, Theory of Elasticity, §109. */
function series(long: number, short: number): number {
  let sum = 0;
  for (let n = 1; n < 400; n += 2) sum += Math.tanh((n * Math.PI * long) / (2 * short)) / n ** 5;
  return long * short ** 3 * (1 / 3 - (64 / Math.PI ** 5) * (short / long) * sum);
}
