import { beside, box, DEPTH, WIDTH, type ShapeKind } from './kind';

export const rhs: ShapeKind = {
  words: 'Rectangular tube',
  short: 'Box',
  needs: ['h', 'b', 't'],
  may: ['ro', 'ri'],
  begin: { h: 0.15, b: 0.1, t: 0.006, ro: 0.009 },
  rules: (s) => [
    [2 * s.t < Math.min(s.h, s.b), 'the wall is thicker than half the side'],
    [2 * s.ro <= Math.min(s.h, s.b), 'the outer radius does not fit'],
    [2 * s.ri <= Math.min(s.h, s.b) - 2 * s.t, 'the inner radius does not fit'],
  ],
  body: 'corners',
  corners: (s) => [box(s.h, s.b, s.ro), box(s.h - 2 * s.t, s.b - 2 * s.t, s.ri).reverse()],
  farthest: ({ h, b, ro }) => {
    const [z, y] = [b / 2 - ro, h / 2 - ro];
    return { points: [[z, y], [-z, y], [-z, -y], [z, -y]], radius: ro }; // oxfmt-ignore
  },
  // Bredt with the wall's own t³/3 (EN 10210-2, annex A).
  torsion: ({ h, b, t, ro, ri }) => {
    // The middle of both radii, as EN 10210-2 takes it; of a wall of one thickness it is t/2 inside the outer one.
    const rm = ri === Math.max(0, ro - t) ? Math.max(0, ro - t / 2) : (ro + ri) / 2;
    const area = (h - t) * (b - t) - (4 - Math.PI) * rm * rm;
    const perimeter = 2 * (h - t + b - t) - (8 - 2 * Math.PI) * rm;
    return (4 * area * area * t) / perimeter + (perimeter * t ** 3) / 3;
  },
  shear: 'by a mesh',
  isTube: true,
  places: ({ h, b, t, ro }) => [
    DEPTH,
    WIDTH,
    beside('t', b / 2 - t / 2, h * 0.1),
    beside('ro', b / 2 - 0.3 * ro, -h / 2 + 0.3 * ro),
    beside('ri', b / 2 - t, -h / 2 + t),
  ],
};
