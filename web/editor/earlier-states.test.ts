import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import { clamp, inRow, sketch } from '@rigid-beam/core/test/build';
import { patchesBack, stateAfter, withState } from './earlier-states';
import { afterRevision, emptyHistory, type Step } from './history';

const begin: Model = sketch({ nodes: inRow(0, 3, 6, 9), members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4']], supports: [clamp('1')] }); // oxfmt-ignore
const edits: readonly Intent[] = [
  { type: 'moveNodes', moves: [{ id: '2', x: 3, y: 1 }] },
  { type: 'rename', list: 'nodes', names: { '3': 'ridge' } },
  { type: 'remove', list: 'members', keys: ['c'] },
  { type: 'put', list: 'supports', entry: { ...clamp('4') } },
  { type: 'set', settings: { title: 'Other' } },
];

test('whatever was edited, and in whichever order, each earlier state is found again, also where patches lie on the server', async () => {
  await fc.assert(
    fc.asyncProperty(fc.shuffledSubarray([...edits], { minLength: 1 }), fc.array(fc.boolean(), { minLength: 5, maxLength: 5 }), async (chosen, isLong) => {
      const states = [begin];
      const stored = new Map<number, Step>();
      let history = emptyHistory;
      for (const intent of chosen) {
        const applied = applyIntent(states.at(-1)!, intent);
        if (!applied.ok) continue;
        const { patches, inverse } = applied;
        const number = states.length;
        stored.set(number, { label: '', patches, inverse });
        const step = isLong[number % 5] ? { label: '', number, patches: null, inverse: null } : { label: '', number, patches, inverse };
        history = afterRevision(history, 'edit', step);
        states.push(applied.model);
      }
      for (let back = 0; back < states.length; back++) {
        const found = await patchesBack(history.undo, back, (step) => Promise.resolve(stored.get(step.number!)));
        expect(stateAfter(states.at(-1)!, found!)).toEqual(states[states.length - 1 - back]);
      }
      // What is not to be had is not guessed.
      const lost = await patchesBack(history.undo, states.length - 1, () => Promise.resolve(undefined));
      expect(lost === undefined).toBe(history.undo.some(({ inverse }) => inverse === null));
    }),
    { numRuns: 40 },
  );
}); // oxfmt-ignore

test('kept states: the newest first, one of a name, and not without end', () => {
  let all = withState([], { name: 'first', model: begin });
  all = withState(all, { name: 'second', model: begin });
  const other = { ...begin, title: 'again' };
  expect(withState(all, { name: 'first', model: other })).toEqual([{ name: 'first', model: other }, { name: 'second', model: begin }]);
  for (let i = 0; i < 30; i++) all = withState(all, { name: `${i}`, model: begin });
  expect(all).toHaveLength(12);
}); // oxfmt-ignore
