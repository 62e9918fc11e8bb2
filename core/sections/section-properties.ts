import type { Section, SectionProperties } from '../model/model';
import { relativeProperties } from './relative';
import { shapeProperties } from './shape-properties';
import { shapeFault } from './shape-fault';

const keys = ['A', 'Iz', 'Iy', 'J', 'Ay', 'Az', 'Wz', 'Wy', 'Iyz'] as const;

/** Properties of a section: computed from its shape where it has one; a property given beside the shape wins. SI. */
export function sectionProperties(section: Section): SectionProperties {
  const computed = computedOf(section);
  const given: { -readonly [key in keyof SectionProperties]: SectionProperties[key] } = {};
  for (const key of keys) if (section[key] !== undefined) given[key] = section[key];
  return { ...computed, ...given };
}

function computedOf({ shape, relative }: Section): SectionProperties {
  if (relative) return relativeProperties(relative);
  return shape && shapeFault(shape) === undefined ? shapeProperties(shape) : {};
}
