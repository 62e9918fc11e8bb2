import type { SectionProperties, Shape, ShapeType } from '../model/model';
import { compose, filletPart, rectanglePart, type Part } from './parts';
import { torsionConstant } from './torsion';

type Dimension = Exclude<keyof Shape, 'type'>;

/**
 * What each shape is called, which dimensions it needs and may have, and those that a new one begins with (metres). A new shape is added
 * here, in `rules` and in `builders`.
 */
export const shapeTable: {
  readonly [type in ShapeType]: {
    readonly words: string;
    readonly needs: readonly Dimension[];
    readonly may: readonly Dimension[];
    readonly begin: Omit<Shape, 'type'>;
  };
} = {
  i: {
    words: 'I-shape',
    needs: ['h', 'b', 'tw', 'tf'],
    may: ['r', 'bTop', 'tfTop'],
    begin: { h: 0.2, b: 0.1, tw: 0.0056, tf: 0.0085, r: 0.012 },
  },
  channel: { words: 'Channel', needs: ['h', 'b', 'tw', 'tf'], may: ['r'], begin: { h: 0.2, b: 0.075, tw: 0.0085, tf: 0.0115 } },
  angle: { words: 'Angle', needs: ['h', 'b', 't'], may: ['r'], begin: { h: 0.1, b: 0.1, t: 0.01 } },
  tee: { words: 'Tee', needs: ['h', 'b', 'tw', 'tf'], may: ['r'], begin: { h: 0.1, b: 0.1, tw: 0.006, tf: 0.009 } },
  rhs: { words: 'Rectangular tube', needs: ['h', 'b', 't'], may: ['ro'], begin: { h: 0.15, b: 0.1, t: 0.006, ro: 0.009 } },
  chs: { words: 'Round tube', needs: ['d', 't'], may: [], begin: { d: 0.1143, t: 0.005 } },
  rectangle: { words: 'Rectangle', needs: ['h', 'b'], may: [], begin: { h: 0.2, b: 0.1 } },
  round: { words: 'Round bar', needs: ['d'], may: [], begin: { d: 0.024 } },
  general: { words: 'By its properties', needs: [], may: [], begin: {} },
};

export type Dimensions = { readonly [dimension in Dimension]: number };

/** All dimensions with their defaults: no radius, equal flanges. */
export function dimensionsOf(shape: Shape): Dimensions {
  const { h = 0, b = 0, tw = 0, tf = 0, r = 0, t = 0, ro = 0, d = 0 } = shape;
  return { h, b, tw, tf, r, t, ro, d, bTop: shape.bTop ?? b, tfTop: shape.tfTop ?? tf };
}

/** The first thing about a shape's dimensions that cannot be built, in words; undefined when it is sound. */
export function shapeFault(shape: Shape): string | undefined {
  const missing = shapeTable[shape.type].needs.filter((key) => shape[key] === undefined);
  if (missing.length > 0) return `the dimension ${missing.join(', ')} is missing`;
  const s = dimensionsOf(shape);
  const rules: { readonly [type in ShapeType]: readonly [boolean, string][] } = {
    i: [
      [s.tf + s.tfTop < s.h, 'the flanges are thicker than the depth'],
      [s.tw <= Math.min(s.b, s.bTop), 'the web is thicker than a flange is wide'],
      [2 * s.r <= s.h - s.tf - s.tfTop && s.tw + 2 * s.r <= Math.min(s.b, s.bTop), 'the root radius does not fit'],
    ],
    channel: [
      [2 * s.tf < s.h, 'the flanges are thicker than the depth'],
      [s.tw < s.b, 'the web is thicker than the flanges are wide'],
      [2 * s.r <= s.h - 2 * s.tf && s.tw + s.r <= s.b, 'the root radius does not fit'],
    ],
    angle: [
      [s.t < s.h && s.t < s.b, 'the legs are thicker than they are long'],
      [s.t + s.r <= Math.min(s.h, s.b), 'the root radius does not fit'],
    ],
    tee: [
      [s.tf < s.h, 'the flange is thicker than the depth'],
      [s.tw <= s.b, 'the web is thicker than the flange is wide'],
      [s.r <= s.h - s.tf && s.tw + 2 * s.r <= s.b, 'the root radius does not fit'],
    ],
    rhs: [
      [2 * s.t < Math.min(s.h, s.b), 'the wall is thicker than half the side'],
      [2 * s.ro <= Math.min(s.h, s.b), 'the outer radius does not fit'],
    ],
    chs: [[2 * s.t < s.d, 'the wall is thicker than the radius']],
    rectangle: [],
    round: [],
    general: [],
  };
  return rules[shape.type].find(([sound]) => !sound)?.[1];
}

/**
 * All properties of a sound shape: A, Iz, Iy, Iyz, Wz, Wy exactly, with root radii and square toes; shear areas as the model format
 * defines them; J as `torsionConstant` finds it.
 */
export function shapeProperties(shape: Shape): SectionProperties {
  const s = dimensionsOf(shape);
  const J = torsionConstant(shape.type, s);
  return { ...flatProperties(shape, s), ...(J !== undefined && { J }) };
}

