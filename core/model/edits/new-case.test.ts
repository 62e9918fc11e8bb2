import { expect, test } from '@jest/globals';
import { categories } from '../categories';
import { emptyModel, type Model } from '../model';
import { newCase, ofKind } from './new-case';

const model = emptyModel('Shed');
const with_ = (...kinds: Parameters<typeof newCase>[1][]): Model =>
  kinds.reduce<Model>((now, kind) => ({ ...now, cases: [...now.cases, newCase(now, kind)] }), model);

test('a case is named for its kind, and takes the colour that the fewest have', () => {
  expect(with_('wind', 'wind', 'snow').cases.map(({ id, title, colour }) => [id, title, colour])).toEqual([
    ['G', 'Permanent', undefined],
    ['Q', 'Imposed', 'olive'],
    ['W', 'Wind', 'slate'],
    ['W 2', 'Wind', 'plum'],
    ['S', 'Snow', 'indigo'],
  ]);
  const all = with_(...categories).cases;
  expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
});

test('made another kind, what only told its kind follows, and what somebody wrote stays', () => {
  const [, imposed] = model.cases;
  expect(ofKind(model, imposed!, 'wind')).toMatchObject({ id: 'W', title: 'Wind', category: 'wind' });
  const own = { ...imposed!, id: 'Q', title: 'People on the canopy walk' };
  expect(ofKind(model, own, 'traffic')).toMatchObject({ id: 'QT', title: 'People on the canopy walk' });
  expect(ofKind(model, { ...imposed!, id: 'crowd' }, 'wind').id).toBe('crowd');
  // Its own name is free for itself.
  expect(ofKind(model, imposed!, 'imposed').id).toBe('Q');
});
