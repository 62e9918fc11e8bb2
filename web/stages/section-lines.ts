import { freeName } from '@rigid-beam/core/model/edits/next-id';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Material, Section } from '@rigid-beam/core/model/model';
import { massUnit, unitOf, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { inUnit, showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { withPowers } from '@rigid-beam/core/quantities/with-powers';
import { extentOfShape } from '@rigid-beam/core/sections/outline';
import { isInextensible, relativeWords } from '@rigid-beam/core/sections/relative';
import { sectionProperties } from '@rigid-beam/core/sections/section-properties';
import { firstShape, shapeWords } from '@rigid-beam/core/shapes/first-shape';
import type { ShapeType } from '@rigid-beam/core/shapes/registry';
import { GIVEN } from '../editor/catalogue/words';

/** The greatest height or width of all shapes, metres: pictures of sections are drawn to one scale. 0 where none has a shape. */
export const largestSize = (sections: readonly Section[]): number =>
  Math.max(
    0,
    ...sections.map(({ shape }) => {
      const extent = shape && extentOfShape(shape);
      return extent ? Math.max(extent.y[1] - extent.y[0], extent.z[1] - extent.z[0]) : 0;
    }),
  );

/** What is said beside a section: its catalogue where its name does not tell it, what it is a multiple of, A, I, and the mass of its members, kg. */
export function sectionNote(section: Section, mass: number | undefined, display: DisplayUnits): string {
  const { A, Iz } = sectionProperties(section);
  const unit = display.section;
  return [
    section.catalogue === undefined || section.catalogue === section.id ? '' : section.catalogue,
    section.relative ? relativeWords(section.relative) : '',
    A === undefined || isInextensible(section) ? '' : `A ${showNumber(inUnit(A, `${unit}2`), 4)} ${unit}²`,
    Iz === undefined ? '' : `I ${showNumber(inUnit(Iz, `${unit}4`), 4)} ${unit}⁴`,
    mass ? showQuantity(mass, massUnit(display), 3) : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

/** E in the larger of the units that stresses are shown in, and the density where there is one. */
export function materialNote({ E, density }: Material, display: DisplayUnits): string {
  const modulus = `E ${showQuantity(E, display.stress === 'MPa' ? 'GPa' : display.stress)}`;
  return density ? `${modulus} · ${withPowers(showQuantity(density, unitOf('density', display)))}` : modulus;
}

/** A section that is begun from a shape, under a name that is free. */
export function begunSection(type: ShapeType, sections: readonly Section[]): Section {
  const id = freeName(
    shapeWords(type).toLowerCase().replaceAll(' ', '-'),
    sections.map((section) => section.id),
  );
  return type === 'general' ? { id, A: 0.01, Iz: 1e-4 } : { id, shape: firstShape(type) };
}

/** One step that gives members a section; nothing where there is nothing to change. */
export const givenStep = (
  { id, intents, material }: { readonly id: string; readonly intents: readonly Intent[]; readonly material?: string | undefined },
  members: number,
): Intent | undefined => (intents.length > 0 ? { type: 'batch', intents, label: GIVEN(id, members, material) } : undefined);
