import { parseQuantity } from '../quantities/parse';
import { dimensionWords, type DimensionName } from '../quantities/dimension';
import { fault, type FaultDetail, type Notice } from './notice';
import type { Field, Fields } from './fields';

export type Entity = Record<string, unknown>;

/** Collects what a reader finds; a path is built only when something is reported. */
export class Findings {
  readonly notices: Notice[] = [];
  /** True once something had to be read otherwise than it stood: a quantity in a text, a missing list. */
  converted = false;
  fault(detail: FaultDetail): undefined {
    this.notices.push(fault(detail));
    return undefined;
  }
  unknownKey(path: string, key: string): void {
    this.notices.push({
      code: 'unknown-key',
      severity: 'note',
      message: `The key “${key}” at ${path} is not part of the format: it is kept, and has no effect.`,
      subjects: [],
      path,
    });
  }
}

export const isObject = (value: unknown): value is Entity => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Reads one object by its table of fields. Values are converted to SI numbers; unknown keys are kept and noted. */
export function readFields(
  value: unknown,
  fields: Fields,
  path: string,
  findings: Findings,
  known: readonly string[] = [],
): Entity | undefined {
  if (!isObject(value)) {
    return findings.fault({
      code: 'wrong-type',
      path,
      value,
      what: 'An object was expected here',
      expected: 'an object',
      remedy: 'Write { … }',
    });
  }
  const result: Entity = {};
  for (const key of Object.keys(value)) {
    const at = path === '' ? key : `${path}.${key}`;
    if (key === '__proto__') {
      findings.fault({
        code: 'unsafe-key',
        path: at,
        value: key,
        what: 'This key is not allowed',
        expected: 'another key',
        remedy: 'Remove it',
      });
      continue;
    }
    const field = Object.hasOwn(fields, key) ? fields[key] : undefined;
    if (field) {
      const read = readField(value[key], field, at, findings);
      if (read !== undefined) result[key] = read;
    } else {
      if (!known.includes(key)) findings.unknownKey(at, key);
      result[key] = value[key];
    }
  }
  for (const [key, field] of Object.entries(fields)) {
    if ('required' in field && field.required && !Object.hasOwn(value, key)) {
      const at = path === '' ? key : `${path}.${key}`;
      findings.fault({
        code: 'missing',
        path: at,
        value: undefined,
        what: `“${key}” is missing`,
        expected: expectation(field),
        remedy: `Add “${key}”: ${expectation(field)}`,
      });
    }
  }
  return result;
}

function readField(value: unknown, field: Field, path: string, findings: Findings): unknown {
  switch (field.kind) {
    case 'quantity': {
      const number = readQuantity(value, field.dimension, path, findings, field.degrees);
      if (number === undefined || !field.sign) return number;
      const fits = field.sign === 'positive' ? number > 0 : number >= 0;
      if (fits) return number;
      const bound = field.sign === 'positive' ? 'greater than 0' : 'not negative';
      return findings.fault({
        code: 'out-of-range',
        path,
        value,
        what: `The number must be ${bound}`,
        expected: `a number ${bound}`,
        remedy: `Enter a value that is ${bound}`,
      });
    }
    case 'restraint': {
      if (value === 'fixed' || value === 'free') return value;
      const stiffness = readQuantity(value, field.dimension, path, findings);
      if (stiffness === undefined || stiffness >= 0) return stiffness;
      return findings.fault({
        code: 'out-of-range',
        path,
        value,
        what: 'A spring cannot have a negative stiffness',
        expected: 'a stiffness of 0 or more',
        remedy: 'Enter a stiffness that is not negative',
      });
    }
    case 'id':
      if (typeof value === 'string' && value.length >= 1 && value.length <= 64) return value;
      return findings.fault({
        code: 'bad-id',
        path,
        value,
        what: 'An id must be a text of 1 to 64 characters',
        expected: expectation(field),
        remedy: typeof value === 'number' ? `Write "${value}"` : 'Give a shorter text',
      });
    case 'text':
      if (typeof value === 'string' && value.length <= 500) return value;
      return findings.fault({
        code: 'wrong-type',
        path,
        value,
        what: 'A text of at most 500 characters was expected',
        expected: expectation(field),
        remedy: 'Write a text in quotes',
      });
    case 'flag':
      if (typeof value === 'boolean') return value;
      return findings.fault({
        code: 'wrong-type',
        path,
        value,
        what: 'true or false was expected',
        expected: 'true or false',
        remedy: 'Write true or false',
      });
    case 'choice':
      if (typeof value === 'string' && field.of.includes(value)) return value;
      return findings.fault({
        code: 'wrong-choice',
        path,
        value,
        what: 'This word is not one of the choices',
        expected: expectation(field),
        remedy: `Choose ${expectation(field)}`,
      });
    case 'object':
      return readFields(value, field.fields, path, findings);
    case 'vector':
      return readVector(value, field.dimension, path, findings);
    case 'factors':
      return readFactors(value, path, findings);
    case 'names':
      if (Array.isArray(value) && value.every((id) => typeof id === 'string' && id.length <= 64)) return value;
      return findings.fault({
        code: 'wrong-type',
        path,
        value,
        what: 'A list of names was expected',
        expected: expectation(field),
        remedy: 'Write [ "…", "…" ]',
      });
    case 'steps':
      return readSteps(value, path, findings);
    case 'picture':
      if (typeof value === 'string' && value.length <= MAXIMUM_PICTURE && PICTURE.test(value)) return value;
      return findings.fault({
        code: 'bad-picture',
        path,
        value,
        what: 'This is no picture that can be shown',
        expected: expectation(field),
        remedy: 'Give a PNG or JPEG picture of at most 12 MB',
      });
    case 'ids':
      if (Array.isArray(value) && value.length > 0 && value.every((id) => typeof id === 'string')) return value;
      return findings.fault({
        code: 'wrong-type',
        path,
        value,
        what: 'A list of ids was expected',
        expected: expectation(field),
        remedy: 'Name at least one case or combination',
      });
  }
}

