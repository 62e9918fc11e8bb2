import { parseQuantity } from '../quantities/parse';
import { mentionsAny } from './parameters/typed';
import { dimensionWords, type DimensionName } from '../quantities/dimension';
import { isObject, type Entity, type Findings } from './findings';

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
    const { scope } = findings;
    const parsed = parseQuantity(value, dimension, undefined, scope);
    if (scope && mentionsAny(value, scope)) findings.expressions.push({ path, text: value });
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
export function readSteps(value: unknown, path: string, findings: Findings): number[] | undefined {
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
export const MAXIMUM_PICTURE = 12_000_000;
export const PICTURE = /^data:image\/(png|jpeg);base64,[A-Za-z0-9+/]+=*$/;

export function readVector(value: unknown, dimension: DimensionName, path: string, findings: Findings): number[] | undefined {
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

export function readFactors(value: unknown, path: string, findings: Findings): Entity | undefined {
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
