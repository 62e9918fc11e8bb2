import type { DimensionName } from '../quantities/dimension';
import { displayChoices } from '../quantities/display';
import { behaviours, categories, endFreedoms, freedoms, limitStates, shapeTypes } from './model';

/** What one key of the model file holds. One table serves the reader, the check after every edit, and the messages. */
export type Field =
  | {
      readonly kind: 'quantity';
      readonly dimension: DimensionName;
      readonly required?: true;
      readonly sign?: 'positive' | 'notNegative';
      readonly degrees?: true;
    }
  | { readonly kind: 'restraint'; readonly dimension: DimensionName }
  | { readonly kind: 'id'; readonly required: true }
  | { readonly kind: 'text'; readonly required?: true }
  | { readonly kind: 'flag' }
  | { readonly kind: 'choice'; readonly of: readonly string[]; readonly required?: true }
  | { readonly kind: 'object'; readonly fields: Fields; readonly required?: true }
  | { readonly kind: 'vector'; readonly dimension: DimensionName; readonly required?: true }
  | { readonly kind: 'factors'; readonly required: true }
  | { readonly kind: 'ids'; readonly required: true }
  | { readonly kind: 'names' }
  | { readonly kind: 'steps'; readonly required: true }
  | { readonly kind: 'picture'; readonly required: true };

export type Fields = { readonly [key: string]: Field };

const quantity = (dimension: DimensionName): Field => ({ kind: 'quantity', dimension });
const needed = (dimension: DimensionName): Field => ({ kind: 'quantity', dimension, required: true });
const positive = (dimension: DimensionName): Field => ({ kind: 'quantity', dimension, sign: 'positive' });
/** Stored in degrees; a string with a unit is converted. */
const degrees: Field = { kind: 'quantity', dimension: 'angle', degrees: true };
const id: Field = { kind: 'id', required: true };
const each = (keys: readonly string[], field: (key: string) => Field): Fields =>
  Object.fromEntries(keys.map((key) => [key, field(key)]));
const isTranslation = (freedom: string): boolean => freedom.startsWith('u');

const restraints = (keys: readonly string[]): Fields =>
  each(keys, (key) => ({ kind: 'restraint', dimension: isTranslation(key) ? 'spring' : 'rotationalSpring' }));
const components: Fields = {
  ...each(['fx', 'fy', 'fz'], () => quantity('force')),
  ...each(['mx', 'my', 'mz'], () => quantity('moment')),
};
/** A load position is a ratio or a length; which, depends on `measure`. The reader resolves it. */
const position = quantity('length');
const intensity: Fields = { at: position, ...each(['wx', 'wy', 'wz'], () => quantity('intensity')) };

/** Grid lines across one axis. */
const gridAxis: Field = {
  kind: 'object',
  fields: { from: needed('length'), steps: { kind: 'steps', required: true }, names: { kind: 'names' } },
};
const neededPositive = (dimension: DimensionName): Field => ({ kind: 'quantity', dimension, required: true, sign: 'positive' });

export const rootFields: Fields = {
  title: { kind: 'text' },
  space: { kind: 'choice', of: ['plane', 'space'], required: true },
  gravity: { kind: 'quantity', dimension: 'acceleration', sign: 'notNegative' },
  analysis: { kind: 'object', fields: { shearDeformation: { kind: 'flag' } } },
  display: {
    kind: 'object',
    fields: Object.fromEntries(Object.entries(displayChoices).map(([key, of]) => [key, { kind: 'choice', of }])),
  },
  grid: { kind: 'object', fields: { x: gridAxis, y: gridAxis, z: gridAxis } },
  underlay: {
    kind: 'object',
    fields: {
      image: { kind: 'picture', required: true },
      name: { kind: 'text' },
      width: neededPositive('number'),
      height: neededPositive('number'),
      across: { kind: 'choice', of: ['x', 'y', 'z'] },
      at: quantity('length'),
      x: needed('length'),
      y: needed('length'),
      metresPerPixel: neededPositive('length'),
      angle: degrees,
      strength: { kind: 'quantity', dimension: 'number', sign: 'notNegative' },
    },
  },
};

