import { describe, expect, test } from '@jest/globals';
import type { Shape } from '../shapes/shape';
import type { Corner } from '../shapes/kind';
import { edgesOf, enclosed } from './path';
import { sectionProperties } from './section-properties';
import { shapeProperties } from './shape-properties';
import { shapeFault } from './shape-fault';

const close = (ours: number | undefined, theory: number, relative = 1e-9): void =>
  expect(Math.abs(ours! - theory)).toBeLessThanOrEqual(relative * Math.abs(theory));

describe('closed forms', () => {
  test('rectangle', () => {
    const p = shapeProperties({ type: 'rectangle', h: 0.3, b: 0.1 });
    close(p.A, 0.03);
    close(p.Iz, (0.1 * 0.3 ** 3) / 12);
    close(p.Iy, (0.3 * 0.1 ** 3) / 12);
    close(p.Wz, (0.1 * 0.3 ** 2) / 6);
    close(p.Ay, 0.025);
  });

  test('round bar and tube', () => {
    close(shapeProperties({ type: 'round', d: 0.05 }).Iz, (Math.PI * 0.05 ** 4) / 64);
    const tube = shapeProperties({ type: 'chs', d: 0.1, t: 0.005 });
    close(tube.A, (Math.PI * (0.1 ** 2 - 0.09 ** 2)) / 4);
    close(tube.Iy, (Math.PI * (0.1 ** 4 - 0.09 ** 4)) / 64);
    close(tube.Ay, tube.A! / 2);
  });

  test('square-cornered I-shape and tube', () => {
    const i = shapeProperties({ type: 'i', h: 0.2, b: 0.1, tw: 0.006, tf: 0.01 });
    close(i.Iz, (0.1 * 0.2 ** 3 - 0.094 * 0.18 ** 3) / 12);
    close(i.Iy, (2 * 0.01 * 0.1 ** 3 + 0.18 * 0.006 ** 3) / 12);
    const box = shapeProperties({ type: 'rhs', h: 0.2, b: 0.1, t: 0.01 });
    close(box.Iz, (0.1 * 0.2 ** 3 - 0.08 * 0.18 ** 3) / 12);
  });

  test('a tee is lopsided: its modulus is taken at the farther fibre', () => {
    const [h, b, tw, tf] = [0.1, 0.08, 0.006, 0.01];
    const p = shapeProperties({ type: 'tee', h, b, tw, tf });
    const y = (b * tf * (h - tf / 2) + ((h - tf) * tw * (h - tf)) / 2) / (b * tf + (h - tf) * tw);
    close(p.Wz, p.Iz! / y);
  });

  test('an angle has a product of inertia about its geometric axes, the others none', () => {
    const [h, b, t] = [0.1, 0.06, 0.008];
    const p = shapeProperties({ type: 'angle', h, b, t });
    const parts = [
      [b * t, t / 2, b / 2],
      [(h - t) * t, t + (h - t) / 2, t / 2],
    ] as const;
    const A = parts.reduce((sum, [area]) => sum + area, 0);
    const y = parts.reduce((sum, [area, py]) => sum + area * py, 0) / A;
    const z = parts.reduce((sum, [area, , pz]) => sum + area * pz, 0) / A;
    close(
      p.Iyz,
      parts.reduce((sum, [area, py, pz]) => sum + area * (py - y) * (pz - z), 0),
    );
    for (const type of ['i', 'channel', 'tee'] as const)
      expect(shapeProperties({ type, h: 0.1, b: 0.08, tw: 0.006, tf: 0.01, r: 0.005 }).Iyz).toBe(0);
  });
});

