import type { Shape, ShapeType } from '../model/model';

export type Dimension = Exclude<keyof Shape, 'type' | 'parts'>;

/**
 * What each shape is called, which dimensions it needs and may have, and those that a new one begins with (metres). A new shape is added
 * here, in `rules`, in `corners.ts` (or its closed form in `shape-properties.ts`) and in `torsion.ts`.
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
    may: ['r', 'bTop', 'tfTop', 'slope', 'rt'],
    begin: { h: 0.2, b: 0.1, tw: 0.0056, tf: 0.0085, r: 0.012 },
  },
  channel: {
    words: 'Channel',
    needs: ['h', 'b', 'tw', 'tf'],
    may: ['r', 'slope', 'rt'],
    begin: { h: 0.2, b: 0.075, tw: 0.0085, tf: 0.0115 },
  },
  angle: { words: 'Angle', needs: ['h', 'b', 't'], may: ['r', 'rt'], begin: { h: 0.1, b: 0.1, t: 0.01 } },
  tee: { words: 'Tee', needs: ['h', 'b', 'tw', 'tf'], may: ['r'], begin: { h: 0.1, b: 0.1, tw: 0.006, tf: 0.009 } },
  rhs: { words: 'Rectangular tube', needs: ['h', 'b', 't'], may: ['ro', 'ri'], begin: { h: 0.15, b: 0.1, t: 0.006, ro: 0.009 } },
  chs: { words: 'Round tube', needs: ['d', 't'], may: [], begin: { d: 0.1143, t: 0.005 } },
  rectangle: { words: 'Rectangle', needs: ['h', 'b'], may: [], begin: { h: 0.2, b: 0.1 } },
  round: { words: 'Round bar', needs: ['d'], may: [], begin: { d: 0.024 } },
  built: {
    words: 'Built of parts',
    needs: [],
    may: [],
    begin: {
      parts: [
        { shape: { type: 'rectangle', h: 0.2, b: 0.01 } },
        { shape: { type: 'rectangle', h: 0.012, b: 0.12 }, at: [0, 0.106] },
      ],
    },
  },
  general: { words: 'By its properties', needs: [], may: [], begin: {} },
};

export type Dimensions = { readonly [dimension in Dimension]: number };

/** All dimensions with their defaults: no radius, no slope, equal flanges. */
export function dimensionsOf(shape: Shape): Dimensions {
  const { h = 0, b = 0, tw = 0, tf = 0, r = 0, t = 0, ro = 0, d = 0, rt = 0, slope = 0 } = shape;
  return {
    h,
    b,
    tw,
    tf,
    r,
    t,
    ro,
    ri: shape.ri ?? Math.max(0, ro - t),
    d,
    rt,
    slope,
    bTop: shape.bTop ?? b,
    tfTop: shape.tfTop ?? tf,
  };
}

/** The first thing about the dimensions of a shape that cannot be built, in words; undefined when they are sound. */
export function dimensionsFault(shape: Shape): string | undefined {
  const missing = shapeTable[shape.type].needs.filter((key) => shape[key] === undefined);
  if (missing.length > 0) return `the dimension ${missing.join(', ')} is missing`;
  for (const key of shapeTable[shape.type].needs) {
    const size = sizeFault(`the dimension ${key}`, shape[key]!);
    if (size !== undefined) return size;
  }
  return rules[shape.type](dimensionsOf(shape)).find(([sound]) => !sound)?.[1];
}

/** Metres between which whatever a section is made of has its size. */
const [SMALLEST, LARGEST] = [1e-6, 1000];

/** Says so where something is larger or smaller than anything that is built. */
export const sizeFault = (what: string, metres: number): string | undefined =>
  metres >= SMALLEST && metres <= LARGEST ? undefined : `${what} is ${metres} m: from 0.001 mm to 1 km can be built`;

/** The thickness of a flange is measured a quarter of its width from the toe of an I-shape, half of it from that of a channel. */
const toeOfI = (tf: number, b: number, slope: number): number => tf - (slope * b) / 4;
const toeOfChannel = (tf: number, b: number, slope: number): number => tf - (slope * b) / 2;

const rules: { readonly [type in ShapeType]: (s: Dimensions) => readonly [boolean, string][] } = {
  i: (s) => {
    const [toe, toeTop] = [toeOfI(s.tf, s.b, s.slope), toeOfI(s.tfTop, s.bTop, s.slope)];
    const roots = toe + toeTop + s.slope * ((s.b + s.bTop) / 2 - s.tw);
    return [
      [s.tf + s.tfTop < s.h, 'the flanges are thicker than the depth'],
      [s.tw <= Math.min(s.b, s.bTop), 'the web is thicker than a flange is wide'],
      [Math.min(toe, toeTop) > 0 && roots < s.h, 'the slope of the flanges does not fit'],
      [2 * s.r <= s.h - roots && s.tw + 2 * s.r <= Math.min(s.b, s.bTop), 'the root radius does not fit'],
      [s.rt <= Math.min(toe, toeTop) && 2 * (s.r + s.rt) + s.tw <= Math.min(s.b, s.bTop), 'the toe radius does not fit'],
    ];
  },
  channel: (s) => {
    const toe = toeOfChannel(s.tf, s.b, s.slope);
    const root = toe + s.slope * (s.b - s.tw);
    return [
      [2 * s.tf < s.h, 'the flanges are thicker than the depth'],
      [s.tw < s.b, 'the web is thicker than the flanges are wide'],
      [toe > 0 && 2 * root < s.h, 'the slope of the flanges does not fit'],
      [2 * s.r <= s.h - 2 * root && s.tw + s.r <= s.b, 'the root radius does not fit'],
      [s.rt <= toe && s.tw + s.r + s.rt <= s.b, 'the toe radius does not fit'],
    ];
  },
  angle: (s) => [
    [s.t < s.h && s.t < s.b, 'the legs are thicker than they are long'],
    [s.t + s.r <= Math.min(s.h, s.b), 'the root radius does not fit'],
    [s.rt <= s.t && s.t + s.r + s.rt <= Math.min(s.h, s.b), 'the toe radius does not fit'],
  ],
  tee: (s) => [
    [s.tf < s.h, 'the flange is thicker than the depth'],
    [s.tw <= s.b, 'the web is thicker than the flange is wide'],
    [s.r <= s.h - s.tf && s.tw + 2 * s.r <= s.b, 'the root radius does not fit'],
  ],
  rhs: (s) => [
    [2 * s.t < Math.min(s.h, s.b), 'the wall is thicker than half the side'],
    [2 * s.ro <= Math.min(s.h, s.b), 'the outer radius does not fit'],
    [2 * s.ri <= Math.min(s.h, s.b) - 2 * s.t, 'the inner radius does not fit'],
  ],
  chs: (s) => [[2 * s.t < s.d, 'the wall is thicker than the radius']],
  rectangle: () => [],
  round: () => [],
  built: () => [],
  general: () => [],
};
