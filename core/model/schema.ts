import { CHAPTER_LETTERS, chapterNames, MOST_CHAPTERS, MOST_PICTURES } from './report';
import { displayChoices } from '../quantities/display';
import {
  choice,
  degrees,
  each,
  id,
  measure,
  needed,
  neededPositive,
  positive,
  quantity,
  stretchFields,
  type Field,
  type Fields,
} from './fields';
import { expectedQuantities } from './expected';
import { compoundKinds } from './loads/compound';
import { notionalFields } from './loads/notional';
import { typicals } from './typical/all';
import type { TypicalField } from './typical/typical';
import { analysisFields } from './analysis-settings';
import { categories, limitStates } from './categories';
import { ruleFields } from './rule-fields';
import { axleFields } from './loads/train-load';
import {
  actionTypes,
  behaviours,
  caseColours,
  endFreedoms,
  freedoms,
  isTranslation,
  oneWays,
  patternParts,
  patternWays,
  permanentWays,
  translations,
} from './model';
import { dimensionSigns } from '../shapes/kind';
import { dimensionedShapes, shapeTypes } from '../shapes/registry';

const restraints = (keys: readonly string[]): Fields =>
  each(keys, (key): Field => ({ kind: 'restraint', dimension: isTranslation(key) ? 'spring' : 'rotationalSpring' }));
const endGaps = each(endFreedoms, (key) => positive(isTranslation(key) ? 'length' : 'angle'));
const components: Fields = {
  ...each(['fx', 'fy', 'fz'], () => quantity('force')),
  ...each(['mx', 'my', 'mz'], () => quantity('moment')),
};
/** Dimensions of a shape. */
const dimensions: Fields = Object.fromEntries(
  Object.entries(dimensionSigns).map(([key, sign]): [string, Field] => [
    key,
    { kind: 'quantity', dimension: key === 'slope' ? 'number' : 'length', sign },
  ]),
);

/** A part of a built section. */
const part: Field = {
  kind: 'object',
  fields: {
    catalogue: { kind: 'text' },
    shape: { kind: 'object', fields: { type: { kind: 'choice', of: dimensionedShapes, required: true }, ...dimensions } },
    outline: { kind: 'corners' },
    holes: { kind: 'list', of: { kind: 'corners' }, most: 50, words: 'holes' },
    at: { kind: 'place' },
    angle: degrees,
    mirrored: { kind: 'flag' },
  },
};
/** What stands side by side in a built section. */
export const sectionParts: Field = { kind: 'list', of: part, most: 50, words: 'parts' };

/** Grid lines across one axis. */
const gridAxis: Field = {
  kind: 'object',
  fields: { from: needed('length'), steps: { kind: 'steps', required: true }, names: { kind: 'names' } },
};

export const rootFields: Fields = {
  title: { kind: 'text' },
  space: { kind: 'choice', of: ['plane', 'space'], required: true },
  gravity: { kind: 'quantity', dimension: 'acceleration', sign: 'notNegative' },
  analysis: { kind: 'object', fields: analysisFields },
  display: {
    kind: 'object',
    fields: Object.fromEntries(Object.entries(displayChoices).map(([key, of]) => [key, { kind: 'choice', of }])),
  },
  combining: {
    kind: 'object',
    fields: { rules: id, situations: { kind: 'names' }, permanent: { kind: 'choice', of: permanentWays } },
  },
  report: {
    kind: 'object',
    fields: {
      chapters: {
        kind: 'list',
        required: true,
        most: MOST_CHAPTERS,
        words: 'chapters',
        of: {
          kind: 'object',
          fields: {
            chapter: { kind: 'choice', of: [...chapterNames, 'text'], required: true },
            title: { kind: 'text' },
            text: { kind: 'text', most: CHAPTER_LETTERS },
            members: { kind: 'names' },
            pictures: {
              kind: 'list',
              most: MOST_PICTURES,
              words: 'pictures',
              of: {
                kind: 'object',
                fields: {
                  image: { kind: 'picture', required: true },
                  width: neededPositive('number'),
                  height: neededPositive('number'),
                  caption: { kind: 'text', most: 500 },
                },
              },
            },
          },
        },
      },
    },
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
        ...dimensions,
        parts: sectionParts,
      },
    },
    catalogue: { kind: 'text' },
    relative: { kind: 'object', fields: { I: neededPositive('number'), reference: positive('inertia') } },
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
    gaps: { kind: 'object', fields: each(['start', 'end'], () => ({ kind: 'object', fields: endGaps })) },
    offset: {
      kind: 'object',
      fields: { start: { kind: 'vector', dimension: 'length' }, end: { kind: 'vector', dimension: 'length' } },
    },
  },
  supports: {
    node: id,
    ...restraints(freedoms),
    angle: degrees,
    oneWay: { kind: 'object', fields: each(translations, () => choice(...oneWays)) },
    gaps: { kind: 'object', fields: each(translations, () => positive('length')) },
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
    colour: { kind: 'choice', of: caseColours },
  },
} as const satisfies { [list: string]: Fields };

