import type { SectionPart } from '../../shapes/shape';
import type { FaultDetail } from '../../model/notice';
import { likeIt } from './like-it';
import { shapeCalled } from './search';

/** Parts of which each that is only called by a designation has the shape of that designation; a fault for each that is unknown. */
export function partsFilled(
  parts: readonly SectionPart[],
  path: string,
): { readonly parts: readonly SectionPart[]; readonly faults: readonly FaultDetail[] } {
  const faults: FaultDetail[] = [];
  const made = parts.map((part, i) => {
    if (part.catalogue === undefined || part.shape !== undefined || part.outline !== undefined) return part;
    const one = shapeCalled(part.catalogue);
    if (one) return { ...part, catalogue: one.designation, shape: one.shape };
    faults.push({
      code: 'unknown-designation',
      path: `${path}[${i}].catalogue`,
      value: part.catalogue,
      what: `The catalogue has no shape “${part.catalogue}”${likeIt(part.catalogue)}`,
      expected: 'a designation as the catalogue writes it',
      remedy: 'Write it so (rigid-beam sections lists them all), or give the shape itself',
    });
    return part;
  });
  return { parts: made.every((part, i) => part === parts[i]) ? parts : made, faults };
}
