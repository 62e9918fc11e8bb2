import { at, beside, DEPTH, WIDTH, type ShapeKind } from './kind';

export const angle: ShapeKind = {
  words: 'Angle',
  short: 'Angle',
  needs: ['h', 'b', 't'],
  may: ['r', 'rt'],
  begin: { h: 0.1, b: 0.1, t: 0.01 },
  rules: (s) => [
    [s.t < s.h && s.t < s.b, 'the legs are thicker than they are long'],
    [s.t + s.r <= Math.min(s.h, s.b), 'the root radius does not fit'],
    [s.rt <= s.t && s.t + s.r + s.rt <= Math.min(s.h, s.b), 'the toe radius does not fit'],
  ],
  body: 'corners',
  corners: ({ h, b, t, r, rt }) => [[at(0, 0), at(b, 0), at(b, t, rt), at(t, t, r), at(t, h, rt), at(0, h)]],
  torsion: () => undefined,
  shear: 'by a mesh',
  places: ({ h, b, t, r }) => [DEPTH, WIDTH, beside('t', t, h * 0.6), beside('r', t + 0.3 * r, t + 0.3 * r), beside('rt', b, t)],
};
