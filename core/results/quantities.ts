import type { DimensionName } from '../quantities/dimension';
import { memberAxis, withAxes, type AxisKey } from '../quantities/axis-names';
import { unitOf, type DisplayUnits } from '../quantities/display';
import { isPlane, type Structure } from '../stiffness/structure';
import { equivalentStress } from './derived/equivalent-stress';
import { movementAlong } from './derived/movement';
import { resultantMoment } from './derived/resultant-moment';
import { normalStress } from './derived/normal-stress';
import type { Derived } from './derived/derived';

/** The quantities along a member that are stored, as polynomials by piece. */
export const lineQuantities = ['N', 'Vy', 'Vz', 'T', 'My', 'Mz', 'u', 'v', 'w'] as const;
export type LineQuantity = (typeof lineQuantities)[number];

/** Those that follow from them. */
export const derivedQuantities = ['M', 'uX', 'uY', 'uZ', 'sigma', 'sigmaV'] as const;
export type DerivedQuantity = (typeof derivedQuantities)[number];
export type Quantity = LineQuantity | DerivedQuantity;

/** What everybody who shows a quantity needs to know of it. Its texts name axes as `withAxes` takes them: see `quantityWords`. */
export interface QuantityRow {
  readonly symbol: string;
  /** As it is said in the plane, where one of its kind is enough, and in space. */
  readonly name: string;
  readonly nameInSpace: string;
  readonly dimension: Extract<DimensionName, 'force' | 'moment' | 'length' | 'stress'>;
  /** What a positive and a negative value do. */
  readonly positive: string;
  readonly negative: string;
  /** Which line style and colour shows it. */
  readonly ink: 'axial' | 'shear' | 'moment' | 'deflection' | 'stress';
  /**
   * Which side of the member a positive value is drawn on: along its local axis, or against it. Tension stands against it throughout: of
   * axial forces, stresses and the face that a positive moment pulls.
   */
  readonly side: 1 | -1;
  /** Whether it exists in a plane structure. */
  readonly inPlane: boolean;
  /**
   * How it is drawn on the members, where it is: its ordinates along local y or z, or whichever way leads up; the rule that is told of them;
   * dashes and the spacing of the ordinates, pixels, which tell quantities apart without colour.
   */
  readonly line?: {
    readonly stands: 'y' | 'z' | 'up';
    readonly rule?: string;
    readonly dash?: readonly number[];
    readonly spacing: number;
  };
  /** Of stored ones the degree of their polynomials under linear loads, and where their coefficients lie in those of a piece. */
  readonly stored?: { readonly degree: number; readonly offset: number };
  /** Of derived ones how they are read. */
  readonly derived?: Derived;
}

const force = { dimension: 'force', ink: 'shear', side: 1, inPlane: true } as const;
const moment = { dimension: 'moment', ink: 'moment', side: -1, inPlane: true } as const;
const displacement = { dimension: 'length', ink: 'deflection', side: 1, inPlane: true } as const;
const inSpaceOnly = { inPlane: false } as const;
/** A name that is the same in the plane and in space. */
const named = (name: string) => ({ name, nameInSpace: name });

