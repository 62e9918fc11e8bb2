import { dimensionWords } from '../quantities/dimension';
import type { Field, Fields } from './fields';
import { isObject, type Entity, type Findings } from './findings';
import { readCorners, readPlace } from './read-corners';
import { MAXIMUM_PICTURE, PICTURE, readFactors, readQuantity, readSteps, readVector } from './read-values';

/** A character that databases and other programs take for the end of a text. */
const NUL = '\0';

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
      if (typeof value === 'string' && value.length >= 1 && value.length <= 64 && !value.includes(NUL)) return value;
      return findings.fault({
        code: 'bad-id',
        path,
        value,
        what: 'An id must be a text of 1 to 64 characters',
        expected: expectation(field),
        remedy: typeof value === 'number' ? `Write "${value}"` : 'Give a shorter text',
      });
    case 'text': {
      const { most = 500 } = field;
      if (typeof value === 'string' && value.length <= most && !value.includes(NUL)) return value;
      return findings.fault({
        code: 'wrong-type',
        path,
        value,
        what: `A text of at most ${most} characters was expected`,
        expected: expectation(field),
        remedy: 'Write a text in quotes',
      });
    }
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
    case 'list':
      return readList(value, field, path, findings);
    case 'corners':
      return readCorners(value, path, findings);
    case 'place':
      return readPlace(value, path, findings);
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
        what: 'This is not a picture that can be shown',
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

function readList(
  value: unknown,
  { of, most, words, least = 1 }: Field & { readonly kind: 'list' },
  path: string,
  findings: Findings,
): readonly unknown[] | undefined {
  if (!Array.isArray(value) || value.length < least || value.length > most) {
    return findings.fault({
      code: 'wrong-type',
      path,
      value: Array.isArray(value) ? `${value.length} ${words}` : value,
      what: `A list of ${least} to ${most} ${words} was expected`,
      expected: `${least} to ${most} ${words}`,
      remedy: 'Write […, …]',
    });
  }
  const read = value.map((one: unknown, i) => readField(one, of, `${path}[${i}]`, findings));
  return read.every((one) => one !== undefined) ? read : undefined;
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
    case 'list':
      return `a list of ${field.words}`;
    case 'corners':
      return 'a closed line of corners [z, y] or [z, y, radius]';
    case 'place':
      return '[z, y]: to the right and up';
    case 'names':
      return 'a list of names';
    case 'steps':
      return 'a list of lengths';
    case 'picture':
      return 'a picture as data:image/png;base64,… or data:image/jpeg;base64,…';
  }
}
