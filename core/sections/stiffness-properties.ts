import type { Model, Section, SectionProperties } from '../model/model';
import type { Shape } from '../shapes/shape';
import { outlineProperties, type OutlineProperties } from './built/properties';
import { isMeshedInCatalogue, meshedInCatalogue } from './catalogue/meshed';
import { linesOf } from './lines-of';
import { sectionProperties } from './section-properties';
import { shapeFault } from './shape-fault';

/** By the shape as text: an edit elsewhere, or another thread's copy, asks for the same again. */
const known = new Map<string, OutlineProperties>();
const MOST_KNOWN = 100;

/** All that is known of a sound shape with an outline, its mesh included: tenths of a second the first time. */
function outlineOf(shape: Shape): OutlineProperties {
  const key = JSON.stringify(shape);
  const before = known.get(key);
  if (before) return before;
  const made = outlineProperties(linesOf(shape));
  if (known.size >= MOST_KNOWN) known.delete(known.keys().next().value!);
  known.set(key, made);
  return made;
}

type MeshedKey = 'J' | 'Ay' | 'Az';

/** What of a section members need beside A, Iz and Iy: nothing more in the plane, J in space, shear areas where shear deforms. */
export function neededKeys({ space, analysis }: Pick<Model, 'space' | 'analysis'>): readonly MeshedKey[] {
  if (analysis?.shearDeformation) return space === 'space' ? TWISTED_AND_SHEARED : SHEARED;
  return space === 'space' ? TWISTED : NONE;
}
const NONE: readonly MeshedKey[] = [];
const TWISTED: readonly MeshedKey[] = ['J'];
const SHEARED: readonly MeshedKey[] = ['Ay', 'Az'];
const TWISTED_AND_SHEARED: readonly MeshedKey[] = ['J', 'Ay', 'Az'];

/** Whether a mesh tells what is not given of a section, and no formula does. */
export const isFromMesh = ({ shape }: Section): boolean =>
  shape !== undefined && (shape.type === 'built' || isMeshedInCatalogue(shape)) && shapeFault(shape) === undefined;

/** The properties of a section as a stiffness needs them: what it has from its mesh is found where it is among the needed ones. */
export function stiffnessProperties(section: Section, needed: readonly MeshedKey[]): SectionProperties {
  const properties = sectionProperties(section);
  if (!isFromMesh(section) || needed.every((key) => properties[key] !== undefined)) return properties;
  const { J, Ay, Az } = meshedInCatalogue(section.shape!) ?? outlineOf(section.shape!);
  return { J, ...(Ay !== undefined && { Ay }), ...(Az !== undefined && { Az }), ...properties };
}
