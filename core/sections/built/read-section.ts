import { Findings, isObject } from '../../model/findings';
import type { SectionPart } from '../../shapes/shape';
import { isFault, type Notice } from '../../model/notice';
import { readFields } from '../../model/read-fields';
import { sectionParts } from '../../model/schema';
import { partsFilled } from '../catalogue/fill-parts';
import type { Corner } from '../../shapes/kind';
import { linesOfParts } from './lines';
import { troublesOf } from './troubles';

export type ReadSection =
  | { readonly lines: readonly (readonly Corner[])[]; readonly notices: readonly Notice[] }
  | { readonly notices: readonly Notice[] };

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
      what: 'This is not a section file',
      expected: '{ "format": "rigid-beam/section", "version": 1, "parts": […] }',
      remedy: 'Write format and version as shown',
    });
    return { notices: findings.notices };
  }
  const read = readFields(value, { parts: sectionParts }, '', findings, ['format', 'version']);
  if (value['parts'] === undefined) {
    findings.fault({
      code: 'missing',
      path: 'parts',
      value: undefined,
      what: 'There is nothing that the section is made of',
      expected: 'a list of parts',
      remedy: 'Write "parts": [ { "outline": [[0, 0], [0.1, 0], [0.1, 0.2], [0, 0.2]] } ]',
    });
  }
  if (!read || findings.notices.some(isFault)) return { notices: findings.notices };
  const { parts, faults } = partsFilled(read['parts'] as readonly SectionPart[], 'parts');
  for (const one of [...faults, ...(faults.length > 0 ? [] : troublesOf(parts))]) findings.fault(one);
  return findings.notices.some(isFault)
    ? { notices: findings.notices }
    : { lines: linesOfParts(parts), notices: findings.notices };
}
