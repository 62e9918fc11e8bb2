import type { Findings } from './findings';
import { readQuantity } from './read-values';

/** Corners of one line. */
const MOST_CORNERS = 2000;

/** A closed line of corners, each [z, y] or [z, y, radius], metres or texts with a unit. */
export function readCorners(value: unknown, path: string, findings: Findings): number[][] | undefined {
  if (!Array.isArray(value) || value.length < 3 || value.length > MOST_CORNERS) {
    return findings.fault({
      code: 'wrong-type',
      path,
      value: Array.isArray(value) ? `${value.length} corners` : value,
      what: 'A closed line of corners was expected',
      expected: `3 to ${MOST_CORNERS} corners, each [z, y] or [z, y, radius]`,
      remedy: 'Write [[0, 0], [0.1, 0], [0.1, 0.2]]; the last corner is joined to the first',
    });
  }
  const read = value.map((corner: unknown, i) => readCorner(corner, `${path}[${i}]`, findings));
  return read.every((corner) => corner !== undefined) ? read : undefined;
}

function readCorner(value: unknown, path: string, findings: Findings): number[] | undefined {
  if (!Array.isArray(value) || value.length !== 3) return readPlace(value, path, findings);
  const place = readPlace(value.slice(0, 2), path, findings);
  const r = readQuantity(value[2], 'length', `${path}[2]`, findings);
  if (!place || r === undefined) return undefined;
  if (r >= 0) return [...place, r];
  return findings.fault({
    code: 'out-of-range',
    path: `${path}[2]`,
    value: value[2] as unknown,
    what: 'A radius cannot be negative',
    expected: '0 or more',
    remedy: 'Enter a length of 0 or more',
  });
}

/** A place in a section: [z, y]. */
export function readPlace(value: unknown, path: string, findings: Findings): number[] | undefined {
  if (!Array.isArray(value) || value.length !== 2) {
    return findings.fault({
      code: 'wrong-type',
      path,
      value,
      what: 'A place in the section was expected',
      expected: '[z, y]: to the right and up, metres or texts with a unit',
      remedy: 'Write [0.05, 0.1] or ["50 mm", "100 mm"]',
    });
  }
  const [z, y] = value.map((part: unknown, k) => readQuantity(part, 'length', `${path}[${k}]`, findings));
  return z === undefined || y === undefined ? undefined : [z, y];
}