/** Lists that a model need not have. */
export const optionalLists = {
  actions: {
    id,
    title: { kind: 'text' },
    type: { kind: 'choice', of: actionTypes, required: true },
    of: { kind: 'ids', required: true },
    by: { kind: 'choice', of: patternParts },
    ways: { kind: 'list', of: { kind: 'choice', of: patternWays }, most: patternWays.length, words: 'ways' },
  },
  expected: {
    id,
    outcome: id,
    member: id,
    quantity: { kind: 'choice', of: expectedQuantities, required: true },
    value: neededPositive('number'),
  },
  // Their numbers have the dimension of their unit, which a rule looks after.
  parameters: {
    id,
    title: { kind: 'text' },
    unit: { kind: 'text' },
    value: needed('number'),
    ...each(['from', 'to', 'step'], () => quantity('number')),
  },
  formulas: { of: { kind: 'text', required: true }, is: { kind: 'text', required: true } },
  groups: { id, nodes: { kind: 'names' }, members: { kind: 'names' } },
  ruleSets: ruleFields,
  trains: {
    id,
    title: { kind: 'text' },
    ...axleFields,
    varies: { kind: 'object', fields: { behind: needed('number'), most: neededPositive('length') } },
    uniform: positive('intensity'),
  },
} as const satisfies {
  [list: string]: Fields;
};

/** Loads by type. An id may be left out in a file: it is given on reading. */
const ofLoads = (types: { readonly [type: string]: Fields }): { readonly [type: string]: Fields } =>
  Object.fromEntries(Object.entries(types).map(([type, fields]) => [type, { id: { kind: 'id' }, case: id, ...fields }]));

export const loadFields = ofLoads({
  node: { node: id, ...components },
  settlement: { node: id, ...each(freedoms, (key) => quantity(isTranslation(key) ? 'length' : 'angle')) },
  point: {
    member: id,
    at: { kind: 'quantity', dimension: 'length', required: true },
    measure,
    axes: { kind: 'choice', of: ['global', 'local'] },
    ...components,
  },
  line: { member: id, ...stretchFields },
  thermal: {
    member: id,
    uniform: quantity('temperature'),
    gradientY: quantity('gradient'),
    gradientZ: quantity('gradient'),
  },
  strain: { member: id, elongation: needed('length') },
  notional: notionalFields,
  ...Object.fromEntries(Object.values(compoundKinds).map(({ type, fields }) => [type, fields])),
});

/** Typical structures that remain such, by type: their measures, where they were placed, and what of the model they are. */
export const structureFields = Object.fromEntries(
  typicals.map(({ id: type, fields }): [string, Fields] => [
    type,
    {
      id,
      type: { kind: 'choice', of: [type], required: true },
      values: {
        kind: 'object',
        fields: Object.fromEntries(fields.map((field) => [field.key, measureOf(field)])),
        required: true,
      },
      origin: { kind: 'vector', dimension: 'length', required: true },
      upright: { kind: 'flag' },
      nodes: { kind: 'names', required: true },
      members: { kind: 'names', required: true },
    },
  ]),
);

function measureOf(field: TypicalField): Field {
  switch (field.kind) {
    case 'length':
      return neededPositive('length');
    case 'count':
      return neededPositive('number');
    case 'spacings':
      return { kind: 'steps', required: true };
    case 'choice':
      return { kind: 'choice', of: field.of.map((one) => one.id), required: true };
  }
}

/** Where a combination comes from that nobody typed. */
const made: Field = {
  kind: 'object',
  fields: { rules: id, situation: id, clause: { kind: 'text' }, reason: { kind: 'text' } },
};

const ofEvery: Fields = { id, title: { kind: 'text' }, limitState: { kind: 'choice', of: limitStates }, made };
export const combinationFields: { readonly [type: string]: Fields } = {
  sum: { ...ofEvery, factors: { kind: 'factors', required: true } },
  envelope: { ...ofEvery, of: { kind: 'ids', required: true }, earthquake: { kind: 'flag' } },
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
