import type { Section, SectionProperties, Shape } from '../model/model';
import { outlineProperties, type OutlineProperties } from './built/properties';
import { linesOf } from './lines-of';
import { sectionProperties } from './section-properties';

/** By the parts as text: an edit elsewhere, or another thread's copy, asks for the same again. */
const known = new Map<string, OutlineProperties>();
const MOST_KNOWN = 100;

/** All that is known of a sound built section, its mesh included: tenths of a second the first time. */
export function builtProperties(shape: Shape): OutlineProperties {
  const key = JSON.stringify(shape.parts);
  const before = known.get(key);
  if (before) return before;
  const made = outlineProperties(linesOf(shape));
  if (known.size >= MOST_KNOWN) known.delete(known.keys().next().value!);
  known.set(key, made);
  return made;
}

/** The properties of a section as a stiffness needs them: of a built one also J, Ay and Az, from its mesh. */
export function stiffnessProperties(section: Section): SectionProperties {
  const properties = sectionProperties(section);
  if (section.shape?.type !== 'built' || (section.J && section.Ay && section.Az)) return properties;
  const { J, Ay, Az } = builtProperties(section.shape);
  return { J, ...(Ay !== undefined && { Ay }), ...(Az !== undefined && { Az }), ...properties };
}
