import { describe, expect, test } from '@jest/globals';
import { phraseKinds, type LoadPhrase } from '@rigid-beam/core/phrases/phrase';
import { readLoadPhrase } from '@rigid-beam/core/phrases/read-phrase';
import { defaultDisplay, unitSystems } from '@rigid-beam/core/quantities/display';
import { ALL_THROUGH, firstWords, isTurned, onSide, oppositeOf, sideOf, sidesOf, wayOf, waysOf } from './load-words';

const down: LoadPhrase = { kind: 'force', from: 1e3, to: 1e3, direction: [0, -1, 0], measured: 'member' };

describe('what the bench begins with', () => {
  test.each(unitSystems)('can be read as its own kind, $words', ({ units }) => {
    const display = { ...defaultDisplay, ...units };
    for (const kind of phraseKinds)
      for (const space of ['plane', 'space'] as const)
        expect(readLoadPhrase(firstWords(kind, display, space), { display, space, bare: kind })).toMatchObject({
          ok: true,
          phrase: { kind },
        });
  });
});

test('a direction is that in which a load acts; in the plane nothing goes forward', () => {
  expect(wayOf(down, 'plane')?.id).toBe('down');
  expect(wayOf(oppositeOf(down), 'plane')?.id).toBe('up');
  expect(wayOf({ ...down, direction: [Math.SQRT1_2, Math.SQRT1_2, 0] }, 'plane')).toBeUndefined();
  expect(waysOf('plane').map(({ id }) => id)).not.toContain('forward');
  expect(waysOf('space').map(({ id }) => id)).toContain('forward');
});

test('a temperature goes to one side and back with its size, and turns with it', () => {
  const warm: LoadPhrase = { kind: 'temperature', from: 20, to: 20, direction: [0, -1, 0], measured: 'member' };
  const above = onSide(warm, 'above');
  expect(above).toMatchObject({ from: 0, across: [{ size: 20, per: 'depth', towards: [0, 1, 0] }] });
  expect([sideOf(warm), sideOf(above)]).toEqual([ALL_THROUGH, 'above']);
  expect(isTurned(oppositeOf(above))).toBe(true);
  expect(onSide(oppositeOf(above), ALL_THROUGH)).toEqual(oppositeOf(warm));
  const gradient: LoadPhrase = { ...above, across: [{ ...above.across![0]!, per: 'metre' }] };
  expect(onSide(gradient, 'below').across).toEqual([{ size: 20, per: 'metre', towards: [0, -1, 0] }]);
  expect(sidesOf('plane')).not.toContain('behind');
});
