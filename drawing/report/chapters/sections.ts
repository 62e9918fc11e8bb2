import type { Section } from '@rigid-beam/core/model/model';
import { sectionSymbol } from '@rigid-beam/core/quantities/axis-names';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { withPowers } from '@rigid-beam/core/quantities/with-powers';
import { sectionProperties } from '@rigid-beam/core/sections/section-properties';
import { shapeWords } from '@rigid-beam/core/shapes/first-shape';
import { modelTable } from '@rigid-beam/core/tables/asked';
import type { Writing } from '../asked';
import { table, type Block } from '../blocks';
import { drawing } from '../figures';
import { sectionPicture } from '../section-picture';
import { reportWords as WORDS } from '../words';

/** Of what members are. */
export const sections = (writing: Writing): Block[] => [
  drawing(writing, { subject: 'sections', outcome: -1, caption: WORDS.sectionsDrawn }),
  ...writing.model.sections.map((section) => card(section, writing)),
  ...table(modelTable(writing.model, 'sections')),
  ...table(modelTable(writing.model, 'materials')),
  ...table(modelTable(writing.model, 'cuttingList')),
];

/** A section as it is built, with its dimensions, and what is known of it. */
function card(section: Section, { asked, display }: Writing): Block {
  const { shape, catalogue, id } = section;
  const found = sectionProperties(section);
  const picture = shape && sectionPicture(shape, display, asked.inks);
  const { section: unit } = display;
  const facts = PROPERTIES.flatMap(([key, power]): readonly (readonly [string, string])[] => {
    const value = found[key];
    return value === undefined ? [] : [[sectionSymbol(key, display), withPowers(showQuantity(value, `${unit}${power}`))]];
  });
  const kind = shape ? shapeWords(shape.type) : WORDS.noOutline;
  return { is: 'card', title: id, ...(picture && { picture }), facts: [[WORDS.shape, catalogue ?? kind], ...facts] };
}

const PROPERTIES = [['A', 2], ['Iz', 4], ['Iy', 4], ['J', 4], ['Wz', 3], ['Wy', 3]] as const; // oxfmt-ignore
