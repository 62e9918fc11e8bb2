import { describe, expect, test } from '@jest/globals';
import { build, ModelFault, solved } from './build';
import { withSettings } from '../model/parameters/set-parameters';

const beam = () =>
  build({ title: 'Bench', space: 'plane' })
    .parameter({ id: 'span', value: '4 m' })
    .material({ id: 'steel', E: '210 GPa' })
    .section({ id: 'rail', A: '20 cm2', Iz: '800 cm4' })
    .node({ id: '1', x: 0, y: 0 })
    .node({ id: '2', x: 'span', y: 0 })
    .member({ id: 'a', start: '1', end: '2', section: 'rail', material: 'steel' })
    .support({ node: '1', ux: 'fixed', uy: 'fixed' })
    .support({ node: '2', uy: 'fixed' })
    .case({ id: 'G', category: 'permanent' })
    .load({ case: 'G', type: 'line', member: 'a', from: { wy: '-3 kN/m' }, to: { wy: '-3 kN/m' } })
    .combination({ id: 'U', type: 'sum', factors: { G: 1.35 } })
    .combination({ id: 'both', type: 'envelope', of: ['G', 'U'] });

describe('a model from a script', () => {
  test('is built as the file is written, solved, and read by names', () => {
    const results = beam().solve();
    expect(results.outcomes).toEqual(['G', 'U', 'both']);
    expect(results.at('G', 'a', 'Mz', 2)).toBeCloseTo(6000, 6);
    expect(results.at('U', 'a', 'Vy')).toBeCloseTo(8100, 6);
    expect(results.range('both', 'a', 'Mz', 2)).toEqual({ min: expect.closeTo(6000, 6), max: expect.closeTo(8100, 6) });
    expect(results.extremes('G', 'Mz').max).toEqual({ member: 'a', x: expect.closeTo(2, 9), value: expect.closeTo(6000, 6) });
    expect(results.extremes('G', 'Vy', 'a').min.value).toBeCloseTo(-6000, 6);
    expect(results.reaction('U', '2').fy).toEqual({ min: expect.closeTo(8100, 6), max: expect.closeTo(8100, 6) });
    expect(results.movement('G', '1').rz.max).toBeCloseTo((-3000 * 4 ** 3) / (24 * 210e9 * 8e-6), 9);
  });

  test('follows its parameters', () => {
    const { model } = withSettings(beam().model(), [['span', '6 m']]);
    expect(solved(model!).at('G', 'a', 'Mz', 3)).toBeCloseTo(13500, 6);
  });

  test('says all that is wrong at once, and what is not there', () => {
    const wrong = (): unknown =>
      beam()
        .node({ id: '3', x: 'width', y: 0 })
        .member({ id: 'b', start: '2', end: '9', section: 'rail', material: 'steel' })
        .model();
    expect(wrong).toThrow(ModelFault);
    expect(wrong).toThrow(/“width” is neither a parameter nor a unit[^]*no node “9”/);
    expect(() => build({ title: '', space: 'plane' }).node({ id: '1', x: 0, y: 0 }).solve()).toThrow(ModelFault);
    expect(() => beam().solve().at('W', 'a', 'Mz')).toThrow('There is no case or combination “W”: G, U, both');
    expect(() => beam().solve().at('G', 'x', 'Mz')).toThrow('There is no member “x”: a');
    expect(() => beam().solve().at('both', 'a', 'Mz', 2)).toThrow(/has a range/);
  });
});
