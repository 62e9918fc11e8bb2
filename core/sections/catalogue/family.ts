import type { Made } from '../../materials/fitting';
import type { DataRow } from './data-file';
import type { Shape } from '../../shapes/shape';
import type { ShapeType } from '../../shapes/registry';

/** Shapes of one standard, each with its designation and dimensions. */
export interface Family {
  readonly id: string;
  readonly words: string;
  /** The standard that gives the dimensions. */
  readonly standard: string;
  readonly made?: Made;
  readonly type: ShapeType;
  /** Of the dimensions; mm where it is left out. */
  readonly unit?: 'mm' | 'in';
  /** The part of the wall that a tube is named by with which it is designed: AISC 360, B4.2. It weighs what its whole wall does. */
  readonly wall?: number;
  /** Of the flanges, where they are tapered. */
  readonly slope?: number;
  /** Where the standard measures tf: as the model format does, or in the middle of the part of the flange beside the web. */
  readonly measured?: 'outstand';
  /** Its shapes: `designation`, dimensions, and `mass` in kg/m where the standard tells it. */
  readonly rows: readonly DataRow[];
}

/** Shapes of one standard of which each size comes with several thicknesses. */
export interface Series extends Omit<Family, 'rows' | 'unit' | 'slope' | 'measured'> {
  readonly made?: never;
  readonly finish: 'hot' | 'cold' | 'american';
  /** Its sizes: `size`, and `walls` with a space between two. */
  readonly rows: readonly DataRow[];
}

/** A shape of the catalogue. */
export interface CatalogueShape {
  readonly designation: string;
  readonly family: Family | Series;
  readonly made: Made;
  readonly shape: Shape;
  /** kg/m, as its standard or its designation says; where it is left out, A × 7850 is all there is. */
  readonly mass?: number;
}

/** A number as it is written in a table, in metres; no digit of the decimal text is lost. */
const metres = (text: string, unit: 'mm' | 'in'): number =>
  unit === 'mm' ? Number(`${text}e-3`) : Number((Number(text) * 0.0254).toFixed(7));

/** lb/ft in kg/m. */
const POUNDS_PER_FOOT = 0.45359237 / 0.3048;

/** The last number of a designation: the mass that it names, in kg/m; American ones are in lb/ft. */
function massOfName(designation: string, unit: 'mm' | 'in'): number | undefined {
  const [, last] = /(?:x|UB|UC)(\d+(?:\.\d+)?)$/.exec(designation) ?? [];
  return last === undefined ? undefined : Number(last) * (unit === 'in' ? POUNDS_PER_FOOT : 1);
}

/** Columns that are no dimensions. */
const TOLD = new Set(['family', 'designation', 'mass']);

/** All shapes of a family, in the order of its table. */
export function shapesOf(family: Family): CatalogueShape[] {
  const unit = family.unit ?? 'mm';
  return family.rows.map((of) => {
    const designation = of.get('designation')!;
    const dimensions = [...of].filter(([column]) => !TOLD.has(column)).map(([column, text]) => [column, metres(text, unit)]);
    const shape = thinned(family, { type: family.type, ...(Object.fromEntries(dimensions) as Omit<Shape, 'type'>) });
    const isNamedByMass = family.type === 'i' || family.type === 'channel';
    const mass = of.has('mass') ? Number(of.get('mass')) : isNamedByMass ? massOfName(designation, unit) : undefined;
    return {
      designation,
      family,
      made: family.made ?? 'steel',
      shape,
      ...(mass !== undefined && { mass }),
    };
  });
}

const thinned = (family: Family, shape: Shape): Shape =>
  family.wall === undefined ? sloped(family, shape) : { ...shape, t: round((shape.t ?? 0) * family.wall) };

/** The slope of the flanges, and tf where the model format measures it: b/4 from the toe of an I-shape, b/2 from that of a channel. */
function sloped({ slope, measured, type }: Family, shape: Shape): Shape {
  if (slope === undefined) return shape;
  const { tw = 0, tf = 0 } = shape;
  const nearer = measured === 'outstand' ? tw / (type === 'i' ? 4 : 2) : 0;
  return { ...shape, tf: round(tf + slope * nearer), slope };
}

/** All shapes of a series of hollow sections. */
export function hollowShapesOf(series: Series): CatalogueShape[] {
  return series.rows.flatMap((row) =>
    row
      .get('walls')!
      .split(' ')
      .map((wall) => hollowShape(series, row.get('size')!, wall)),
  );
}

function hollowShape(series: Series, size: string, wall: string): CatalogueShape {
  const unit = series.finish === 'american' ? 'in' : 'mm';
  const whole = wallOf(series, wall);
  const t = series.wall === undefined ? whole : designWall(whole * series.wall);
  const [h = 0, b = 0] = size.split('x').map((side) => metres(side, unit));
  const shape: Shape =
    series.type === 'chs'
      ? { type: 'chs', d: h, t }
      : { type: 'rhs', h, b, t, ro: round(radiusInWalls(series, t) * t), ...(series.finish === 'hot' && { ri: t }) };
  const name = series.id.replace(/ cold$/, '');
  const designation = series.finish === 'american' ? `${name}${size}x${wall}` : `${name} ${size}x${wall}`;
  return {
    designation: series.finish === 'cold' ? `${designation} cold` : designation,
    family: series,
    made: 'steel',
    shape,
    ...(series.wall !== undefined && { mass: massOfTube(h, b, whole, radiusInWalls(series, whole) * whole) }),
  };
}

/** Tables of American tubes round it to a thousandth of an inch. */
const designWall = (metre: number): number => round((Math.round((metre / 0.0254) * 1000 + 1e-6) / 1000) * 0.0254);

/** kg/m of a rectangular steel tube with its whole wall t, rounded by ro outside and ro − t inside. */
function massOfTube(h: number, b: number, t: number, ro: number): number {
  const rounded = (r: number): number => (4 - Math.PI) * r * r;
  return 7850 * (h * b - rounded(ro) - ((h - 2 * t) * (b - 2 * t) - rounded(ro - t)));
}

/** Metres; American tubes are named by a fraction of an inch. */
function wallOf({ finish }: Series, wall: string): number {
  if (finish !== 'american') return metres(wall, 'mm');
  const [over = 0, under = 1] = wall.split('/').map(Number);
  return (over / under) * 0.0254;
}

/** The outer radius of a corner in wall thicknesses: EN 10210-2 and EN 10219-2, annex A; ASTM A500. */
function radiusInWalls({ finish }: Series, t: number): number {
  if (finish === 'american') return 2;
  if (finish === 'hot') return 1.5;
  return t <= 0.006 ? 2 : t <= 0.01 ? 2.5 : 3;
}

/** Tenths of a micrometre. */
const round = (metre: number): number => Number(metre.toFixed(7));
