import { expect, test } from '@jest/globals';
import { solve } from '../../analysis/session';
import { defaultDisplay } from '../../quantities/display';
import { inRow, pin, roller, sketch } from '../../test/build';
import { cellWords } from '../column';
import { comparedTable } from './compared';

test('figures of two states: mass, moment, shear, movement, with the change; what neither has is left out', () => {
  const beam = (A: number, I: number, w: number) => {
    const model = sketch({
      nodes: inRow(0, 4), members: [['a', '1', '2']], supports: [pin('1'), roller('2')], section: { A, Iz: I },
      loads: [{ type: 'line', member: 'a', from: { wy: -w }, to: { wy: -w } }],
    }); // oxfmt-ignore
    const dense = { ...model, materials: model.materials.map((one) => ({ ...one, density: 7850 })) };
    return { model: dense, solution: solve(dense).solution!, outcome: 0 };
  };
  const { columns, rows } = comparedTable(beam(0.004, 1e-5, 3e3), beam(0.002, 2e-5, 6e3), defaultDisplay);
  const told = rows.map((row) => columns.map((column) => cellWords(column, row)));
  // 7850 · 4 · A; wL²/8; wL/2; the same, since twice as stiff.
  expect(told.map(([what, before, after, change]) => `${what} | ${before} | ${after} | ${change}`)).toEqual([
    'Mass | 125.6 kg | 62.8 kg | −50 %',
    'Largest moment | 6 kN·m | 12 kN·m | +100 %',
    'Largest shear | 6 kN | 12 kN | +100 %',
    'Largest movement | 5 mm | 5 mm | the same',
  ]);
});
