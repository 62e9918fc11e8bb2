import { dimensions, sameDimension, type Dimension, type DimensionName } from '../../quantities/dimension';
import { namesIn, readExpression, type Quantity, type Scope } from '../../quantities/expression';
import { ParseFault } from '../../quantities/parse-fault';
import { isObject, type Entity, type Findings } from '../findings';
import type { Formula, Parameter } from '../model';
import { dimensionOfUnit, namedBy, parameterPlace } from './evaluate';

/** Parameters as they were written, with numbers in SI in place of texts, and what is said of them besides. */
export interface ReadParameters {
  readonly entries: unknown;
  /** Those that are given by other parameters. */
  readonly formulas: readonly Formula[];
  readonly scope: Scope;
}

const NUMBERS = ['value', 'from', 'to', 'step'] as const;

/** Reads the parameters of a file before everything that may mention them: `{ "id": "span", "value": "12 m" }`, `{ "id": "rise", "value": "span/5" }`. */
export function readParameters({ parameters, formulas }: Entity, findings: Findings): ReadParameters {
  if (!Array.isArray(parameters)) return { entries: parameters, formulas: [], scope: new Map() };
  const names = new Set((parameters as unknown[]).map((one) => (isObject(one) ? one.id : undefined)));
  const isName = (word: string): boolean => names.has(word);
  const own: Formula[] = [];
  const entries = (parameters as unknown[]).map((one, i) => {
    if (!isObject(one) || !NUMBERS.some((key) => typeof one[key] === 'string')) return one;
    findings.converted = true;
    const entry: Entity = { ...one };
    for (const key of NUMBERS) {
      const text = one[key];
      if (typeof text !== 'string') continue;
      if (key === 'value' && namesIn(text, isName).length > 0) {
        own.push({ of: parameterPlace(String(one.id)), is: text });
        delete entry.value;
      } else readNumber(entry, key, text, (reason) => tellBad(findings, `parameters[${i}].${key}`, text, reason));
    }
    return entry;
  });
  const written = Array.isArray(formulas) ? (formulas as unknown[]).filter(isFormula) : [];
  const all = [...written.filter(({ of }) => !own.some((one) => one.of === of)), ...own];
  const scope = settle(entries.filter(isObject), own, all);
  const isAsWritten = entries.every((entry, i) => entry === parameters[i]);
  return { entries: isAsWritten ? parameters : entries, formulas: own, scope };
}

/** A text as a number in SI: of the dimension that the parameter has, which the first unit tells where none is given. */
function readNumber(entry: Entity, key: string, text: string, tell: (reason: string) => void): void {
  entry[key] = 0;
  try {
    const read = readExpression(text);
    const isOpen = entry.unit === undefined && (key === 'value' || entry.value === undefined);
    const wanted = isOpen ? read.dimension : dimensionOfUnit(typeof entry.unit === 'string' ? entry.unit : undefined);
    if (wanted && !read.hasUnit && !sameDimension(wanted, dimensions.number))
      return tell(`a unit is missing, such as ${String(entry.unit)}`);
    if (wanted && !sameDimension(wanted, read.dimension))
      return tell(`its unit is not one for ${String(entry.unit ?? 'a plain number')}`);
    entry[key] = read.value;
    if (isOpen && !isPlain(read)) entry.unit = unitBehind(text, read);
  } catch (fault) {
    if (!(fault instanceof ParseFault)) throw fault;
    tell(fault.message);
  }
}

/** Parameters that others give get their numbers, and where they say none their unit: one after the other, until nothing follows from them any more. */
function settle(entries: readonly Entity[], own: readonly Formula[], all: readonly Formula[]): Scope {
  const pending = new Map(own.map(({ of, is }) => [of, is]));
  for (const entry of entries) if (pending.has(parameterPlace(String(entry.id)))) Object.assign(entry, { value: 0 });
  for (;;) {
    const given = entries.filter(isParameter).filter((entry) => !pending.has(parameterPlace(entry.id)));
    const { scope } = namedBy(given, all);
    let isSettled = false;
    for (const entry of entries) {
      const place = parameterPlace(String(entry.id));
      const text = pending.get(place);
      const read = text === undefined ? undefined : tried(text, scope);
      if (!read) continue;
      pending.delete(place);
      entry.value = read.value;
      if (entry.unit === undefined && !isPlain(read)) entry.unit = unitLike(text!, read, given) ?? unitFor(read.dimension);
      isSettled = true;
    }
    if (!isSettled) return scope;
  }
}

/** Whether it has no unit, or none that is left: a length over a length. */
const isPlain = ({ dimension }: Quantity): boolean => sameDimension(dimension, dimensions.number);
const isFormula = (one: unknown): one is Formula => isObject(one) && typeof one.of === 'string' && typeof one.is === 'string';
const isParameter = (entry: Entity): entry is Entity & Parameter =>
  typeof entry.id === 'string' && typeof entry.value === 'number' && (entry.unit === undefined || typeof entry.unit === 'string');

function tried(text: string, scope: Scope): Quantity | undefined {
  try {
    return readExpression(text, scope);
  } catch (fault) {
    if (fault instanceof ParseFault) return undefined;
    throw fault;
  }
}

/** The unit of the first of the parameters mentioned that is of the same dimension. */
const unitLike = (text: string, { dimension }: Quantity, parameters: readonly Parameter[]): string | undefined =>
  namesIn(text, (word) => parameters.some(({ id }) => id === word))
    .map(({ text: name }) => parameters.find(({ id }) => id === name)!.unit)
    .find((unit) => unit !== undefined && sameDimension(dimension, dimensionOfUnit(unit) ?? dimensions.number));

/** The unit that was written behind a number; where there was more than that, one of the dimension. */
function unitBehind(text: string, { value, dimension }: Quantity): string {
  const [, number, unit] = /^\s*([-+−]?[\d.]+(?:e[-+]?\d+)?)\s*(\S.*?)\s*$/iu.exec(text) ?? [];
  const scale = unit === undefined ? undefined : tried(unit, new Map());
  const isIt = scale && sameDimension(scale.dimension, dimension) && Number(number!.replace('−', '-')) * scale.value === value;
  return isIt ? unit! : unitFor(dimension);
}

const UNITS: Partial<Record<DimensionName, string>> = {
  ...{ length: 'm', area: 'm2', modulus: 'm3', inertia: 'm4', force: 'N', moment: 'N·m', intensity: 'N/m', stress: 'Pa' },
  ...{ density: 'kg/m3', mass: 'kg', massPerLength: 'kg/m', acceleration: 'm/s2', expansion: '1/K', temperature: 'K' },
  ...{ gradient: 'K/m', angle: 'rad', rotationalSpring: 'N·m/rad' },
};

/** A unit of SI of this dimension. */
export function unitFor(dimension: Dimension): string {
  const name = (Object.keys(UNITS) as DimensionName[]).find((one) => sameDimension(dimensions[one], dimension));
  if (name) return UNITS[name]!;
  const bases = ['m', 'kg', 's', 'K', 'rad'];
  const parts = dimension.map((exponent, i) => (exponent === 0 ? '' : `${bases[i]}^${exponent}`)).filter(Boolean);
  return parts.join('·');
}

const tellBad = (findings: Findings, path: string, value: string, reason: string): undefined =>
  findings.fault({
    code: 'bad-quantity',
    path,
    value,
    what: `This cannot be read as a quantity: ${reason}`,
    expected: 'a number with its unit, or an expression of other parameters',
    remedy: 'Write "12 m", or "span/5"',
  });
