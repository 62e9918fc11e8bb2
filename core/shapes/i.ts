import { flange } from './flange';
import { at, beside, DEPTH, mirrored, WIDTH, type ShapeKind } from './kind';
import { doubleJunction, ROUND_ENOUGH, strip, toes } from './thin-walls';

/** The thickness of a flange is measured a quarter of its width from the toe. */
const toe = (tf: number, b: number, slope: number): number => flange(tf, slope, 0, b / 4).toe;

export const iShape: ShapeKind = {
  words: 'I-shape',
  short: 'I',
  needs: ['h', 'b', 'tw', 'tf'],
  may: ['r', 'bTop', 'tfTop', 'slope', 'rt'],
  begin: { h: 0.2, b: 0.1, tw: 0.0056, tf: 0.0085, r: 0.012 },
  rules: (s) => {
    const [below, above] = [toe(s.tf, s.b, s.slope), toe(s.tfTop, s.bTop, s.slope)];
    const roots = below + above + s.slope * ((s.b + s.bTop) / 2 - s.tw);
    const [thin, narrow] = [Math.min(below, above), Math.min(s.b, s.bTop)];
    return [
      [s.tf + s.tfTop < s.h, 'the flanges are thicker than the depth'],
      [s.tw <= narrow, 'the web is thicker than a flange is wide'],
      [thin > 0 && roots < s.h, 'the slope of the flanges does not fit'],
      [2 * s.r <= s.h - roots && s.tw + 2 * s.r <= narrow, 'the root radius does not fit'],
      [s.rt <= thin && 2 * (s.r + s.rt) + s.tw <= narrow, 'the toe radius does not fit'],
    ];
  },
  body: 'corners',
  corners: ({ h, b, tw, tf, r, bTop, tfTop, rt, slope }) => {
    const below = flange(tf, slope, (b - tw) / 2, b / 4);
    const above = flange(tfTop, slope, (bTop - tw) / 2, bTop / 4);
    return [
      mirrored([
        at(b / 2, 0),
        at(b / 2, below.toe, rt),
        at(tw / 2, below.root, r),
        at(tw / 2, h - above.root, r),
        at(bTop / 2, h - above.toe, rt),
        at(bTop / 2, h),
      ]),
    ];
  },
  torsion: (s) => {
    if (s.slope > 0 || s.r > ROUND_ENOUGH * Math.min(s.tf, s.tfTop)) return undefined;
    return (
      strip(s.h - s.tf - s.tfTop, s.tw) +
      strip(s.b, s.tf) - toes(2, s.tf) + doubleJunction(s.tw, s.tf, s.r) +
      strip(s.bTop, s.tfTop) - toes(2, s.tfTop) + doubleJunction(s.tw, s.tfTop, s.r)
    ); // oxfmt-ignore
  },
  shear: 'by a mesh',
  places: ({ h, b, tw, tf, r, bTop, tfTop }) => [
    DEPTH,
    WIDTH,
    { key: 'bTop', side: 'top' },
    beside('tfTop', bTop / 2, h - tfTop / 2),
    beside('tw', tw / 2, h * 0.55),
    beside('r', tw / 2 + 0.3 * r, tf + 0.3 * r),
    beside('tf', b / 2, tf / 2),
    beside('rt', b / 2, tf),
    beside('slope', b / 3, tf),
  ],
};
