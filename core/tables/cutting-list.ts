import type { Model } from '../model/model';
import { lengthOf, placesOf } from '../model/places';
import { displayOf, massUnit } from '../quantities/display';
import { inUnit } from '../quantities/show';
import { weighedArea } from '../sections/catalogue/weighed';
import { isInextensible } from '../sections/relative';
import type { Table } from './column';
import { columns as COLUMNS, cuttingList as WORDS } from './words';

/** Members of one section, one material and one length. Metres and kilograms; a mass where it is known. */
export interface CutRow {
  readonly section: string;
  readonly material: string;
  readonly length: number;
  readonly members: readonly string[];
  readonly mass: number | undefined;
}

/** Lengths are told apart by the millimetre. */
const STEPS = 1000;

/** What is cut for a model: members of the same section, material and length together, in the order of the sections, the longest first. Lengths are those between nodes. */
export function cuttingList(model: Model): Table<CutRow> {
  const places = placesOf(model);
  const sections = new Map(model.sections.map((section, i) => [section.id, { section, i }]));
  const density = new Map(model.materials.map((material) => [material.id, material.density]));
  const rows = new Map<string, { section: string; material: string; length: number; members: string[] }>();
  for (const member of model.members) {
    const length = Math.round(lengthOf(member, places) * STEPS) / STEPS;
    const key = JSON.stringify([member.section, member.material, length]);
    const row = rows.get(key);
    if (row) row.members.push(member.id);
    else rows.set(key, { section: member.section, material: member.material, length, members: [member.id] });
  }
  const perMetre = ({ section: id, material }: { section: string; material: string }): number | undefined => {
    const section = sections.get(id)?.section;
    const [A, weight] = [section && weighedArea(section), density.get(material)];
    return section === undefined || A === undefined || weight === undefined || isInextensible(section) ? undefined : A * weight;
  };
  const display = displayOf(model);
  const mass = massUnit(display);
  const massOf = ({ mass: each }: CutRow, count: number): number | undefined =>
    each === undefined ? undefined : inUnit(each * count, mass);
  return {
    title: WORDS.title,
    columns: [
      { key: 'section', title: COLUMNS.section, value: ({ section }) => section },
      { key: 'material', title: COLUMNS.material, value: ({ material }) => material },
      { key: 'length', title: COLUMNS.length, unit: display.length, value: ({ length }) => inUnit(length, display.length) },
      { key: 'count', title: WORDS.count, value: ({ members }) => members.length },
      {
        ...{ key: 'total', title: COLUMNS.totalLength, unit: display.length },
        value: ({ length, members }) => inUnit(length * members.length, display.length),
      },
      { key: 'each', title: WORDS.each, unit: mass, digits: () => 5, value: (row) => massOf(row, 1) },
      { key: 'mass', title: COLUMNS.mass, unit: mass, digits: () => 5, value: (row) => massOf(row, row.members.length) },
      { key: 'members', title: COLUMNS.members, width: 3, value: ({ members }) => members.join(', ') },
    ],
    rows: [...rows.values()]
      .toSorted((a, b) => sections.get(a.section)!.i - sections.get(b.section)!.i || b.length - a.length)
      .map((row) => {
        const each = perMetre(row);
        return { ...row, mass: each === undefined ? undefined : each * row.length };
      }),
  };
}
