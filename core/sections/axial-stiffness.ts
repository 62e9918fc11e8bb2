import { isInextensible } from './relative';
import { sectionProperties } from './section-properties';
import type { Model } from '../model/model';
import { shapeOf } from '../model/loads/member-shape';

/**
 * N/m: the axial force for each metre of lack of fit while both ends are held, E·A/L. A member that is too short by P·L/(E·A) is pulled by
 * P between held ends; in a structure that gives way it keeps less. Undefined where E, A or L is not known.
 */
export function axialStiffness(model: Model, member: string): number | undefined {
  const one = model.members.find(({ id }) => id === member);
  const section = model.sections.find(({ id }) => id === one?.section);
  const E = model.materials.find(({ id }) => id === one?.material)?.E;
  const length = shapeOf(model, member)?.length;
  const A = section && !isInextensible(section) ? sectionProperties(section).A : undefined;
  return E && A && length ? (E * A) / length : undefined;
}
