import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { defaultDisplay } from '../quantities/display';
import { sketch } from '../test/build';
import type { Load, Model } from '../model/model';
import { phraseKinds, WAYS, type LoadPhrase } from './phrase';
import { readLoadPhrase } from './read-phrase';
import { loadsOfPhrase, panelsMeant, type PhraseTarget } from './phrase-loads';
import { phraseOfLoad } from './phrase-of-load';
import { ALL_DIGITS, phraseWords } from './phrase-words';

const read = (text: string, space: Model['space'] = 'plane') =>
  readLoadPhrase(text, { display: defaultDisplay, space, bare: 'line' });
const said = (text: string, space: Model['space'] = 'plane'): LoadPhrase => {
  const found = read(text, space);
  if (!found.ok) throw new Error(found.reason);
  return found.phrase;
};

describe('a load as it is said', () => {
  test.each<[string, Partial<LoadPhrase>]>([
    ['8 kN/m down', { kind: 'line', from: 8e3, to: 8e3, direction: [0, -1, 0], measured: 'member' }],
    ['8', { kind: 'line', from: 8e3, direction: [0, -1, 0] }],
    ['8 to 4 kN/m Down On Plan', { kind: 'line', from: 8e3, to: 4e3, measured: 'plan' }],
    ['5 kN/m2 * 3.6 m left across', { kind: 'line', from: 18e3, direction: [-1, 0, 0], measured: 'across' }],
    ['6 kN/m up between 1 m and 2.5 m', { span: [1, 2.5], direction: [0, 1, 0] }],
    ['6 kN/m between 1 and 3/2 down', { span: [1, 1.5] }],
    [
      '12 kN at 30',
      {
        kind: 'force',
        from: 12e3,
        direction: [expect.closeTo(Math.sqrt(3) / 2, 12) as unknown as number, expect.closeTo(0.5, 12) as unknown as number, 0],
      },
    ],
    ['12 kN at 90° from the right', { kind: 'force', direction: [0, 1, 0] }],
    ['10 kN down at thirds', { kind: 'force', stations: { ratios: [1 / 3, 2 / 3] } }],
    ['4 kN down every 1.2 m', { stations: { every: 1.2 } }],
    ['4 kN at 1.2 m', { stations: { lengths: [1.2] }, direction: [0, -1, 0] }],
    ['10 kN down at 1.2', { kind: 'force', stations: { lengths: [1.2] }, direction: [0, -1, 0] }],
    ['10 kN at 1.2 m up', { stations: { lengths: [1.2] }, direction: [0, 1, 0] }],
    ['10 kN down at mid-span', { stations: { ratios: [1 / 2] } }],
    ['10 kN down in the Middle', { stations: { ratios: [1 / 2] } }],
    ['3 kN/m down over the first 2 m', { span: [0, 2] }],
    ['3 kN/m over the first 2 m on plan', { span: [0, 2], measured: 'plan' }],
    ['3 kN/m down from 0 to 3 m', { span: [0, 3], from: 3e3 }],
    ['8 to 4 kN/m from 1 to 3 m down', { span: [1, 3], from: 8e3, to: 4e3 }],
    ['from 8 to 4 kN/m down', { from: 8e3, to: 4e3 }],
    ['15 kN·m clockwise', { kind: 'couple', from: -15e3, direction: [0, 0, 1] }],
    [
      '8, 4, 2 kN/m down from 0, 1, 3, 3*2 m',
      { kind: 'line', from: 8e3, to: 2e3, steps: { sizes: [8e3, 4e3, 2e3], at: [0, 1, 3, 6] } },
    ],
    ['20 K colder', { kind: 'temperature', from: -20 }],
    ['20 Warmer and 40 K/m Colder Above', { from: 20, across: [{ size: -40, per: 'metre', towards: [0, 1, 0] }] }],
    ['10 K warmer on the left', { kind: 'temperature', from: 0, across: [{ size: 10, per: 'depth', towards: [-1, 0, 0] }] }],
    ['0.8 kN/m2 On Plan over 5 m', { kind: 'area', from: 800, direction: [0, -1, 0], measured: 'plan', width: 5 }],
    ['2 kN/m² up across over 2*2.5', { kind: 'area', from: 2000, direction: [0, 1, 0], measured: 'across', width: 5 }],
    ['3 mm too long', { kind: 'fit', from: 0.003 }],
    ['1 MN down', { kind: 'force', from: 1e6 }],
    ['10 mm down', { kind: 'settlement', from: 0.01, direction: [0, -1, 0] }],
  ])('%s', (text, wanted) => expect(said(text)).toMatchObject(wanted));

  test.each<[string, RegExp]>([
    ['', /size is missing/],
    ['down', /size is missing/],
    ['8 m2 down', /no load: write a size in kN\/m, kN/],
    ['8 bananas down', /“bananas” is not understood here: a unit \(kN\/m, kN/],
    ['8 kN/m clockwise', /not a size|“8 kN\/m” is not a size/],
    ['10 kN on plan', /does not go with a force/],
    ['20 K warmer down', /not a change of temperature: write 20 K warmer/],
    ['20 K warmer and 5 K colder', /told twice/],
    ['warmer above', /size is missing/],
    ['20 m warmer', /not a size/],
    ['20 K warmer behind', /in the plane nothing is warmer/],
    ['20 K warmer onto a', /go with a pressure only/],
    ['8 kN/m down onto a', /“onto” does not go with a load per length/],
    ['2 kN/m2 over 5 m onto a', /go with a panel, not with a width/],
    ['2 kN/m2 down onto a,, b', /a name is missing/],
    ['20 K down', /a direction does not go with a temperature change/],
    ['8 kN/m down between 3 m and 1 m', /the first is not before the second/],
    ['8 to 4 kN down', /only a load per length/],
    ['8 to 4 to 2 kN/m', /from one size to another/],
    ['8 kN forward', /in the plane nothing acts forward/],
    ['4 kN every 0 m', /greater than 0/],
    ['8 kN/m down on plan across', /exclude each other/],
    ['8 kN/m across along the member', /exclude each other/],
    ['8 kN/m two ways', /“one way” or “two ways” does not go with a load per length/],
    ['2 kN/m2 one way two ways over 3 m', /not both/],
    ['10 kN down at 30 deg', /its direction is told twice/],
    ['10 kN down at 1 m every 2 m', /where it acts is told twice|neither an angle nor a place/],
    ['3 kN/m over the first 2 m between 1 m and 3 m', /told twice/],
    ['3 kN/m from 3 to 1 m', /the first is not before the second/],
    ['8 kN/m sideways', /“sideways” is not understood here: .*a direction \(down/],
    ['8 kN down near the ridge', /“near” is not understood here/],
    ['4 kN at noon', /neither an angle nor a place/],
    ['4 kN down from the right', /goes with an angle/],
    ['8, 4 kN/m from 0, 1 m', /between 2 stations there are 1 steps/],
    ['8, 4 kN/m from 0, 3, 2 m', /follow each other/],
    ['8, 4 kN from 0, 1, 3 m', /only a load per length acts in steps/],
    ['4 kN down left', /its direction is told twice/],
  ])('“%s” is refused with a reason', (text, reason) =>
    expect(read(text)).toMatchObject({ ok: false, reason: expect.stringMatching(reason) }),
  );

  test('steps are said back as they are read', () => {
    const phrase = said('8, 4, 0.5 kN/m up on plan from 0, 1, 3, 6 m');
    expect(phraseWords(phrase, defaultDisplay)).toBe('8, 4, 0.5 kN/m up on plan from 0, 1, 3, 6 m');
    expect(said(phraseWords(phrase, defaultDisplay))).toEqual(phrase);
  });

  test('what was understood, said back, is understood as the same', () => {
    const sizes = fc.integer({ min: 1, max: 99_999_999 }).map((n) => n / 64);
    const phrases = fc.record({
      kind: fc.constantFrom(...phraseKinds), size: sizes, other: sizes, way: fc.constantFrom(...Object.values(WAYS)),
      measured: fc.constantFrom('member', 'plan', 'across'), sign: fc.constantFrom(1, -1), hasSpan: fc.boolean(),
    }); // oxfmt-ignore
    const near = (value: number): unknown => expect.closeTo(value, 11 - Math.ceil(Math.log10(Math.abs(value))));
    fc.assert(
      fc.property(phrases, ({ kind, size, other, way, measured, sign, hasSpan }) => {
        const isLine = kind === 'line';
        const scale = kind === 'fit' || kind === 'settlement' ? 1e-6 : 1;
        const hasWay = isLine || kind === 'force' || kind === 'settlement' || kind === 'area';
        const isPressure = kind === 'area';
        const phrase: LoadPhrase = {
          kind,
          from: (hasWay ? 1 : sign) * size * scale,
          to: (hasWay ? 1 : sign) * (isLine ? other : size) * scale,
          direction: kind === 'couple' ? [0, 0, 1] : hasWay && !(isPressure && way[1] === 0) ? way : [0, -1, 0],
          measured: isLine || isPressure ? (measured as LoadPhrase['measured']) : 'member',
          ...(isLine && hasSpan && { span: [1, 2.5] as const }),
          ...(isPressure && (hasSpan ? { spread: 'oneWay' as const } : { width: 3.25 })),
        };
        const again = said(phraseWords(phrase, defaultDisplay, ALL_DIGITS), 'space');
        expect(again).toMatchObject({ ...phrase, from: near(phrase.from), to: near(phrase.to) });
      }),
    );
  });
});

describe('the loads that it means', () => {
  const sketched = sketch({
    nodes: [['1', 0, 0], ['2', 0, 3], ['3', 6, 3], ['4', 12, 3]], members: [['c', '1', '2', { section: 'deep' }], ['r', '2', '3'], ['s', '3', '4']],
    supports: [{ node: '1', ux: 'fixed', uy: 'fixed', rz: 'fixed' }],
  }); // oxfmt-ignore
  const deep = { id: 'deep', shape: { type: 'rectangle', b: 0.1, h: 0.2 } } as const;
  const model: Model = { ...sketched, sections: [...sketched.sections, deep] };
  const made = (text: string, target: PhraseTarget) => loadsOfPhrase(said(text), target, model, 'Q');

  test.each<[string, PhraseTarget, unknown[]]>([
    ['8 kN/m down', { member: 'r' }, [{ type: 'line', member: 'r', axes: 'global', from: { wy: -8e3 }, to: { wy: -8e3 } }]],
    ['8 to 0 kN/m on plan', { member: 'r' }, [{ axes: 'projected', from: { wy: -8e3 }, to: {} }]],
    // Local y of a column stands to the left: what presses from the left acts against it.
    ['2 kN/m right across', { member: 'c' }, [{ axes: 'local', from: { wy: -2e3 } }]],
    ['2 kN/m left across', { member: 'c' }, [{ axes: 'local', from: { wy: 2e3 } }]],
    ['3 kN/m between 1 m and 4 m', { member: 'r' }, [{ measure: 'length', from: { at: 1, wy: -3e3 }, to: { at: 4, wy: -3e3 } }]],
    ['10 kN', { member: 'r', at: 0.5 }, [{ type: 'point', at: 0.5, fy: -10e3 }]],
    ['10 kN', { node: '2' }, [{ type: 'node', node: '2', fy: -10e3 }]],
    ['9 kN at thirds', { member: 'r' }, [{ at: 1 / 3 }, { at: 2 / 3 }]],
    ['4 kN every 1.2 m', { member: 'r' }, [1.2, 2.4, 3.6, 4.8].map((at) => ({ at: expect.closeTo(at, 12), measure: 'length' }))],
    ['5 kN·m clockwise', { node: '3' }, [{ type: 'node', mz: -5e3 }]],
    ['20 K', { member: 'r' }, [{ type: 'thermal', uniform: 20 }]],
    ['40 K/m warmer above', { member: 'r' }, [{ type: 'thermal', gradientY: 40 }]],
    // Local y of a column stands to the left; the section is 0.2 m deep.
    ['10 K warmer on the right and 5 K colder', { member: 'c' }, [{ uniform: -5, gradientY: expect.closeTo(-50, 12) }]],
    ['3 mm too short', { member: 'r' }, [{ type: 'strain', elongation: -0.003 }]],
    ['10 mm down', { node: '1' }, [{ type: 'settlement', node: '1', uy: -0.01 }]],
    ['2 kN/m2 over 5 m', { member: 'r' }, [{ type: 'area', members: ['r'], width: 5, pressure: 2e3 }]],
    // The wind from the left presses a column, the one from the right sucks at it: its y stands to the left.
    ['0.5 kN/m2 right across over 4 m', { member: 'c' }, [{ direction: 'normal', pressure: 500 }]],
    ['0.5 kN/m2 left across over 4 m', { member: 'c' }, [{ direction: 'normal', pressure: -500 }]],
    ['1 kN/m2 up over 4 m', { run: ['s', 'r'] }, [{ type: 'area', members: ['r', 's'], pressure: -1e3 }]],
    [
      '8, 0, 2 kN/m from 0.5, 1, 3, 6 m',
      { member: 'r' },
      [
        { measure: 'length', from: { at: 0.5, wy: -8e3 }, to: { at: 1, wy: -8e3 } },
        { from: { at: 3, wy: -2e3 }, to: { at: 6, wy: -2e3 } },
      ],
    ],
    ['6 to 2 kN/m', { run: ['s', 'r'] }, [{ type: 'chain', members: ['r', 's'], from: { wy: -6e3 }, to: { wy: -2e3 } }]],
  ])('%s', (text, target, wanted) => {
    const found = made(text, target);
    expect(found.ok && found.loads).toHaveLength(wanted.length);
    expect(found).toMatchObject({ ok: true, loads: wanted.map((load) => ({ case: 'Q', ...(load as object) })) });
  });

  test.each<[string, PhraseTarget]>([
    ['8 to 3 kN/m left', { member: 'r' }],
    ['8 kN/m down on plan', { run: ['r', 's'] }],
    ['2 kN/m right across', { member: 'c' }],
    ['2 kN/m up across between 1 m and 2 m', { member: 'r' }],
    ['12 kN at 30', { node: '3' }],
    ['7 kN at 1.5 m', { member: 'r' }],
    ['7 kN at the middle', { member: 'r' }],
    ['5 kN·m clockwise', { node: '3' }],
    ['20 K colder', { member: 'r' }],
    ['20 K colder and 40 K/m warmer below', { member: 'r' }],
    ['15 K/m warmer on the right', { member: 'c' }],
    ['0.8 kN/m2 down on plan over 5 m', { member: 'r' }],
    ['0.5 kN/m2 right across over 4 m', { member: 'c' }],
    ['3 mm too long', { member: 'r' }],
    ['10 mm down', { node: '1' }],
  ])('%s is what its load is called', (text, target) => {
    const found = made(text, target);
    if (!found.ok) throw new Error(found.reason);
    const load = { id: '1', ...found.loads[0]! } as unknown as Load;
    const phrase = phraseOfLoad(load, model)!;
    expect(phraseWords(phrase, defaultDisplay)).toBe(phraseWords(said(text), defaultDisplay));
    expect(loadsOfPhrase(phrase, target, model, 'Q')).toMatchObject({ loads: [found.loads[0]!] });
  });

  test('a settlement is said along the global axes, and stored in those of its support', () => {
    const supports = [{ node: '1', ux: 'fixed', uy: 'fixed', angle: 30 }] as const;
    const turned: Model = { ...model, supports };
    const found = loadsOfPhrase(said('10 mm down'), { node: '1' }, turned, 'Q');
    const [ux, uy] = [-0.005, -0.01 * Math.cos(Math.PI / 6)].map((part) => expect.closeTo(part, 12));
    expect(found).toMatchObject({ ok: true, loads: [{ type: 'settlement', ux, uy }] });
    if (!found.ok) throw new Error(found.reason);
    const load = { id: '1', ...found.loads[0]! } as unknown as Load;
    expect(phraseWords(phraseOfLoad(load, turned)!, defaultDisplay)).toBe('10 mm down');
    // On a slope that only holds across it, nothing moves straight down.
    const roller: Model = { ...model, supports: [{ node: '1', uy: 'fixed', angle: 30 }] };
    expect(loadsOfPhrase(said('10 mm down'), { node: '1' }, roller, 'Q')).toMatchObject({ ok: false });
  });

  test('in every pose of a member what acts along its own axes is read back along the same one, or has no words', () => {
    const part = fc.integer({ min: -9, max: 9 });
    fc.assert(
      fc.property(part, part, part, fc.integer({ min: -180, max: 180 }), (x, y, z, roll) => {
        fc.pre(x !== 0 || y !== 0 || z !== 0);
        const nodes: [string, number, number, number][] = [['1', 0, 0, 0], ['2', x, y, z]]; // oxfmt-ignore
        const posed = sketch({ nodes, members: [['m', '1', '2', { roll }]], supports: [] });
        for (const gradients of [{ gradientY: 40 }, { gradientZ: -15 }, { gradientY: -7, gradientZ: 12 }]) {
          const load = { id: '1', case: 'Q', type: 'thermal', member: 'm', uniform: 5, ...gradients } as const;
          const phrase = phraseOfLoad(load, posed);
          if (!phrase) continue;
          const words = phraseWords(phrase, defaultDisplay, ALL_DIGITS);
          const found = loadsOfPhrase(said(words, 'space'), { member: 'm' }, posed, 'Q');
          expect(found).toEqual({ ok: true, loads: [{ case: 'Q', type: 'thermal', member: 'm', uniform: 5, ...gradients }] });
        }
        for (const intensity of [{ wy: -2e3 }, { wz: 3e3 }]) {
          const load = { id: '1', case: 'Q', type: 'line', member: 'm', axes: 'local', from: intensity, to: intensity } as const;
          const phrase = phraseOfLoad(load, posed);
          if (phrase)
            expect(loadsOfPhrase(phrase, { member: 'm' }, posed, 'Q')).toMatchObject({
              loads: [{ from: intensity, to: intensity }],
            });
        }
      }),
    );
  });

  test('what no phrase says has none', () => {
    const none = (load: Partial<Load>) => expect(phraseOfLoad({ id: '1', case: 'Q', ...load } as Load, model)).toBeUndefined();
    none({ type: 'node', node: '2', fx: 1e3, mz: 1e3 });
    none({ type: 'line', member: 'r', from: { wy: -1e3 }, to: { wx: 1e3 } });
    none({ type: 'line', member: 'r', axes: 'local', from: { wx: 1e3 }, to: { wx: 1e3 } });
    none({ type: 'settlement', node: '1', rz: 0.01 });
    // An angle is told in the plane only.
    expect(
      phraseOfLoad({ id: '1', case: 'Q', type: 'node', node: '2', fx: 1e3, fy: 1e3 }, { ...model, space: 'space' }),
    ).toBeUndefined();
  });

  test.each<[string, PhraseTarget, RegExp]>([
    ['8 kN/m', { node: '2' }, /acts on members/],
    ['2 kN/m2 over 5 m', { node: '2' }, /acts on panels and members/],
    ['10 mm down', { node: '2' }, /not held that way/],
    ['10 mm down', { member: 'r' }, /point at its node/],
    ['3 kN/m between 1 m and 9 m', { member: 'r' }, /ends at 6 m/],
    ['3 kN at 9 m', { member: 'r' }, /lies beyond its end/],
    ['3, 2 kN/m from 0, 4, 9 m', { member: 'r' }, /ends at 6 m, before the last station/],
    ['3 kN every 7 m', { member: 'r' }, /no force stands on it/],
    ['3 kN every 1 mm', { member: 'r' }, /at most 500/],
    ['10 K warmer above', { member: 's' }, /has no shape, so no depth: say the gradient/],
    ['40 K/m warmer above', { member: 'c' }, /runs that way: it has no such side/],
    ['9 K/m warmer above and 4 K/m colder below', { member: 'r' }, /along its local y twice/],
    ['3 kN/m', { run: ['c', 's'] }, /do not follow each other/],
  ])('%s on %p is refused with a reason', (text, target, reason) =>
    expect(made(text, target)).toMatchObject({ ok: false, reason: expect.stringMatching(reason) }),
  );
});

describe('a pressure on a panel in space', () => {
  const bay = sketch({
    nodes: [['1', 0, 3, 0], ['2', 6, 3, 0], ['3', 6, 3, 4], ['4', 0, 3, 4], ['5', 0, 0, 0], ['6', 6, 0, 0]],
    members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4'], ['d', '4', '1'], ['e', '1', '5'], ['f', '5', '6'], ['g', '6', '2']],
    supports: [],
  }); // oxfmt-ignore
  const [floor, wall] = [['1', '2', '3', '4'], ['1', '5', '6', '2']]; // oxfmt-ignore
  const put = (text: string, panel: string[]) => loadsOfPhrase(said(text, 'space'), { panel }, bay, 'Q');

  test('is said by size and direction, and carried one way where that is said', () => {
    expect(put('5 kN/m2', floor)).toMatchObject({ loads: [{ type: 'area', nodes: floor, pressure: 5e3 }] });
    expect(put('5 kN/m2 onto b, d leaving out 1, 2, 3', floor)).toMatchObject({
      loads: [{ spread: 'oneWay', to: ['b', 'd'], openings: [['1', '2', '3']] }],
    });
    expect(put('5 kN/m2 up one way', floor)).toMatchObject({ loads: [{ pressure: -5e3, spread: 'oneWay' }] });
    // The corners of the wall run so that its normal points to the front.
    expect(put('1 kN/m2 forward across', wall)).toMatchObject({ loads: [{ direction: 'normal', pressure: 1e3 }] });
    expect(put('1 kN/m2 back across', wall)).toMatchObject({ loads: [{ direction: 'normal', pressure: -1e3 }] });
    expect(put('2 kN/m', floor)).toMatchObject({ ok: false, reason: expect.stringMatching(/only a pressure/) });
    expect(put('1 kN/m2 over 3 m', floor)).toMatchObject({ ok: false, reason: expect.stringMatching(/acts on members/) });
    expect(put('1 kN/m2', ['1', '2', '6'])).toMatchObject({ ok: true });
    expect(put('1 kN/m2', ['1', '2'])).toMatchObject({ ok: false, reason: expect.stringMatching(/three corners/) });
  });

  test.each([
    ['5 kN/m2', 'floors'],
    ['0.6 kN/m2 down on plan', 'floors'],
    ['1 kN/m2 up across', 'any'],
    ['0.8 kN/m2 right', 'walls'],
    ['0.8 kN/m2 back across', 'walls'],
  ])('%s means %s', (text, kind) => expect(panelsMeant(said(text, 'space'))).toBe(kind));

  test.each([['5 kN/m2 down one way', floor], ['2 kN/m2 down leaving out 1, 2, 3 and 4, 1, 3 onto b, d', floor], ['1 kN/m2 forward across', wall], ['0.6 kN/m2 down on plan', floor]] as const)(
    '%s is what its load is called', (text, panel) => {
      const found = put(text, [...panel]);
      if (!found.ok) throw new Error(found.reason);
      const phrase = phraseOfLoad({ id: '1', ...found.loads[0]! } as unknown as Load, bay)!;
      expect(phraseWords(phrase, defaultDisplay)).toBe(phraseWords(said(text, 'space'), defaultDisplay));
      expect(loadsOfPhrase(phrase, { panel }, bay, 'Q')).toMatchObject({ loads: [found.loads[0]!] });
    }); // oxfmt-ignore
});