/** A finite number in SI, or a text with a unit of the right dimension. Angles marked `degrees` are returned in degrees. */
export function readQuantity(
  value: unknown,
  dimension: DimensionName,
  path: string,
  findings: Findings,
  degrees?: true,
): number | undefined {
  const expected = dimension === 'number' ? 'a number' : `a number in SI, or a text with a unit: ${dimensionWords[dimension]}`;
  if (typeof value === 'number') {
    if (Number.isFinite(value) && Math.abs(value) < 1e100) return value;
    return findings.fault({
      code: 'not-finite',
      path,
      value,
      what: 'The number is not finite, or beyond all measure',
      expected,
      remedy: 'Enter an ordinary number',
    });
  }
  if (typeof value === 'string') {
    findings.converted = true;
    const parsed = parseQuantity(value, dimension);
    if (parsed.ok && Math.abs(parsed.value) < 1e100) return degrees ? (parsed.value * 180) / Math.PI : parsed.value;
    const reason = parsed.ok ? 'the number is beyond all measure' : parsed.reason;
    return findings.fault({
      code: 'bad-quantity',
      path,
      value,
      what: `This cannot be read as ${dimensionWords[dimension]}: ${reason}`,
      expected,
      remedy: `Write ${expected}`,
    });
  }
  return findings.fault({
    code: 'wrong-type',
    path,
    value,
    what: 'A number was expected',
    expected,
    remedy: `Write ${expected}`,
  });
}

/** Spacings of grid lines: positive lengths, at most a thousand. */
function readSteps(value: unknown, path: string, findings: Findings): number[] | undefined {
  if (!Array.isArray(value) || value.length > 1000) {
    return findings.fault({
      code: 'wrong-type',
      path,
      value,
      what: 'A list of at most 1000 spacings was expected',
      expected: 'a list of lengths',
      remedy: 'Write [5.4, 5.4, 2.7]',
    });
  }
  const steps = value.map((step, i) => {
    const read = readQuantity(step, 'length', `${path}[${i}]`, findings);
    if (read === undefined || read > 1e-6) return read;
    return findings.fault({
      code: 'out-of-range',
      path: `${path}[${i}]`,
      value: step,
      what: 'Grid lines must lie apart',
      expected: 'a length greater than 0',
      remedy: 'Enter a spacing that is greater than 0',
    });
  });
  return steps.every((step) => step !== undefined) ? (steps as number[]) : undefined;
}

/** Characters of a picture written in base64. */
const MAXIMUM_PICTURE = 12_000_000;
const PICTURE = /^data:image\/(png|jpeg);base64,[A-Za-z0-9+/]+=*$/;

function readVector(value: unknown, dimension: DimensionName, path: string, findings: Findings): number[] | undefined {
  if (!Array.isArray(value) || value.length !== 3) {
    return findings.fault({
      code: 'wrong-type',
      path,
      value,
      what: 'A list of three numbers was expected',
      expected: 'three numbers',
      remedy: 'Write [x, y, z]',
    });
  }
  const numbers = value.map((part, i) => readQuantity(part, dimension, `${path}[${i}]`, findings));
  return numbers.every((part) => part !== undefined) ? (numbers as number[]) : undefined;
}

function readFactors(value: unknown, path: string, findings: Findings): Entity | undefined {
  if (!isObject(value) || Object.keys(value).length === 0) {
    return findings.fault({
      code: 'wrong-type',
      path,
      value,
      what: 'Factors by case were expected',
      expected: 'an object such as { "G": 1.35 }',
      remedy: 'Name at least one case with its factor',
    });
  }
  const result: Entity = {};
  for (const key of Object.keys(value)) {
    const factor = readQuantity(value[key], 'number', `${path}.${key}`, findings);
    if (factor !== undefined)
      Object.defineProperty(result, key, { value: factor, enumerable: true, configurable: true, writable: true });
  }
  return result;
}

function expectation(field: Field): string {
  switch (field.kind) {
    case 'quantity':
    case 'vector':
      return dimensionWords[field.dimension];
    case 'restraint':
      return '"fixed", "free" or a stiffness';
    case 'id':
      return 'a text of 1 to 64 characters';
    case 'text':
      return 'a text';
    case 'flag':
      return 'true or false';
    case 'choice':
      return `one of ${field.of.join(', ')}`;
    case 'object':
      return 'an object';
    case 'factors':
      return 'factors by case';
    case 'ids':
      return 'a list of ids';
    case 'names':
      return 'a list of names';
    case 'steps':
      return 'a list of lengths';
    case 'picture':
      return 'a picture as data:image/png;base64,… or data:image/jpeg;base64,…';
  }
}
