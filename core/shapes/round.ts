import type { ShapeKind } from './kind';

export const round: ShapeKind = {
  words: 'Round bar',
  short: 'Bar',
  needs: ['d'],
  may: [],
  begin: { d: 0.024 },
  rules: () => [],
  body: 'circles',
  diameters: ({ d }) => [d],
  torsion: ({ d }) => (Math.PI * d ** 4) / 32,
  shear: 0.9,
  places: () => [{ key: 'd', side: 'bottom' }],
};
