import * as Comlink from 'comlink';
import type { Shape } from '@rigid-beam/core/shapes/shape';
import { outlineProperties, type OutlineProperties } from '@rigid-beam/core/sections/built/properties';
import { linesOf } from '@rigid-beam/core/sections/lines-of';
import { shearPoints, type ShearPoints } from '@rigid-beam/core/sections/shear-points';
import { stressField, type SectionForces, type StressField } from '@rigid-beam/core/sections/mesh/stress';

/** What a mesh tells of a section, without the mesh itself. */
export type Measured = Omit<OutlineProperties, 'solution'>;

/** The section that was looked at last: its stresses are asked for again and again. */
let last: { readonly key: string; readonly properties: OutlineProperties } | undefined;

function solved(shape: Shape): OutlineProperties {
  const key = JSON.stringify(shape);
  if (last?.key !== key) last = { key, properties: outlineProperties(linesOf(shape)) };
  return last.properties;
}

const sections = {
  measure(shape: Shape): Measured {
    const { solution: _, ...measured } = solved(shape);
    return measured;
  },

  /** Nothing where the section is in several pieces. */
  shear: (shape: Shape): ShearPoints | undefined => shearPoints(shape),

  /** Nothing where the section is in several pieces. */
  stresses(shape: Shape, forces: SectionForces): StressField | undefined {
    const { solution } = solved(shape);
    return solution && stressField(solution, forces);
  },
};

export type Sections = typeof sections;
Comlink.expose(sections);
