import { degrees, type Fields } from '../../model/fields';
import { Findings, isObject } from '../../model/findings';
import type { Shape } from '../../model/model';
import { isFault, type Notice } from '../../model/notice';
import { readFields } from '../../model/read-fields';
import { readQuantity } from '../../model/read-values';
import { listFields } from '../../model/schema';
import { shapeCalled } from '../catalogue/search';
import { cornersOf } from '../corners';
import { edgesOf, enclosed, pointsOf, reachAt, type Corner } from '../path';
import { dimensionsOf, shapeFault, type Dimensions } from '../shape-table';
import { placed, type Placement } from './place';
import { sense, trouble } from './soundness';

/** Corners of all lines together. */
const MOST_POINTS = 2000;
const MOST_PARTS = 50;

export type ReadSection =
  | { readonly lines: readonly (readonly Corner[])[]; readonly notices: readonly Notice[] }
  | { readonly notices: readonly Notice[] };

const partFields: Fields = {
  catalogue: { kind: 'text' },
  shape: listFields.sections.shape,
  angle: degrees,
  mirrored: { kind: 'flag' },
};

/**
 * A section of any outline, or built of parts that stand side by side, from an object of the format `rigid-beam/section` (see the model
 * format): its closed lines, or every fault with its path. Parts may touch, as if welded there, and must not overlap.
 */
export function readSection(value: unknown): ReadSection {
  const findings = new Findings();
  if (!isObject(value) || value['format'] !== 'rigid-beam/section' || value['version'] !== 1) {
    findings.fault({
      code: 'wrong-format',
      path: 'format',
      value: isObject(value) ? value['format'] : value,
      what: 'This is no section file',
      expected: '{ "format": "rigid-beam/section", "version": 1, "parts": […] }',
      remedy: 'Write format and version as shown',
    });
    return { notices: findings.notices };
  }
  const given: unknown = value['parts'];
  if (!Array.isArray(given) || given.length === 0 || given.length > MOST_PARTS) {
    findings.fault({
      code: 'missing',
      path: 'parts',
      value: given,
      what: 'There is nothing that the section is made of',
      expected: `a list of 1 to ${MOST_PARTS} parts`,
      remedy: 'Write "parts": [ { "outline": [[0, 0], [0.1, 0], [0.1, 0.2], [0, 0.2]] } ]',
    });
    return { notices: findings.notices };
  }
  const parts = given.map((part: unknown, i) => readPart(part, `parts[${i}]`, findings));
  if (findings.notices.some(isFault)) return { notices: findings.notices };
  const sound = parts as readonly (readonly (readonly Corner[])[])[];
  const count = sound.flat(2).length;
  if (count > MOST_POINTS) {
    findings.fault({
      code: 'too-large',
      path: 'parts',
      value: `${count} corners`,
      what: 'The section has too many corners',
      expected: `at most ${MOST_POINTS} together`,
      remedy: 'Leave out corners that change nothing',
    });
    return { notices: findings.notices };
  }
  const what = trouble(sound.map((lines) => lines.map((line) => pointsOf(edgesOf(line)))));
  if (what !== undefined) {
    findings.fault({
      code: 'bad-outline',
      path: 'parts',
      value: undefined,
      what: `This is no section: ${what}`,
      expected: 'lines that do not cross, and parts that touch at most',
      remedy: 'Correct the corners, or move the parts',
    });
    return { notices: findings.notices };
  }
  return { lines: sound.flat(), notices: findings.notices };
}

/** The lines of a part where it stands, the outer one first and anticlockwise. */
function readPart(value: unknown, path: string, findings: Findings): readonly (readonly Corner[])[] | undefined {
  const read = readFields(value, partFields, path, findings, ['outline', 'holes', 'at']);
  if (!read || !isObject(value)) return undefined;
  const kinds = ['catalogue', 'shape', 'outline'].filter((key) => value[key] !== undefined);
  if (kinds.length !== 1) {
    return findings.fault({
      code: 'missing',
      path,
      value: kinds.join(', ') || undefined,
      what: kinds.length === 0 ? 'This part has no shape' : 'This part has more than one shape',
      expected: 'one of catalogue, shape and outline',
      remedy: 'Give exactly one of them',
    });
  }
  const at = value['at'] === undefined ? undefined : readPoint(value['at'], `${path}.at`, findings);
  const place: Placement = {
    ...(at && { at }),
    ...(typeof read['angle'] === 'number' && { angle: read['angle'] }),
    ...(read['mirrored'] === true && { mirrored: true }),
  };
  const lines = kinds[0] === 'outline' ? readOutline(value, path, findings) : shapeLines(read, path, findings);
  return lines?.map((line) => placed(line, place));
}

/** A shape about its centroid, so that `at` says where this lies. */
function shapeLines(
  read: Readonly<Record<string, unknown>>,
  path: string,
  findings: Findings,
): readonly (readonly Corner[])[] | undefined {
  const named = typeof read['catalogue'] === 'string' ? read['catalogue'] : undefined;
  const shape = named === undefined ? (read['shape'] as Shape | undefined) : shapeCalled(named)?.shape;
  const fault = shape && (shape.type === 'general' ? 'a general one has no outline' : shapeFault(shape));
  if (!shape || fault !== undefined) {
    return findings.fault({
      code: named === undefined ? 'bad-shape' : 'unknown-designation',
      path: `${path}.${named === undefined ? 'shape' : 'catalogue'}`,
      value: named ?? shape,
      what: named === undefined ? `This shape cannot be built: ${fault}` : `The catalogue has no shape “${named}”`,
      expected: 'dimensions that fit together, or a designation of the catalogue',
      remedy: 'Correct it; rigid-beam sections lists the catalogue',
    });
  }
  const lines = shape.type === 'round' || shape.type === 'chs' ? circles(dimensionsOf(shape)) : cornersOf(shape);
  const { y, z } = enclosed(lines.map(edgesOf));
  return lines.map((line) => line.map((corner) => ({ ...corner, y: corner.y - y, z: corner.z - z })));
}

