import { beside, type ShapeKind } from './kind';

export const chs: ShapeKind = {
  words: 'Round tube',
  short: 'Tube',
  needs: ['d', 't'],
  may: [],
  begin: { d: 0.1143, t: 0.005 },
  rules: (s) => [[2 * s.t < s.d, 'the wall is thicker than the radius']],
  body: 'circles',
  diameters: ({ d, t }) => [d, d - 2 * t],
  torsion: ({ d, t }) => (Math.PI * (d ** 4 - (d - 2 * t) ** 4)) / 32,
  shear: 0.5,
  isTube: true,
  places: ({ d, t }) => [{ key: 'd', side: 'bottom' }, beside('t', d / 2 - t / 2, 0)],
};