/** The one table of quantities. Offsets: what a plane structure has comes first, since it stores no more. A new derived one is a row here. */
export const quantityTable: { readonly [quantity in Quantity]: QuantityRow } = {
  N: {
    ...force,
    ...named('axial force'),
    symbol: 'N',
    side: -1,
    ink: 'axial',
    positive: 'tension',
    negative: 'compression',
    stored: { degree: 2, offset: 0 },
    line: { stands: 'up', rule: 'T tension, C compression', spacing: 22 },
  },
  Vy: {
    ...force,
    symbol: 'V{y}',
    name: 'shear force',
    nameInSpace: 'shear force along {y}',
    positive: 'left part pushed along {+y}',
    negative: 'left part pushed along {−y}',
    stored: { degree: 2, offset: 3 },
    line: { stands: 'y', dash: [7, 3], spacing: 12 },
  },
  Vz: {
    ...force,
    ...inSpaceOnly,
    ...named('shear force along {z}'),
    symbol: 'V{z}',
    positive: 'left part pushed along {+z}',
    negative: 'left part pushed along {−z}',
    stored: { degree: 2, offset: 20 },
    line: { stands: 'z', dash: [7, 3], spacing: 12 },
  },
  T: {
    ...moment,
    ...inSpaceOnly,
    ...named('torque'),
    symbol: 'T',
    side: 1,
    positive: 'right-handed about {x}',
    negative: 'left-handed about {x}',
    stored: { degree: 0, offset: 23 },
    line: { stands: 'y', dash: [2, 3], spacing: 16 },
  },
  My: {
    ...moment,
    ...inSpaceOnly,
    ...named('bending moment about {y}'),
    symbol: 'M{y}',
    positive: 'tension on the {−z} face',
    negative: 'tension on the {+z} face',
    stored: { degree: 3, offset: 24 },
    line: { stands: 'z', spacing: 8 },
  },
  Mz: {
    ...moment,
    symbol: 'M{z}',
    name: 'bending moment',
    nameInSpace: 'bending moment about {z}',
    positive: 'tension on the {−y} face',
    negative: 'tension on the {+y} face',
    stored: { degree: 3, offset: 6 },
    line: { stands: 'y', spacing: 8 },
  },
  M: {
    ...moment,
    ...inSpaceOnly,
    ...named('resultant bending moment'),
    symbol: 'M',
    side: 1,
    positive: '√(M{y}² + M{z}²)',
    negative: '',
    derived: resultantMoment,
    line: { stands: 'y', rule: '√(M{y}² + M{z}²)', spacing: 8 },
  },
  u: {
    ...displacement,
    ...named('displacement along the member'),
    symbol: 'u',
    positive: 'towards the end',
    negative: 'towards the start',
    stored: { degree: 3, offset: 10 },
  },
  v: {
    ...displacement,
    symbol: 'v',
    name: 'deflection',
    nameInSpace: 'deflection along {y}',
    positive: 'along {+y}',
    negative: 'along {−y}',
    stored: { degree: 5, offset: 14 },
    line: { stands: 'y', rule: 'as members deflect', spacing: 26 },
  },
  w: {
    ...displacement,
    ...inSpaceOnly,
    ...named('deflection along {z}'),
    symbol: 'w',
    positive: 'along {+z}',
    negative: 'along {−z}',
    stored: { degree: 5, offset: 28 },
    line: { stands: 'z', rule: 'as members deflect', spacing: 26 },
  },
  uX: {
    ...displacement,
    ...named('movement along {X}'),
    symbol: 'u{X}',
    positive: 'along {+X}',
    negative: 'along {−X}',
    derived: movementAlong(0),
    line: { stands: 'up', dash: [12, 3], spacing: 26 },
  },
  uY: {
    ...displacement,
    ...named('movement along {Y}'),
    symbol: 'u{Y}',
    positive: 'along {+Y}',
    negative: 'along {−Y}',
    derived: movementAlong(1),
    line: { stands: 'up', dash: [4, 3], spacing: 26 },
  },
  uZ: {
    ...displacement,
    ...inSpaceOnly,
    ...named('movement along {Z}'),
    symbol: 'u{Z}',
    positive: 'along {+Z}',
    negative: 'along {−Z}',
    derived: movementAlong(2),
    line: { stands: 'up', dash: [6, 2, 2, 2], spacing: 26 },
  },
  sigma: {
    ...named('normal stress'),
    symbol: 'σ',
    dimension: 'stress',
    ink: 'stress',
    side: -1,
    inPlane: true,
    positive: 'tension',
    negative: 'compression',
    derived: normalStress,
    line: { stands: 'up', rule: 'at the extreme fibres · + tension, − compression', dash: [9, 2, 2, 2], spacing: 30 },
  },
  sigmaV: {
    ...named('equivalent stress'),
    symbol: 'σv',
    dimension: 'stress',
    ink: 'stress',
    side: 1,
    inPlane: true,
    positive: '√(σ² + 3τ²)',
    negative: '',
    derived: equivalentStress,
    line: { stands: 'up', rule: '√(σ² + 3τ²), the greatest on the outline', dash: [9, 2], spacing: 30 },
  },
};

const PLANE_WIDTH = 20;
const SPACE_WIDTH = 34;

/** Coefficients of one piece. */
export const pieceWidth = (s: Structure): number => (isPlane(s) ? PLANE_WIDTH : SPACE_WIDTH);

const ofLine = (key: 'degree' | 'offset'): { readonly [quantity in LineQuantity]: number } =>
  Object.fromEntries(lineQuantities.map((quantity) => [quantity, quantityTable[quantity].stored![key]])) as never;
