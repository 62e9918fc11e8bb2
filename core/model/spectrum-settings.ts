import { axisKeys, type AxisKey } from '../quantities/axis-names';
import { choice, neededPositive, positive, type Field, type Fields } from './fields';
import { isObject, type Entity } from './findings';
import { byId, checkReference, type RuleContext } from './rules/context';

/** Shapes of the elastic spectrum by EN 1998-1, 3.2.2.2: of strong and distant earthquakes, and of weak and near ones. */
export const spectrumShapes = ['type 1', 'type 2'] as const;
export type SpectrumShape = (typeof spectrumShapes)[number];
/** Ground types of EN 1998-1, table 3.1. */
export const groundTypes = ['A', 'B', 'C', 'D', 'E'] as const;
export type GroundType = (typeof groundTypes)[number];

/** How modes are put together: by their correlation (complete quadratic combination), or as if they had none (square root of the sum of squares). */
export const modalSums = ['cqc', 'srss'] as const;
export type ModalSum = (typeof modalSums)[number];
/** How directions are put together, EN 1998-1, 4.3.3.5.1: by the root of their squares, or each whole with 0.3 of the others. */
export const directionSums = ['squares', 'shares'] as const;
export type DirectionSum = (typeof directionSums)[number];

/** What the ground does: by a shape of the standard, or by a table of one's own. */
export interface SpectrumSettings {
  readonly shape?: SpectrumShape;
  readonly ground?: GroundType;
  /** Peak ground acceleration on type A ground, a_gR, m/s². */
  readonly acceleration?: number;
  /** Importance factor γI. */
  readonly importance?: number;
  /** Behaviour factor q: with it the design spectrum, without it the elastic one. */
  readonly behaviour?: number;
  /** By period (s) the acceleration, m/s²: what lies between is on a straight line. */
  readonly table?: readonly { readonly period: number; readonly acceleration: number }[];
  /** Of a table of one's own the part of it that acts upwards and downwards. */
  readonly vertical?: number;
  /** Of the critical one: of an elastic spectrum, and of the correlation of modes. */
  readonly damping?: number;
  /** Along which axes of the structure the ground moves; level ones where nothing is said. */
  readonly directions?: readonly AxisKey[];
  readonly modes?: ModalSum;
  readonly sum?: DirectionSum;
  /** By case the factor with which it acts beside the earthquake. */
  readonly beside?: { readonly [id: string]: number };
}

export const SPECTRUM_DAMPING = 0.05;
const MOST_PERIODS = 500;

export const spectrumField: Field = {
  kind: 'object',
  fields: {
    shape: choice(...spectrumShapes),
    ground: choice(...groundTypes),
    acceleration: positive('acceleration'),
    importance: positive('number'),
    behaviour: positive('number'),
    table: {
      kind: 'list',
      of: {
        kind: 'object',
        fields: {
          period: { kind: 'quantity', dimension: 'number', required: true, sign: 'notNegative' },
          acceleration: neededPositive('acceleration'),
        } satisfies Fields,
      },
      most: MOST_PERIODS,
      least: 2,
      words: 'periods of a spectrum',
    },
    vertical: positive('number'),
    damping: positive('number'),
    directions: { kind: 'names' },
    modes: choice(...modalSums),
    sum: choice(...directionSums),
    beside: { kind: 'factors' },
  },
};

export const spectrumDirections = ({ directions }: SpectrumSettings, space: 'plane' | 'space'): readonly AxisKey[] =>
  directions ?? (space === 'plane' ? ['x'] : ['x', 'z']);

/** What is said of the ground makes sense together. */
export function checkSpectrum({ model, findings }: Pick<RuleContext, 'model' | 'findings'>, spectrum: Entity | undefined): void {
  if (!spectrum) return;
  const at = 'analysis.naturalModes.spectrum';
  const fault = (key: string, what: string, expected: string): void =>
    void findings.fault({ code: 'analysis-settings', path: `${at}.${key}`, value: spectrum[key.split(/[.[]/)[0]!], what, expected, remedy: `Give ${expected}` }); // oxfmt-ignore
  const { shape, table, behaviour, damping, vertical, directions, beside } = spectrum;
  if ((shape === undefined) === (table === undefined))
    fault('shape', 'A spectrum is a shape of the standard or a table, one of them', 'either “shape” or “table”');
  if (shape !== undefined) {
    for (const key of ['ground', 'acceleration'])
      if (spectrum[key] === undefined) fault(key, `Of a spectrum by a shape the ${key} is not said`, key === 'ground' ? 'a ground type, A to E' : 'the peak acceleration on type A ground'); // oxfmt-ignore
    if (vertical !== undefined) fault('vertical', 'The shapes of the standard have an upright one of their own', 'it with a table only'); // oxfmt-ignore
  } else
    for (const key of ['ground', 'acceleration', 'importance', 'behaviour'])
      if (spectrum[key] !== undefined) fault(key, `A table is as it stands, and has no ${key}`, 'accelerations that hold it, or a shape of the standard'); // oxfmt-ignore
  if (behaviour !== undefined && !(Number(behaviour) >= 1)) fault('behaviour', 'No structure behaves worse than elastically', 'a factor of 1 or more'); // oxfmt-ignore
  if (damping !== undefined && !(Number(damping) < 1)) fault('damping', 'What is damped so strongly does not swing', 'a part of the critical damping, such as 0.05'); // oxfmt-ignore
  if (Array.isArray(table))
    table.forEach((one, i) => {
      if (
        i > 0 &&
        isObject(one) &&
        isObject(table[i - 1]) &&
        !(Number((one as Entity).period) > Number((table[i - 1] as Entity).period))
      )
        fault(`table[${i}].period`, 'The periods of a table follow each other', 'longer and longer periods');
    });
  checkDirections(model.space, directions, fault);
  if (Array.isArray(directions) && directions.includes('y') && table !== undefined && vertical === undefined)
    fault('vertical', 'How much of the table acts upwards and downwards is not said', 'a part such as 0.7');
  const cases = byId(model, 'cases');
  if (isObject(beside)) for (const id of Object.keys(beside)) checkReference(findings, cases, id, `${at}.beside.${id}`, 'case');
}

function checkDirections(
  space: unknown,
  directions: unknown,
  fault: (key: string, what: string, expected: string) => void,
): void {
  if (!Array.isArray(directions)) return;
  const known: readonly unknown[] = space === 'plane' ? ['x', 'y'] : axisKeys;
  directions.forEach((one, i) => {
    if (!known.includes(one))
      fault(`directions[${i}]`, 'The ground moves along axes of the structure', known.map((key) => `“${String(key)}”`).join(' or ')); // oxfmt-ignore
    else if (directions.indexOf(one) < i) fault(`directions[${i}]`, 'The direction is named twice', 'each direction once');
  });
  if (directions.length === 0) fault('directions', 'The ground moves nowhere', 'one direction at least');
}
