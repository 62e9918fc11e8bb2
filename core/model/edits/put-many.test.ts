import { expect, test } from '@jest/globals';
import lintel from '../../../examples/lintel.rbm.json';
import { Random } from '../../test/random';
import { checkModel } from '../check';
import type { Model } from '../model';
import { applyIntent } from './apply-intent';
import type { Intent } from './intent';

const begin = checkModel(lintel).model!;
const applied = (model: Model, intent: Intent): Model => {
  const result = applyIntent(model, intent);
  if (!result.ok) throw new Error(result.faults[0]!.message);
  return result.model;
};

/** Nodes and loads under names that are there, new ones, the same ones again, and loads without a name. */
function puts(chance: Random): Intent[] {
  const node = (): Intent => ({
    type: 'put',
    list: 'nodes',
    entry: { id: `${1 + chance.below(8)}`, x: chance.next() * 9, y: 20 + chance.next() },
  });
  const load = (): Intent => ({
    ...{ type: 'put', list: 'loads' },
    entry: {
      ...(chance.below(3) > 0 && { id: `${1 + chance.below(9)}` }),
      case: 'Q1',
      type: 'node',
      node: '4',
      fy: -chance.below(1e6) - 1,
    },
  });
  // Runs of one list, and changes between them.
  return Array.from({ length: 6 }, () => Array.from({ length: 1 + chance.below(4) }, chance.below(2) ? node : load)).flat();
}

test('entries that are put together are put as one after the other', () => {
  for (let seed = 1; seed <= 60; seed++) {
    const intents = puts(new Random(seed));
    const named = intents.filter((one) => one.type === 'put' && 'id' in one.entry);
    const after = named.reduce(applied, begin);
    expect([seed, applied(begin, { type: 'batch', intents: named })]).toEqual([seed, after]);
    // Loads without a name are each one more.
    const { loads } = applied(begin, { type: 'batch', intents });
    expect([seed, loads.length, new Set(loads.map(({ id }) => id)).size]).toEqual([
      seed,
      after.loads.length + intents.length - named.length,
      loads.length,
    ]);
  }
});
