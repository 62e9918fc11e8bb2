import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { describe, expect, test } from '@jest/globals';
import { checkModel } from '@rigid-beam/core/model/check';
import type { Model } from '@rigid-beam/core/model/model';
import { solve } from '@rigid-beam/core/analysis/session';
import type { SheetQuantity } from '@rigid-beam/drawing/view';
import rib from '../../examples/glasshouse-rib.rbm.json';
import { choicesOf, extremeWords, ruleOf, scaleWords, type Shown } from './title-words';

const known = checkModel(rib).model!;
const shown = (model: Model, quantity: SheetQuantity): Shown => ({
  settled: { model, results: solve(model) } as Shown['settled'],
  ...{ quantity, axial: 'diagrams', diagramFactor: 1, heldDeflection: undefined, stage: 'results', switches: {} },
});

describe('the title block says of a quantity', () => {
  test('how large it gets and where; what is nothing is left out', () => {
    expect(extremeWords(shown(known, 'v'), 0)).toMatch(/^−9\.57\d mm in tie$/);
    expect(extremeWords(shown(known, 'Mz'), 0)).toMatch(/sagging · −.* hogging$/);
  });

  test('that a stress is not known, and of how many members', () => {
    const [first, ...others] = known.sections;
    const some = { ...known, sections: [{ id: first!.id, A: 1e-3, Iz: 1e-6 }, ...others] };
    expect(extremeWords(shown(some, 'sigma'), 0)).toMatch(/MPa in tie.* · not known of 12 members: their sections have no shape/);
    const none = { ...known, sections: known.sections.map(({ id }) => ({ id, A: 1e-3, Iz: 1e-6 })) };
    expect(extremeWords(shown(none, 'sigma'), 0)).toMatch(/^not known: their sections/);
  });

  test('the scale in its own unit; of a deflection how many times larger than life', () => {
    expect(scaleWords(shown(known, 'sigma'), 0)).toMatch(/^1 m = [\d.]+ MPa$/);
    expect(scaleWords(shown(known, 'Vy'), 0)).toMatch(/^1 m = [\d.]+ kN$/);
    expect(scaleWords(shown(known, 'v'), 0)).toBe('deflections × 50');
  });

  test('one symbol in the plane, where a v beside a V would hardly be told', () => {
    expect(choicesOf('plane', defaultDisplay).map(({ text }) => text)).toEqual(['N', 'V', 'M', 'δ', 'σ', 'σv']);
    expect(choicesOf('space', defaultDisplay).map(({ text }) => text)).toEqual([
      'N',
      'Vy',
      'Vz',
      'T',
      'My',
      'Mz',
      'M',
      'v',
      'w',
      'σ',
      'σv',
    ]);
    expect(ruleOf('Mz', 'diagrams', defaultDisplay)).toBe('on the tension face');
  });
});