/** A second way: adding small squares. Fillets, flanges and toes are told by a point lying inside or outside. */
describe('against counting squares', () => {
  const inside: Record<string, (s: Required<Shape>, y: number, z: number) => boolean> = {
    i: (s, y, z) => {
      const reach = Math.min(y, s.h - y);
      if (reach < s.tf) return Math.abs(z) < s.b / 2;
      const edge = s.tw / 2;
      return Math.abs(z) < edge || withinRoot(reach - s.tf, Math.abs(z) - edge, s.r);
    },
    channel: (s, y, z) => {
      const reach = Math.min(y, s.h - y);
      if (z < 0 || z > s.b) return false;
      return reach < s.tf || z < s.tw || withinRoot(reach - s.tf, z - s.tw, s.r);
    },
    rhs: (s, y, z) => withinBox(y, z, s.h, s.b, s.ro) && !withinBox(y, z, s.h - 2 * s.t, s.b - 2 * s.t, Math.max(0, s.ro - s.t)),
  };
  /** Beside a root: outside the circle of radius r around (r, r), and nearer than r to both edges. */
  const withinRoot = (u: number, v: number, r: number): boolean =>
    u >= 0 && v >= 0 && u < r && v < r && Math.hypot(u - r, v - r) > r;
  const withinBox = (y: number, z: number, h: number, b: number, r: number): boolean => {
    const [u, v] = [h / 2 - Math.abs(y), b / 2 - Math.abs(z)];
    return u > 0 && v > 0 && (u > r || v > r || Math.hypot(u - r, v - r) < r);
  };

  test.each<[Shape, number]>([
    [{ type: 'i', h: 0.24, b: 0.12, tw: 0.0062, tf: 0.0098, r: 0.015 }, 0],
    [{ type: 'channel', h: 0.2, b: 0.075, tw: 0.0085, tf: 0.0115, r: 0.012 }, 0],
    [{ type: 'rhs', h: 0.15, b: 0.1, t: 0.008, ro: 0.016 }, -0.075],
  ])('%j', (shape, bottom) => {
    const s = shape as Required<Shape>;
    const n = 900;
    const left = shape.type === 'channel' ? 0 : -s.b / 2;
    const [dy, dz] = [s.h / n, s.b / n];
    let [A, sy, syy] = [0, 0, 0];
    for (let i = 0; i < n; i++)
      for (let j = 0; j < n; j++) {
        const [y, z] = [bottom + (i + 0.5) * dy, left + (j + 0.5) * dz];
        if (!inside[shape.type]!(s, y, z)) continue;
        A += dy * dz;
        sy += y * dy * dz;
        syy += y * y * dy * dz;
      }
    const p = shapeProperties(shape);
    close(p.A, A, 8e-3);
    close(p.Iz, syy - (sy * sy) / A, 8e-3);
  });
});

test('a square with corners as round as they can be is a disc, and one cut out of it leaves the rest', () => {
  const r = 0.03;
  const square = (R: number, round: number): Corner[] => [[-R, -R], [R, -R], [R, R], [-R, R]].map(([z, y]) => ({ z: z!, y: y!, r: round })); // oxfmt-ignore
  const disc = enclosed([edgesOf(square(r, r * (1 - 1e-15)))]);
  close(disc.A, Math.PI * r * r, 1e-13);
  close(disc.Iz, (Math.PI * r ** 4) / 4, 1e-13);
  const rest = enclosed([edgesOf(square(r, 0)), edgesOf(square(r / 2, 0).reverse())]);
  close(rest.Iy, ((2 * r) ** 4 - r ** 4) / 12, 1e-13);
});

describe('shapes that cannot be built', () => {
  test.each<[Shape, RegExp]>([
    [{ type: 'i', h: 0.02, b: 0.1, tw: 0.006, tf: 0.01 }, /flanges are thicker/],
    [{ type: 'i', h: 0.2, b: 0.1, tw: 0.2, tf: 0.01 }, /web is thicker/],
    [{ type: 'i', h: 0.2, b: 0.1, tw: 0.006, tf: 0.01, r: 0.06 }, /radius does not fit/],
    [{ type: 'chs', d: 0.05, t: 0.03 }, /wall is thicker/],
    [{ type: 'rhs', h: 0.1, b: 0.1, t: 0.06 }, /wall is thicker/],
    [{ type: 'rectangle', h: 0.1 }, /dimension b is missing/],
    [{ type: 'angle', h: 0.1, b: 0.1, t: 0.2 }, /legs are thicker/],
    [{ type: 'angle', h: 0.1, b: 0.1, t: 0.01, rt: 0.02 }, /toe radius does not fit/],
    [{ type: 'channel', h: 0.2, b: 0.1, tw: 0.01, tf: 0.01, slope: 0.3 }, /slope of the flanges does not fit/],
  ])('%j', (shape, words) => expect(shapeFault(shape)).toMatch(words));

  test('a property beside the shape wins', () => {
    expect(sectionProperties({ id: 's', shape: { type: 'rectangle', h: 0.3, b: 0.1 }, Iz: 5 })).toMatchObject({
      A: expect.closeTo(0.03, 12),
      Iz: 5,
    });
  });
});
