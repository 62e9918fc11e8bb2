import { flange } from './flange';
import { at, beside, DEPTH, WIDTH, type ShapeKind } from './kind';
import { cornerJunction, ROUND_ENOUGH, strip, toes } from './thin-walls';

/** The thickness of a flange is measured half of its width from the toe. */
export const channel: ShapeKind = {
  words: 'Channel',
  short: 'Channel',
  needs: ['h', 'b', 'tw', 'tf'],
  may: ['r', 'slope', 'rt'],
  begin: { h: 0.2, b: 0.075, tw: 0.0085, tf: 0.0115 },
  rules: (s) => {
    const { toe, root } = flange(s.tf, s.slope, s.b - s.tw, s.b / 2);
    return [
      [2 * s.tf < s.h, 'the flanges are thicker than the depth'],
      [s.tw < s.b, 'the web is thicker than the flanges are wide'],
      [toe > 0 && 2 * root < s.h, 'the slope of the flanges does not fit'],
      [2 * s.r <= s.h - 2 * root && s.tw + s.r <= s.b, 'the root radius does not fit'],
      [s.rt <= toe && s.tw + s.r + s.rt <= s.b, 'the toe radius does not fit'],
    ];
  },
  body: 'corners',
  corners: ({ h, b, tw, tf, r, rt, slope }) => {
    const { toe, root } = flange(tf, slope, b - tw, b / 2);
    const lower = [at(0, 0), at(b, 0), at(b, toe, rt), at(tw, root, r)];
    return [[...lower, ...lower.map((corner) => ({ ...corner, y: h - corner.y })).reverse()]];
  },
  torsion: (s) => {
    if (s.slope > 0 || s.r > ROUND_ENOUGH * s.tf) return undefined;
    return strip(s.h - 2 * s.tf, s.tw) + 2 * strip(s.b, s.tf) - toes(4, s.tf) + 2 * cornerJunction(s.tw, s.tf, s.r);
  },
  shear: 'by a mesh',
  places: ({ h, b, tw, tf, r }) => [
    DEPTH,
    WIDTH,
    beside('tf', b * 0.9, h - tf / 2),
    beside('tw', tw, h * 0.55),
    beside('r', tw + 0.3 * r, tf + 0.3 * r),
    beside('rt', b, tf),
    beside('slope', b * 0.6, tf),
  ],
};
