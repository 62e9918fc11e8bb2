import type { Checked } from '../../model/check';
import type { Model } from '../../model/model';
import { fault, type Notice } from '../../model/notice';
import { partsFilled } from './fill-parts';
import { likeIt } from './like-it';
import { shapeCalled } from './search';

/**
 * A model of which each section that is only called by a designation has the shape of that designation. What is called otherwise than the
 * catalogue does is a fault: nothing is guessed.
 */
function withCatalogueShapes(model: Model): { readonly model: Model; readonly faults: readonly Notice[] } {
  const faults: Notice[] = [];
  const sections = model.sections.map((section, i) => {
    if (section.shape?.parts) {
      const { parts, faults: unknown } = partsFilled(section.shape.parts, `sections[${i}].shape.parts`);
      faults.push(...unknown.map((one) => fault({ ...one, subjects: [`section ${section.id}`] })));
      return parts === section.shape.parts ? section : { ...section, shape: { ...section.shape, parts } };
    }
    if (section.catalogue === undefined || section.shape !== undefined || section.A !== undefined) return section;
    const one = shapeCalled(section.catalogue);
    if (one) return { ...section, catalogue: one.designation, shape: one.shape };
    faults.push(
      fault({
        code: 'unknown-designation',
        path: `sections[${i}].catalogue`,
        value: section.catalogue,
        what: `The catalogue has no shape “${section.catalogue}”${likeIt(section.catalogue)}`,
        expected: 'a designation as the catalogue writes it',
        remedy: 'Write it so (rigid-beam sections lists them all), or give the shape itself',
        subjects: [`section ${section.id}`],
      }),
    );
    return section;
  });
  return {
    model: faults.length > 0 || sections.every((one, i) => one === model.sections[i]) ? model : { ...model, sections },
    faults,
  };
}

/** A model that was read, filled from the catalogue. */
export function filled({ model, notices }: Checked): Checked {
  if (!model) return { notices };
  const { model: whole, faults } = withCatalogueShapes(model);
  return faults.length > 0 ? { notices: [...notices, ...faults] } : { model: whole, notices };
}