function flatProperties(shape: Shape, s: Dimensions): SectionProperties {
  switch (shape.type) {
    case 'general':
      return {};
    case 'rectangle':
      return solid({ A: s.b * s.h, Iz: (s.b * s.h ** 3) / 12, Iy: (s.h * s.b ** 3) / 12 }, s.h, s.b, 5 / 6);
    case 'round': {
      const I = (Math.PI * s.d ** 4) / 64;
      return solid({ A: (Math.PI * s.d ** 2) / 4, Iz: I, Iy: I }, s.d, s.d, 0.9);
    }
    case 'chs': {
      const inner = s.d - 2 * s.t;
      const I = (Math.PI * (s.d ** 4 - inner ** 4)) / 64;
      return solid({ A: (Math.PI * (s.d ** 2 - inner ** 2)) / 4, Iz: I, Iy: I }, s.d, s.d, 0.5);
    }
    case 'rhs': {
      const parts = roundedBox(s.h, s.b, s.ro).concat(
        roundedBox(s.h - 2 * s.t, s.b - 2 * s.t, Math.max(0, s.ro - s.t)).map(negative),
      );
      return built(parts, [-s.h / 2, s.h / 2], [-s.b / 2, s.b / 2], 2 * s.t * (s.h - s.t), 2 * s.t * (s.b - s.t));
    }
    default: {
      const { parts, y, z, Ay, Az } = openParts(shape.type, s);
      return built(parts, y, z, Ay, Az);
    }
  }
}

/** Symmetric about both axes, `h` by `b` outside; `shear`: the part of the area that takes shear. */
function solid(
  { A, Iz, Iy }: { readonly A: number; readonly Iz: number; readonly Iy: number },
  h: number,
  b: number,
  shear: number,
): SectionProperties {
  return { A, Iz, Iy, Ay: shear * A, Az: shear * A, Wz: (2 * Iz) / h, Wy: (2 * Iy) / b, Iyz: 0 };
}

const negative = (part: Part): Part => ({ ...part, area: -part.area, ownZ: -part.ownZ, ownY: -part.ownY, ownYZ: -part.ownYZ });

function roundedBox(h: number, b: number, r: number): Part[] {
  const parts = [rectanglePart(-h / 2, h / 2, -b / 2, b / 2)];
  if (r > 0)
    for (const y of [-1, 1]) for (const z of [-1, 1]) parts.push(negative(filletPart((y * h) / 2, (z * b) / 2, r, -y, -z)));
  return parts;
}

type OpenType = 'i' | 'channel' | 'angle' | 'tee';

/** The parts of an open shape, the ranges of its outline, and its shear areas as far as they are defined. */
interface OpenParts {
  readonly parts: readonly Part[];
  readonly y: readonly [number, number];
  readonly z: readonly [number, number];
  readonly Ay: number | undefined;
  readonly Az: number | undefined;
}

/** Open shapes: web and flanges with the fillets at their roots. The origin is the lower left corner of the outline. */
export function openParts(type: OpenType, s: Dimensions): OpenParts {
  const { h, b, tw, tf, r, t, bTop, tfTop } = s;
  switch (type) {
    case 'i': {
      const parts = [
        rectanglePart(0, tf, -b / 2, b / 2),
        rectanglePart(tf, h - tfTop, -tw / 2, tw / 2),
        rectanglePart(h - tfTop, h, -bTop / 2, bTop / 2),
        ...[-1, 1].flatMap((z) => [filletPart(tf, (z * tw) / 2, r, 1, z), filletPart(h - tfTop, (z * tw) / 2, r, -1, z)]),
      ];
      const widest = Math.max(b, bTop) / 2;
      return { parts, y: [0, h], z: [-widest, widest], Ay: tw * (h - (tf + tfTop) / 2), Az: (5 / 6) * (b * tf + bTop * tfTop) };
    }
    case 'channel': {
      const parts = [
        rectanglePart(0, tf, 0, b),
        rectanglePart(tf, h - tf, 0, tw),
        rectanglePart(h - tf, h, 0, b),
        filletPart(tf, tw, r, 1, 1),
        filletPart(h - tf, tw, r, -1, 1),
      ];
      return { parts, y: [0, h], z: [0, b], Ay: tw * (h - tf), Az: (5 / 6) * 2 * b * tf };
    }
    case 'angle': {
      const parts = [rectanglePart(0, t, 0, b), rectanglePart(t, h, 0, t), filletPart(t, t, r, 1, 1)];
      return { parts, y: [0, h], z: [0, b], Ay: undefined, Az: undefined };
    }
    case 'tee': {
      const parts = [
        rectanglePart(h - tf, h, -b / 2, b / 2),
        rectanglePart(0, h - tf, -tw / 2, tw / 2),
        ...[-1, 1].map((z) => filletPart(h - tf, (z * tw) / 2, r, -1, z)),
      ];
      return { parts, y: [0, h], z: [-b / 2, b / 2], Ay: tw * (h - tf), Az: (5 / 6) * b * tf };
    }
  }
}

function built(
  parts: readonly Part[],
  yRange: readonly [number, number],
  zRange: readonly [number, number],
  Ay: number | undefined,
  Az: number | undefined,
): SectionProperties {
  const { A, y, z, Iz, Iy, Iyz } = compose(parts);
  const Wz = Iz / Math.max(yRange[1] - y, y - yRange[0]);
  const Wy = Iy / Math.max(zRange[1] - z, z - zRange[0]);
  // Symmetric shapes: rounding must not turn a zero product into a skewed section.
  const product = Math.abs(Iyz) < 1e-12 * Math.sqrt(Iz * Iy) ? 0 : Iyz;
  return { A, Iz, Iy, Iyz: product, Wz, Wy, ...(Ay !== undefined && { Ay }), ...(Az !== undefined && { Az }) };
}
