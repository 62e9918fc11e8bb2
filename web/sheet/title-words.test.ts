import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { describe, expect, test } from '@jest/globals';
import { checkModel } from '@rigid-beam/core/model/check';
import type { Model } from '@rigid-beam/core/model/model';
import { solve } from '@rigid-beam/core/analysis/session';
import { ruleOf } from '@rigid-beam/drawing/rule-words';
import type { SheetQuantity } from '@rigid-beam/drawing/view';
import rib from '../../examples/glasshouse-rib.rbm.json';
import { scalesOf } from './scale-words';
import { choicesOf, extremeWords, type Shown } from './title-words';

const known = checkModel(rib).model!;
const shown = (model: Model, quantity: SheetQuantity): Shown => ({
  settled: { model, results: solve(model) } as Shown['settled'],
  ...{
    quantity,
    axial: 'diagrams',
    diagramFactor: 1,
    scales: {},
    also: undefined,
    style: 'hatched',
    face: 'tension',
    heldDeflection: undefined,
    stage: 'results',
    switches: {},
  },
});

describe('the title block says of a quantity', () => {
  test('how large it gets and where; what is nothing is left out', () => {
    expect(extremeWords(shown(known, 'v'), 0)).toMatch(/^9\.57\d mm in tie$/);
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
    const words = (quantity: SheetQuantity, more: Partial<Shown> = {}) => scalesOf({ ...shown(known, quantity), ...more }, 0);
    expect(words('sigma')!.words).toMatch(/^1 m = [\d.]+ MPa$/);
    expect(words('Vy')!.words).toMatch(/^1 m = [\d.]+ kN$/);
    expect(words('v')).toMatchObject({ words: 'deflections × 50', own: { quantity: 'v', words: '× 50' } });
  });

  test('of all that is drawn: what can be typed is the scale of what was chosen, and of bars and colours there is none', () => {
    const scales = (more: Partial<Shown>) => scalesOf({ ...shown(known, 'N'), ...more }, 0)!;
    const all = scales({ also: ['Mz'], switches: { deflected: true } });
    expect(all.words).toMatch(/^1 m = [\d.]+ kN · M 1 m = [\d.]+ kN·m · deflections × 50$/);
    expect(all).toMatchObject({ own: { quantity: 'N' }, drawn: ['N', 'Mz', 'v'] });
    expect(scales({ axial: 'bars', switches: { deflected: true } })).toEqual({ words: 'deflections × 50', drawn: ['v'] });
    const coloured = scales({ style: 'colour', switches: { deflected: true } });
    expect(coloured.colours!.most).toMatch(/ kN$/);
    expect(coloured).toMatchObject({ words: 'deflections × 50', drawn: ['v'] });
    expect(scalesOf({ ...shown(known, 'N'), stage: 'geometry', switches: { deflected: true } }, 0)!.own!.quantity).toBe('v');
  });

  test('one symbol in the plane, where a v beside a V would hardly be told', () => {
    expect(choicesOf('plane', defaultDisplay).map(({ text }) => text)).toEqual(['N', 'V', 'M', 'δ', 'uX', 'uY', 'σ', 'σv']);
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
      'uX',
      'uY',
      'uZ',
      'σ',
      'σv',
    ]);
    expect(ruleOf('Mz', { axial: 'diagrams', style: 'hatched', face: 'tension' }, defaultDisplay)).toBe('on the tension face');
  });
});
