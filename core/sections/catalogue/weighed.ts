import type { Section } from '../../model/model';
import { kindOf } from '../../shapes/dimensions';
import { sectionProperties } from '../section-properties';
import { listed, STEEL } from './listed';
import { shapeCalled } from './search';

/**
 * The area whose weight a section has, m². Tubes of ASTM A500 and A53 are calculated with less than the wall that they are rolled and weighed
 * with, so that their mass is more than area × density; of all others it is the area. Undefined where that is not known.
 */
export function weighedArea(section: Section): number | undefined {
  const { A, catalogue, shape } = section;
  if (A !== undefined) return A;
  // Only tubes have two walls: for all others nothing is looked up.
  const tube = catalogue !== undefined && shape && kindOf(shape)?.isTube ? shapeCalled(catalogue) : undefined;
  if (tube?.family.wall === undefined) return sectionProperties(section).A;
  return listed(tube).mass! / STEEL;
}
