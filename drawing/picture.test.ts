import { describe, expect, test } from '@jest/globals';
import { solved } from '@rigid-beam/core/library/build';
import { checkModel } from '@rigid-beam/core/model/check';
import walk from '../examples/canopy-walk.rbm.json';
import rib from '../examples/glasshouse-rib.rbm.json';
import { inks } from './inks';
import { picture } from './picture';

describe('a picture of a model', () => {
  const { model, solution } = solved(checkModel(rib).model!);

  test('is a whole SVG of its size in the colours of the day, and the same each time', () => {
    const drawn = picture(model, solution, { outcome: 'U1', quantity: 'Mz', width: 600, height: 300 });
    expect(drawn).toMatch(/^<svg xmlns="http:\/\/www.w3.org\/2000\/svg" width="600" height="300"[^]*<\/svg>\n$/);
    expect(drawn).toContain(inks.day.moment);
    expect(drawn).toContain('kN·m</text>');
    expect(drawn).not.toContain('var(');
    expect(picture(model, solution, { outcome: 'U1', quantity: 'Mz', width: 600, height: 300 })).toBe(drawn);
  });

  test('has the structure alone where nothing acts, and loads and movement where they are asked for', () => {
    const plain = picture(model, undefined);
    expect(plain).not.toContain(inks.day.moment);
    expect(plain).toContain(inks.day.member);
    expect(picture(model, solution, { outcome: 'S', loads: true }).length).toBeGreaterThan(picture(model, solution, { outcome: 'S' }).length); // oxfmt-ignore
    expect(picture(model, solution, { outcome: 'S', deflected: true })).toContain(inks.day.deflection);
  });

  test('says which outcome is not there, and sees a model in space from where it is told', () => {
    expect(() => picture(model, solution, { outcome: 'X' })).toThrow('There is no case or combination “X”');
    const space = checkModel(walk).model!;
    expect(picture(space, undefined, { look: 'front' })).not.toBe(picture(space, undefined, { look: 'corner' }));
  });
});
