import type { Member, Model, Section } from '../model/model';
import { lengthOf, placesOf } from '../model/places';
import { weighedArea } from './catalogue/weighed';
import { linesOf } from './lines-of';
import { edgesOf, lengthOfEdges } from './path';
import { isInextensible } from './relative';
import { shapeFault } from './shape-fault';
import { diametersOf } from '../shapes/dimensions';

/** What is needed of a section. SI; mass and painted surface where they are known for every member. */
export interface BillRow {
  readonly section: string;
  readonly members: number;
  readonly length: number;
  readonly mass: number | undefined;
  readonly surface: number | undefined;
}

/** By section, in the order of the model: how many members, how long together, how heavy, and how much surface is painted. */
export function billOf(model: Model): readonly BillRow[] {
  const places = placesOf(model);
  const density = new Map(model.materials.map((material) => [material.id, material.density]));
  const members = new Map<string, Member[]>();
  for (const member of model.members) {
    const list = members.get(member.section);
    if (list) list.push(member);
    else members.set(member.section, [member]);
  }
  return model.sections.map((section) => {
    const users = members.get(section.id) ?? [];
    const A = weighedArea(section);
    const outside = perimeterOf(section);
    const isUnknown = A === undefined || isInextensible(section);
    const lengths = users.map((member) => lengthOf(member, places));
    const total = (of: (member: Member) => number | undefined): number | undefined =>
      users.reduce<number | undefined>((sum, member, i) => {
        const each = of(member);
        return sum === undefined || each === undefined ? undefined : sum + each * lengths[i]!;
      }, 0);
    return {
      section: section.id,
      members: users.length,
      length: lengths.reduce((sum, length) => sum + length, 0),
      mass: total(({ material }) => {
        const each = density.get(material);
        return isUnknown || each === undefined ? undefined : each * A;
      }),
      surface: total(() => outside),
    };
  });
}

/** All rows together; undefined what is not known of one of them. */
export function together(rows: readonly BillRow[]): Pick<BillRow, 'mass' | 'surface'> {
  const sum = (key: 'mass' | 'surface'): number | undefined =>
    rows.reduce<number | undefined>((all, row) => (all === undefined || row[key] === undefined ? undefined : all + row[key]), 0);
  return { mass: sum('mass'), surface: sum('surface') };
}

/** The length of the outer line of a section, metres; undefined where its shape is not known. */
function perimeterOf({ shape }: Section): number | undefined {
  if (!shape || shape.type === 'general' || shapeFault(shape) !== undefined) return undefined;
  // Where parts touch nothing is painted, and nobody can say from outside what is reached between them.
  if (shape.parts && shape.parts.length > 1) return undefined;
  const circles = diametersOf(shape);
  return circles ? Math.PI * circles[0] : lengthOfEdges(edgesOf(linesOf(shape)[0]!));
}
