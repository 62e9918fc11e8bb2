import type { Intent } from '../../model/edits/intent';
import { freeName } from '../../model/edits/next-id';
import { canBeOf, materialFor } from '../../materials/fitting';
import type { Member, Model, Section } from '../../model/model';
import type { CatalogueShape } from './family';

/** A section of the catalogue as a model holds it: its dimensions with it, so that a file needs no catalogue. */
export const sectionOf = (one: CatalogueShape, id: string): Section => ({ id, catalogue: one.designation, shape: one.shape });

/** The section of a model that is this very shape, with nothing of it typed over. */
const already = (model: Model, one: CatalogueShape): Section | undefined =>
  model.sections.find(
    ({ id: _, shape, ...rest }) =>
      shape !== undefined && isEntry(rest, { catalogue: one.designation }) && isEntry({ ...shape }, { ...one.shape }),
  );

/** Whether two entries have the same keys with the same values. */
function isEntry(a: Readonly<Record<string, unknown>>, b: Readonly<Record<string, unknown>>): boolean {
  return Object.keys(a).length === Object.keys(b).length && Object.entries(b).every(([key, value]) => a[key] === value);
}

export interface Given {
  readonly id: string;
  readonly intents: readonly Intent[];
  /** What the members are made of from now on, where they were of something else. */
  readonly material?: string;
}

/**
 * Edits that give members a shape of the catalogue, which becomes a section of the model where it is none yet. A shape of the catalogue that
 * nobody has any more is swept out. Members whose material the shape cannot be made of get one that it can (`material`). `id` is the name
 * under which the section stands then.
 */
export function giveShape(model: Model, members: readonly string[], one: CatalogueShape): Given {
  const names = model.sections.map(({ id }) => id);
  const id = already(model, one)?.id ?? freeName(one.designation, names);
  const chosen = new Set(members);
  const isOther = unfitting(model, one);
  const material = materialFor(model, one.made, one.family.standard);
  const changed = model.members.filter((member) => chosen.has(member.id) && (member.section !== id || isOther(member)));
  const brings = changed.some(isOther);
  const left = new Set(changed.map(({ section }) => section));
  for (const member of model.members) if (!chosen.has(member.id)) left.delete(member.section);
  const swept = model.sections
    .filter((section) => left.has(section.id) && section.catalogue !== undefined)
    .map((section) => section.id);
  return {
    id,
    ...(brings && { material: material.id }),
    intents: [
      ...(names.includes(id) ? [] : [{ type: 'put', list: 'sections', entry: { ...sectionOf(one, id) } } as const]),
      ...(brings && !model.materials.includes(material)
        ? [{ type: 'put', list: 'materials', entry: { ...material } } as const]
        : []),
      ...changed.map((member) => {
        const entry = { ...member, section: id, ...(isOther(member) && { material: material.id }) };
        return { type: 'put', list: 'members', entry, key: member.id } as const;
      }),
      ...(swept.length > 0 ? [{ type: 'remove', list: 'sections', keys: swept } as const] : []),
    ],
  };
}

/** Whether a member is of something that a shape cannot be made of. */
function unfitting({ materials }: Model, { made }: CatalogueShape): (member: Member) => boolean {
  const other = new Set(materials.filter((material) => !canBeOf(made, material)).map(({ id }) => id));
  return ({ material }) => other.has(material);
}

/** Edits that put a shape of the catalogue in the place of a section, for every member that has it. */
export function exchangeSection(model: Model, section: string, one: CatalogueShape): Given {
  const users = model.members.filter((member) => member.section === section).map(({ id }) => id);
  if (users.length > 0) return giveShape(model, users, one);
  const others = model.sections.filter(({ id }) => id !== section);
  const id = already({ ...model, sections: others }, one)?.id ?? freeName(one.designation, others.map((other) => other.id)); // oxfmt-ignore
  const isThere = others.some((other) => other.id === id);
  return {
    id,
    intents: [
      isThere
        ? { type: 'remove', list: 'sections', keys: [section] }
        : { type: 'put', list: 'sections', entry: { ...sectionOf(one, id) }, key: section },
    ],
  };
}
