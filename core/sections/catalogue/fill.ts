import type { Checked } from '../../model/check';
import type { Model, Section } from '../../model/model';
import { fault, type FaultDetail, type Notice } from '../../model/notice';
import type { Dimensions } from '../../shapes/kind';
import { dimensionsOf } from '../../shapes/dimensions';
import type { CatalogueShape } from './family';
import { partsFilled } from './fill-parts';
import { likeIt } from './like-it';
import { listed } from './listed';
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
    if (section.catalogue === undefined) return section;
    const one = shapeCalled(section.catalogue);
    const against = one && contradiction(section, one);
    if (against) {
      faults.push(fault({ ...against, path: `sections[${i}].${against.path}`, subjects: [`section ${section.id}`] }));
      return section;
    }
    if (section.shape !== undefined || section.A !== undefined) return section;
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

/** By how much a value may differ from the catalogue's: tables round, and J is found in several ways. Shear areas are defined in many. */
const TOLERANCES = { A: 0.05, Iz: 0.05, Iy: 0.05, Wz: 0.05, Wy: 0.05, J: 0.15 } as const;
/** Metres by which a dimension may differ: tenths of a micrometre are rounded away. */
const SAME = 1e-6;

/** What of a section cannot be true beside its designation. */
export function contradiction(section: Section, one: CatalogueShape): Omit<FaultDetail, 'subjects'> | undefined {
  const { shape } = section;
  const say = (path: string, value: unknown, what: string, expected: string): Omit<FaultDetail, 'subjects'> => ({
    ...{ code: 'not-as-designated', path, value, expected },
    what: `Section “${section.id}” is called ${one.designation}, ${what}`,
    remedy: 'Take “catalogue” away, or what contradicts it',
  });
  if (shape && shape.type !== one.shape.type) return say('shape.type', shape.type, 'which has another shape', one.shape.type);
  if (shape)
    for (const key of new Set([...Object.keys(shape), ...Object.keys(one.shape)]) as Set<keyof Dimensions>) {
      const [ours, theirs] = [dimensionsOf(shape)[key], dimensionsOf(one.shape)[key]];
      if (ours !== undefined && Math.abs(ours - theirs) > (key === 'slope' ? 1e-4 : SAME))
        return say(`shape.${key}`, ours, `whose ${key} is ${theirs}`, String(theirs));
    }
  for (const [key, tolerance] of Object.entries(TOLERANCES) as [keyof typeof TOLERANCES, number][]) {
    const [ours, theirs] = [section[key], listed(one)[key]];
    if (ours !== undefined && theirs !== undefined && Math.abs(ours - theirs) > tolerance * theirs)
      return say(key, ours, `whose ${key} is ${theirs.toExponential(3)}`, `about ${theirs.toExponential(3)}`);
  }
  return undefined;
}

/** A model that was read, filled from the catalogue. */
export function filled({ model, notices }: Checked): Checked {
  if (!model) return { notices };
  const { model: whole, faults } = withCatalogueShapes(model);
  return faults.length > 0 ? { notices: [...notices, ...faults] } : { model: whole, notices };
}
