import type { Shape } from '../model/model';
import type { Corner } from './path';
import { dimensionsOf, type Dimensions } from './shape-table';

/**
 * The closed lines of a sound shape that is made of straight sides and rounded corners, the outer one anticlockwise, a hole clockwise; none
 * for circles, and for what has no shape. I-shapes, tees and tubes stand upright about z = 0; of channels and angles the back lies at z = 0.
 */
export function cornersOf(shape: Shape): readonly (readonly Corner[])[] {
  const s = dimensionsOf(shape);
  switch (shape.type) {
    case 'rectangle':
      return [box(s.h, s.b, 0)];
    case 'rhs':
      return [box(s.h, s.b, s.ro), box(s.h - 2 * s.t, s.b - 2 * s.t, s.ri).reverse()];
    case 'i':
      return [iShape(s)];
    case 'channel':
      return [channel(s)];
    case 'angle':
      return [angle(s)];
    case 'tee':
      return [tee(s)];
    default:
      return [];
  }
}

function box(h: number, b: number, r: number): Corner[] {
  const [z, y] = [b / 2, h / 2];
  return [at(-z, -y, r), at(z, -y, r), at(z, y, r), at(-z, y, r)];
}

const at = (z: number, y: number, r = 0): Corner => ({ z, y, r });

/** Thickness of a flange at its toe and where its inner face meets the web, of which tf is measured `back` from the toe. */
export function flange(
  tf: number,
  slope: number,
  overhang: number,
  back: number,
): { readonly toe: number; readonly root: number } {
  const toe = tf - slope * back;
  return { toe, root: toe + slope * overhang };
}

/** Half of the outline is built, and mirrored. */
function iShape({ h, b, tw, tf, r, bTop, tfTop, rt, slope }: Dimensions): Corner[] {
  const below = flange(tf, slope, (b - tw) / 2, b / 4);
  const above = flange(tfTop, slope, (bTop - tw) / 2, bTop / 4);
  const right = [
    at(b / 2, 0),
    at(b / 2, below.toe, rt),
    at(tw / 2, below.root, r),
    at(tw / 2, h - above.root, r),
    at(bTop / 2, h - above.toe, rt),
    at(bTop / 2, h),
  ];
  return [...right, ...right.map((corner) => ({ ...corner, z: -corner.z })).reverse()];
}

function channel({ h, b, tw, tf, r, rt, slope }: Dimensions): Corner[] {
  const { toe, root } = flange(tf, slope, b - tw, b / 2);
  const lower = [at(0, 0), at(b, 0), at(b, toe, rt), at(tw, root, r)];
  return [...lower, ...lower.map((corner) => ({ ...corner, y: h - corner.y })).reverse()];
}

const angle = ({ h, b, t, r, rt }: Dimensions): Corner[] => [
  at(0, 0),
  at(b, 0),
  at(b, t, rt),
  at(t, t, r),
  at(t, h, rt),
  at(0, h),
];

function tee({ h, b, tw, tf, r }: Dimensions): Corner[] {
  const right = [at(tw / 2, 0), at(tw / 2, h - tf, r), at(b / 2, h - tf), at(b / 2, h)];
  return [...right, ...right.map((corner) => ({ ...corner, z: -corner.z })).reverse()];
}
