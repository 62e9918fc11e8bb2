import { describe, expect, test } from '@jest/globals';
import { massShares } from '../combinations/mass-shares';
import { defaultDisplay } from '../quantities/display';
import { clamp3, sketch } from '../test/build';
import { mirrorOf } from './mirrored';
import type { Support } from './model';
import { pushing } from './one-way';
import { supportOf } from './support-kinds';
import { supportWords } from './support-words';

const foot: Support = { node: '1', ux: 'fixed', uy: 'fixed' };

describe('a support that pushes one way', () => {
  test('says so, with its gap, in the reader’s axes', () => {
    const lifts = pushing(foot, 'uy', 'positive', 0.002);
    expect(supportWords(lifts, 'plane', defaultDisplay)).toBe('pinned, pushes towards +Y only after 2 mm');
    const aside: Support = { ...clamp3('1'), oneWay: { uz: 'positive' } };
    // Where Z points up, the reader's Y leads against the file's z.
    expect(supportWords(aside, 'space', { ...defaultDisplay, up: 'Z' })).toMatch(/pushes towards −Y only/);
  });

  test('holds both ways again, and nothing is left of what it said; other axes keep theirs', () => {
    const both = pushing(pushing(foot, 'uy', 'positive', 0.002), 'ux', 'negative');
    expect(both).toEqual({ ...foot, oneWay: { uy: 'positive', ux: 'negative' }, gaps: { uy: 0.002 } });
    expect(pushing(both, 'uy', undefined)).toEqual({ ...foot, oneWay: { ux: 'negative' } });
    expect(pushing(pushing(both, 'uy', undefined), 'ux', undefined)).toEqual(foot);
  });

  test('keeps its way as another kind of support where it still holds, and loses it where it does not', () => {
    const lifts = pushing(pushing(foot, 'uy', 'positive', 0.002), 'ux', 'negative');
    expect(supportOf('fixed', '1', lifts)).toMatchObject({ oneWay: { uy: 'positive', ux: 'negative' }, gaps: { uy: 0.002 } });
    expect(supportOf('rollsX', '1', lifts)).toEqual({ node: '1', uy: 'fixed', oneWay: { uy: 'positive' }, gaps: { uy: 0.002 } });
  });

  test('is unlike one on the other side that holds both ways', () => {
    const frame = (right: Partial<Support>) =>
      sketch({
        nodes: [['1', 0, 0], ['2', 0, 3], ['3', 5, 3], ['4', 5, 0]],
        members: [['l', '1', '2'], ['t', '2', '3'], ['r', '4', '3']],
        supports: [{ ...foot, oneWay: { uy: 'positive' } }, { ...foot, node: '4', ...right }],
      }); // oxfmt-ignore
    expect(mirrorOf(frame({ oneWay: { uy: 'positive' } }))?.unlike).toBe('nothing');
    expect(mirrorOf(frame({}))?.unlike).toBe('supports');
  });
});

test('what is taken to be there when something shakes: all that is permanent, ψ₂ of what varies', () => {
  const cases = (['permanent', 'imposed', 'storage', 'snow', 'wind'] as const).map((category) => ({ id: category, category }));
  expect(massShares({ ...sketch({ nodes: [], members: [], supports: [] }), cases })).toEqual({
    ...{ permanent: 1, imposed: 0.3, storage: 0.8 },
  });
});
