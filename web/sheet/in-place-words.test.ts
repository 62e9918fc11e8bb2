import { describe, expect, test } from '@jest/globals';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { Model } from '@rigid-beam/core/model/model';
import { clamp, inRow, roller, sketch } from '@rigid-beam/core/test/build';
import { loadInPlace, nameInPlace, releaseInPlace, sectionInPlace, supportInPlace, type WordsInPlace } from './in-place-words';

const beam = sketch({
  nodes: inRow(0, 2, 4, 6),
  members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4']],
  supports: [clamp('1'), roller('4')],
}); // oxfmt-ignore
const model: Model = { ...beam, sections: [...beam.sections, { ...beam.sections[0]!, id: 'Tube' }] };

/** The model after a text was typed over, or why the text means nothing. */
function typed({ read }: WordsInPlace, text: string): Model | string {
  const intent = read(text);
  if (typeof intent === 'string') return intent;
  const applied = applyIntent(model, intent);
  return applied.ok ? applied.model : applied.faults[0]!.message;
}
const after = (words: WordsInPlace, text: string): Model => typed(words, text) as Model;

describe('words typed over on the sheet', () => {
  test('a name goes everywhere', () => {
    expect(after(nameInPlace('nodes', '2'), ' B ').members.map(({ start, end }) => `${start} ${end}`)).toEqual([
      '1 B',
      'B 3',
      '3 4',
    ]);
    expect(typed(nameInPlace('members', 'a'), ' ')).toBe('Write a name.');
    expect(typed(nameInPlace('members', 'a'), 'b')).toMatch(/“b”/);
  });

  test('a section is given to the run that shares it, by any spelling of its name', () => {
    const changed = after(sectionInPlace(model, 'b'), 'tube');
    expect(changed.members.map(({ section }) => section)).toEqual(['Tube', 'Tube', 'Tube']);
    const alone: Model = { ...model, members: model.members.map((one, i) => (i === 1 ? { ...one, section: 'Tube' } : one)) };
    expect(sectionInPlace(alone, 'b').label).toBe('Section of b');
    expect(typed(sectionInPlace(model, 'b'), 'oak')).toMatch(/There is no section “oak”. Sections are: /);
  });

  test('a support is changed by the name of what it does, and taken away', () => {
    const words = supportInPlace(model, '4');
    expect(words.first).toBe('roller, free along X');
    expect(after(words, 'Fixed').supports[1]).toEqual({ node: '4', ux: 'fixed', uy: 'fixed', rz: 'fixed' });
    expect(after(words, 'none').supports).toHaveLength(1);
    expect(typed(words, 'glued')).toMatch(/^Write one of: pinned, fixed/);
  });

  test('an end is hinged, made rigid or given a stiffness', () => {
    const words = releaseInPlace(model, 'b', 'start');
    expect(words.first).toBe('rigid');
    expect(after(words, 'hinged').members[1]!.releases?.start).toEqual({ mz: 'free' });
    expect(after(words, '500 kN·m/rad').members[1]!.releases?.start).toEqual({ mz: 5e5 });
    expect(after(words, '500 after 4').members[1]).toMatchObject({
      releases: { start: { mz: 5e5 } },
      gaps: { start: { mz: 4e-3 } },
    });
    const gapped = { ...model, members: [model.members[0]!, { ...model.members[1]!, releases: { start: { mz: 5e5 } }, gaps: { start: { mz: 4e-3 } } }] }; // oxfmt-ignore
    expect(releaseInPlace(gapped, 'b', 'start').first).toBe('500 kN·m/rad after 4 mrad');
    expect(typed(words, '500 after -4')).toMatch(/^Write the gap as an angle/);
    expect(after(words, 'rigid').members[1]!.releases?.start).toEqual({});
    expect(typed(words, 'loose')).toMatch(/^Write hinged, rigid, or a stiffness/);
    const bar = { ...model, members: model.members.map((one) => ({ ...one, behaviour: 'truss' as const })) };
    expect(releaseInPlace(bar, 'b', 'start').read('rigid')).toMatch(/is a bar, hinged at both ends/);
  });

  test('a temperature, a lack of fit and a settlement are said again, and stay the load they were', () => {
    const loads = [
      { id: 'w', case: 'Q', type: 'thermal', member: 'a', uniform: 20, gradientY: -40 },
      { id: 's', case: 'Q', type: 'settlement', node: '1', uy: -0.01 },
    ] as const;
    const [warmth, settles] = loads.map((load) => loadInPlace({ ...model, loads }, load)!);
    expect([warmth!.first, settles!.first]).toEqual(['20 K warmer and 40 K/m warmer below', '10 mm down']);
    const put = (entry: object) => ({ type: 'put', list: 'loads', entry });
    expect(warmth!.read('15')).toMatchObject(put({ id: 'w', case: 'Q', type: 'thermal', member: 'a', uniform: 15 }));
    expect(warmth!.read('15')).not.toHaveProperty('entry.gradientY');
    expect(settles!.read('4')).toMatchObject(put({ id: 's', node: '1', uy: -0.004 }));
    expect(settles!.read('4 kN/m')).toMatch(/acts on members/);
    expect(loadInPlace(model, { id: 't', case: 'Q', type: 'settlement', node: '1', rz: 0.002 })).toBeUndefined();
  });
});