export const listFields = {
  materials: {
    id,
    E: { kind: 'quantity', dimension: 'stress', sign: 'positive', required: true },
    G: positive('stress'),
    nu: quantity('number'),
    density: { kind: 'quantity', dimension: 'density', sign: 'notNegative' },
    alpha: quantity('expansion'),
    fy: positive('stress'),
  },
  sections: {
    id,
    A: positive('area'),
    Iz: positive('inertia'),
    Iy: positive('inertia'),
    J: positive('inertia'),
    Ay: positive('area'),
    Az: positive('area'),
    Wz: positive('modulus'),
    Wy: positive('modulus'),
    Iyz: quantity('inertia'),
    shape: {
      kind: 'object',
      fields: {
        type: { kind: 'choice', of: shapeTypes, required: true },
        ...each(['h', 'b', 'tw', 'tf', 'bTop', 'tfTop', 't', 'd'], () => positive('length')),
        ...each(['r', 'ro'], () => ({ kind: 'quantity', dimension: 'length', sign: 'notNegative' })),
      },
    },
    catalogue: { kind: 'text' },
  },
  nodes: { id, x: needed('length'), y: needed('length'), z: quantity('length') },
  members: {
    id,
    start: id,
    end: id,
    section: id,
    material: id,
    roll: degrees,
    behaviour: { kind: 'choice', of: behaviours },
    releases: {
      kind: 'object',
      fields: {
        start: { kind: 'object', fields: restraints(endFreedoms) },
        end: { kind: 'object', fields: restraints(endFreedoms) },
      },
    },
    offset: {
      kind: 'object',
      fields: { start: { kind: 'vector', dimension: 'length' }, end: { kind: 'vector', dimension: 'length' } },
    },
  },
  supports: {
    node: id,
    ...restraints(freedoms),
    angle: degrees,
    axes: {
      kind: 'object',
      fields: {
        x: { kind: 'vector', dimension: 'number', required: true },
        y: { kind: 'vector', dimension: 'number', required: true },
      },
    },
  },
  cases: {
    id,
    title: { kind: 'text' },
    category: { kind: 'choice', of: categories, required: true },
    selfWeight: quantity('number'),
  },
} as const satisfies { [list: string]: Fields };

/** Lists that a model need not have. */
export const optionalLists = { groups: { id, nodes: { kind: 'names' }, members: { kind: 'names' } } } as const satisfies {
  [list: string]: Fields;
};

export const loadFields: { readonly [type: string]: Fields } = {
  node: { case: id, node: id, ...components },
  settlement: { case: id, node: id, ...each(freedoms, (key) => quantity(isTranslation(key) ? 'length' : 'angle')) },
  point: {
    case: id,
    member: id,
    at: { kind: 'quantity', dimension: 'length', required: true },
    measure: { kind: 'choice', of: ['ratio', 'length'] },
    axes: { kind: 'choice', of: ['global', 'local'] },
    ...components,
  },
  line: {
    case: id,
    member: id,
    axes: { kind: 'choice', of: ['global', 'local', 'projected'] },
    measure: { kind: 'choice', of: ['ratio', 'length'] },
    from: { kind: 'object', fields: intensity, required: true },
    to: { kind: 'object', fields: intensity, required: true },
  },
  thermal: {
    case: id,
    member: id,
    uniform: quantity('temperature'),
    gradientY: quantity('gradient'),
    gradientZ: quantity('gradient'),
  },
  strain: { case: id, member: id, elongation: needed('length') },
};

export const combinationFields: { readonly [type: string]: Fields } = {
  sum: {
    id,
    title: { kind: 'text' },
    factors: { kind: 'factors', required: true },
    limitState: { kind: 'choice', of: limitStates },
  },
  envelope: { id, title: { kind: 'text' }, of: { kind: 'ids', required: true }, limitState: { kind: 'choice', of: limitStates } },
};

/** Keys that a plane model may carry only as 0 or `"free"`, by list; for loads by type. */
export const outOfPlane: { readonly [list: string]: readonly string[] } = {
  nodes: ['z'],
  supports: ['uz', 'rx', 'ry'],
  releases: ['uz', 'rx', 'my'],
  node: ['fz', 'mx', 'my'],
  point: ['fz', 'mx', 'my'],
  settlement: ['uz', 'rx', 'ry'],
  intensity: ['wz'],
  thermal: ['gradientZ'],
};