const DEGREES = ofLine('degree');
const OFFSETS = ofLine('offset');

export const degreeOf = (quantity: LineQuantity): number => DEGREES[quantity];
export const offsetOf = (quantity: LineQuantity): number => OFFSETS[quantity];
/** Whether pieces of this width store the quantity; where they do not, it is zero. */
export const isStored = (width: number, quantity: LineQuantity): boolean => offsetOf(quantity) < width;
/** Whether the quantity is a displacement of the axis, not a force. */
export const isDisplacement = (quantity: LineQuantity): boolean => quantity === 'u' || quantity === 'v' || quantity === 'w';
export const isLine = (quantity: Quantity): quantity is LineQuantity => quantityTable[quantity].stored !== undefined;

/** The quantities of a structure, stored and derived, in the order of the table. */
export const quantitiesOf = (s: Structure): Quantity[] =>
  (Object.keys(quantityTable) as Quantity[]).filter((quantity) => quantityTable[quantity].inPlane || !isPlane(s));

/** How a quantity is said and written, with axes as the reader calls them. */
export interface QuantityWords {
  readonly symbol: string;
  readonly name: string;
  readonly positive: string;
  readonly negative: string;
  readonly rule: string | undefined;
}

/** Deflections along local axes are written u, v and w in their order. */
const ALONG: { readonly [letter: string]: string } = { x: 'u', y: 'v', z: 'w' };
const DEFLECTION: Partial<Record<Quantity, AxisKey>> = { v: 'y', w: 'z' };

export function quantityWords(space: 'plane' | 'space', quantity: Quantity, display: DisplayUnits): QuantityWords {
  const { symbol, name, nameInSpace, positive, negative, line } = quantityTable[quantity];
  // An axis that readers call the other way round keeps its sense: u−Y is positive where it goes against Y.
  const said = (text: string): string => withAxes(text.replaceAll(/\{([XYZ])\}/g, '{~$1}'), display);
  const way = DEFLECTION[quantity];
  return {
    symbol: way ? ALONG[memberAxis(display, way).letter]! : said(symbol),
    name: said(space === 'plane' ? name : nameInSpace),
    positive: said(positive),
    negative: said(negative),
    rule: line?.rule && said(line.rule),
  };
}

/** Symbols in the plane, where no axis has to be told; a v beside a V would hardly be. */
const SHORT: Partial<Record<Quantity, string>> = { Vy: 'V', Mz: 'M', v: 'δ' };

/** The symbol of a quantity as it is said in a structure. */
export const symbolOf = (space: 'plane' | 'space', quantity: Quantity, display: DisplayUnits): string =>
  (space === 'plane' && SHORT[quantity]) || quantityWords(space, quantity, display).symbol;

/** How a quantity is said in a structure. */
export const nameOf = (s: Structure, quantity: Quantity, display: DisplayUnits): string =>
  quantityWords(isPlane(s) ? 'plane' : 'space', quantity, display).name;

/** The unit in which a project shows a quantity along a member. */
export const unitOfQuantity = (quantity: Quantity, display: DisplayUnits): string =>
  quantityTable[quantity].dimension === 'length' ? display.deflection : unitOf(quantityTable[quantity].dimension, display);

/** Quantities of a kind along two axes: readers want them in the order of the letters by which they call these. */
const ACROSS: readonly (readonly [Quantity, Quantity])[] = [['Vy', 'Vz'], ['My', 'Mz'], ['v', 'w']]; // oxfmt-ignore
const UPRIGHT: typeof ACROSS = [['uY', 'uZ']];

/** The same quantities, those of a kind in the order of the letters by which readers call their axes. */
export function inLetterOrder<Q extends Quantity>(
  all: readonly Q[],
  { strong, up }: Pick<DisplayUnits, 'strong' | 'up'>,
): readonly Q[] {
  const pairs = [...(strong === 'z' ? [] : ACROSS), ...(up === 'Y' ? [] : UPRIGHT)];
  if (pairs.length === 0) return all;
  const other = new Map(pairs.flatMap(([a, b]) => [[a, b], [b, a]] as const)); // oxfmt-ignore
  const there = new Set<Quantity>(all);
  return all.map((quantity) => {
    const pair = other.get(quantity);
    return pair && there.has(pair) ? (pair as Q) : quantity;
  });
}