/** A circle is a square whose corners are as round as they can be. */
function circles({ d, t }: Dimensions): readonly (readonly Corner[])[] {
  const circle = (r: number): Corner[] => [[-r, -r], [r, -r], [r, r], [-r, r]].map(([z, y]) => ({ z: z!, y: y!, r })); // prettier-ignore
  return t > 0 ? [circle(d / 2), circle(d / 2 - t).reverse()] : [circle(d / 2)];
}

function readOutline(
  value: Readonly<Record<string, unknown>>,
  path: string,
  findings: Findings,
): readonly (readonly Corner[])[] | undefined {
  const outer = readLoop(value['outline'], `${path}.outline`, findings);
  const given: unknown = value['holes'] ?? [];
  if (!Array.isArray(given) || given.length > MOST_PARTS) {
    return findings.fault({
      code: 'wrong-type',
      path: `${path}.holes`,
      value: given,
      what: `A list of at most ${MOST_PARTS} holes was expected`,
      expected: 'a list of lists of corners',
      remedy: 'Write [[[z, y], …], …]',
    });
  }
  const holes = given.map((hole: unknown, i) => readLoop(hole, `${path}.holes[${i}]`, findings));
  if (!outer || holes.some((hole) => hole === undefined)) return undefined;
  return [counter(outer, 1), ...(holes as Corner[][]).map((hole) => counter(hole, -1))];
}

/** The line so that it runs anticlockwise (1) or clockwise (−1). */
const counter = (line: readonly Corner[], way: 1 | -1): readonly Corner[] =>
  Math.sign(sense(line.flatMap(({ z, y }) => [z, y]))) === way ? line : line.toReversed();

function readLoop(value: unknown, path: string, findings: Findings): Corner[] | undefined {
  if (!Array.isArray(value) || value.length < 3 || value.length > MOST_POINTS) {
    return findings.fault({
      code: 'wrong-type',
      path,
      value: Array.isArray(value) ? `${value.length} corners` : value,
      what: 'A closed line of corners was expected',
      expected: `3 to ${MOST_POINTS} corners, each [z, y] or [z, y, radius]`,
      remedy: 'Write [[0, 0], [0.1, 0], [0.1, 0.2]]; the last corner is joined to the first',
    });
  }
  const read = value.map((corner: unknown, i) => readCorner(corner, `${path}[${i}]`, findings));
  if (read.some((corner) => corner === undefined)) return undefined;
  const corners = read as Corner[];
  const wrong = wrongAt(corners);
  if (!wrong) return corners;
  return findings.fault({
    code: 'bad-outline',
    path: wrong.corner === undefined ? path : `${path}[${wrong.corner}]`,
    value: wrong.corner === undefined ? undefined : (value[wrong.corner] as unknown),
    what: wrong.what,
    expected: 'corners that lie apart and go round an area, with radii that fit between them',
    remedy: wrong.remedy,
  });
}

/** What is wrong with a line of corners by itself, and at which corner. */
function wrongAt(
  corners: readonly Corner[],
): { readonly what: string; readonly remedy: string; readonly corner?: number } | undefined {
  const extent = Math.max(...corners.flatMap(({ z, y }) => [Math.abs(z), Math.abs(y)]));
  const count = corners.length;
  const length = (i: number): number =>
    Math.hypot(corners[(i + 1) % count]!.z - corners[i]!.z, corners[(i + 1) % count]!.y - corners[i]!.y);
  for (let i = 0; i < count; i++)
    if (length(i) <= 1e-7 * extent) return { what: 'This corner lies on the next', remedy: 'Remove one of the two', corner: i };
  if (Math.abs(sense(corners.flatMap(({ z, y }) => [z, y]))) <= 1e-9 * extent * extent)
    return { what: 'This line encloses nothing', remedy: 'Check the corners' };
  for (let i = 0; i < count; i++) {
    const taken = reachAt(corners, i) + reachAt(corners, (i + 1) % count);
    if (taken > length(i) * (1 + 1e-9))
      return { what: 'The radius does not fit beside the next corner', remedy: 'Enter a smaller one', corner: i };
  }
  return undefined;
}

function readCorner(value: unknown, path: string, findings: Findings): Corner | undefined {
  if (!Array.isArray(value) || value.length !== 3) {
    const point = readPoint(value, path, findings);
    return point && { z: point[0], y: point[1] };
  }
  const point = readPoint(value.slice(0, 2), path, findings);
  const r = readQuantity(value[2], 'length', `${path}[2]`, findings);
  if (!point || r === undefined) return undefined;
  if (r >= 0) return { z: point[0], y: point[1], r };
  return findings.fault({
    code: 'out-of-range',
    path: `${path}[2]`,
    value: value[2] as unknown,
    what: 'A radius cannot be negative',
    expected: '0 or more',
    remedy: 'Enter a length of 0 or more',
  });
}

function readPoint(value: unknown, path: string, findings: Findings): readonly [number, number] | undefined {
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
