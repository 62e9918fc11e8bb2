import { expect, test } from '@jest/globals';
import rib from '../../examples/glasshouse-rib.rbm.json';
import { checkModel } from '../model/check';
import { lengthOf, placesOf } from '../model/places';
import { billOf, together } from '../sections/bill';
import { cellText } from './column';
import { cuttingList } from './cutting-list';

const model = checkModel(rib).model!;

test('every member stands in one row, with others of its section and length; lengths and masses add up to the bill', () => {
  const { rows } = cuttingList(model);
  expect(rows.flatMap(({ members }) => members).toSorted()).toEqual(model.members.map(({ id }) => id).toSorted());
  const places = placesOf(model);
  for (const { members, section, length } of rows)
    for (const id of members) {
      const member = model.members.find((one) => one.id === id)!;
      expect([member.section, Math.abs(lengthOf(member, places) - length) <= 0.0005]).toEqual([section, true]);
    }
  const mass = rows.reduce((sum, row) => sum + row.mass! * row.members.length, 0);
  // Each piece is rounded to the millimetre.
  expect(mass / together(billOf(model)).mass!).toBeCloseTo(1, 3);
  expect(rows.length).toBeLessThan(model.members.length);
});

test('the longest first in the order of the sections; no mass where it is not known', () => {
  const light = { ...model, materials: model.materials.map(({ density: _, ...rest }) => rest) };
  const { rows, columns } = cuttingList(light);
  const order = model.sections.map(({ id }) => id);
  for (const [i, row] of rows.slice(1).entries()) {
    const before = rows[i]!;
    const step = order.indexOf(row.section) - order.indexOf(before.section);
    expect(step > 0 || (step === 0 && row.length <= before.length)).toBe(true);
  }
  expect(
    rows.map((row) =>
      cellText(
        columns.find(({ key }) => key === 'mass')!,
        row,
      ),
    ),
  ).toEqual(rows.map(() => ''));
});
