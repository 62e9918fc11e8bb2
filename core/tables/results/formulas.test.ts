import { expect, test } from '@jest/globals';
import { defaultDisplay } from '../../quantities/display';
import { inRow, pin, roller, sketch, solved } from '../../test/build';
import { formulasOf } from './formulas';

const units = { ...defaultDisplay, force: 'kN', moment: 'kN·m', deflection: 'mm', length: 'm' } as const;
const texts = (
  model: Parameters<typeof solved>[0],
  quantity: 'Vy' | 'Mz' | 'N',
  display = units as typeof defaultDisplay,
  outcome = 0,
) => formulasOf(solved(model).solution, outcome, 0, quantity, display)?.map(({ from, to, text }) => `${from} to ${to}: ${text}`);

const beam = sketch({
  nodes: inRow(0, 4),
  members: [['a', '1', '2']],
  supports: [pin('1'), roller('2')],
  loads: [{ type: 'line', member: 'a', from: { wy: -3e3 }, to: { wy: -3e3 } }],
  extra: { combinations: [{ id: 'E', type: 'envelope', of: ['Q'] }] },
});

test('a simple beam under an even load: shear wL/2 − wx, moment wL/2·x − wx²/2, in the units that are shown', () => {
  expect(texts(beam, 'Vy')).toEqual(['0 to 4: 6 − 3·x']);
  expect(texts(beam, 'Mz')).toEqual(['0 to 4: 6·x − 1.5·x²']);
  expect(texts(beam, 'N')).toEqual(['0 to 4: 0']);
  expect(texts(beam, 'Vy', { ...units, length: 'cm', force: 'N' })).toEqual(['0 to 4: 6000 − 30·x']);
  expect(texts(beam, 'Mz', units, 1)).toBeUndefined();
});

test('each piece between loads has its own, from the member’s start; pieces that go on alike are one', () => {
  const loaded = { ...beam, loads: [{ id: 'p', case: 'Q', type: 'point', member: 'a', at: 0.25, fy: -8e3 } as const] };
  expect(texts(loaded, 'Vy')).toEqual(['0 to 1: 6', '1 to 4: −2']);
  expect(texts(loaded, 'Mz')).toEqual(['0 to 1: 6·x', '1 to 4: 8 − 2·x']);
  expect(texts(loaded, 'N')).toEqual(['0 to 4: 0']);
});
