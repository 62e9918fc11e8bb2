import { at, beside, DEPTH, mirrored, WIDTH, type ShapeKind } from './kind';
import { doubleJunction, ROUND_ENOUGH, strip, toes } from './thin-walls';

export const tee: ShapeKind = {
  words: 'Tee',
  short: 'Tee',
  needs: ['h', 'b', 'tw', 'tf'],
  may: ['r'],
  begin: { h: 0.1, b: 0.1, tw: 0.006, tf: 0.009 },
  rules: (s) => [
    [s.tf < s.h, 'the flange is thicker than the depth'],
    [s.tw <= s.b, 'the web is thicker than the flange is wide'],
    [s.r <= s.h - s.tf && s.tw + 2 * s.r <= s.b, 'the root radius does not fit'],
  ],
  body: 'corners',
  corners: ({ h, b, tw, tf, r }) => [mirrored([at(tw / 2, 0), at(tw / 2, h - tf, r), at(b / 2, h - tf), at(b / 2, h)])],
  torsion: (s) => {
    if (s.r > ROUND_ENOUGH * s.tf) return undefined;
    return strip(s.h - s.tf, s.tw) - toes(1, s.tw) + strip(s.b, s.tf) - toes(2, s.tf) + doubleJunction(s.tw, s.tf, s.r);
  },
  shear: 'by a mesh',
  places: ({ h, b, tw, tf, r }) => [
    DEPTH,
    WIDTH,
    beside('tf', b / 2, h - tf / 2),
    beside('r', tw / 2 + 0.3 * r, h - tf - 0.3 * r),
    beside('tw', tw / 2, h * 0.3),
  ],
};
