import { expect, test } from '@jest/globals';
import { workingsSteps } from '@rigid-beam/core/workings/blocks';
import { fixedEndFormulas, formulas } from '@rigid-beam/core/workings/words';
import { mathOf, workingsPage } from './html-workings';

test('every formula is set in mathematical type', () => {
  for (const { tex } of [...Object.values(formulas), ...Object.values(fixedEndFormulas)]) expect(mathOf(tex)).toMatch(/^<span class="katex"><math /); // oxfmt-ignore
});

const matrix = {
  is: 'matrix',
  name: { tex: 'k', plain: 'k' },
  rows: ['1'],
  columns: ['1', '<2>'],
  values: [[12.5, -3]],
} as const;
const steps = [{ id: workingsSteps[0], title: 'A & B', blocks: [{ is: 'text', text: '1 < 2' }, matrix] }] as const;

test('a page is whole by itself; what a model says is escaped', () => {
  const page = workingsPage(steps, { title: 'Rib <1>', numbers: 'written' });
  expect(page).toContain('<td>12.5</td><td>−3</td>');
  expect(page).not.toMatch(/<2>|1 < 2|Rib <1>|A & B|src=|href=|<script/);
});

test('blank numbers leave room to fill them in, both have the solution behind', () => {
  expect(workingsPage(steps, { title: 't', numbers: 'blank' })).not.toContain('12.5');
  const both = workingsPage(steps, { title: 't', numbers: 'both' });
  expect(both.indexOf('<td></td>')).toBeLessThan(both.indexOf('12.5'));
});
