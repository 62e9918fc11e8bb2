import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Model } from '../model';
import { checkModel } from '../check';
import { soundModel } from '../../test/faults';
import { applyIntent } from './apply-intent';
import { describeIntent } from './describe-intent';
import type { Intent } from './intent';

const start = checkModel(soundModel()).model!;

function edited(model: Model, intent: Intent): Model {
  const applied = applyIntent(model, intent);
  if (!applied.ok) throw new Error(applied.faults.map(({ message }) => message).join(' '));
  return applied.model;
}

function refused(model: Model, intent: Intent): string {
  const applied = applyIntent(model, intent);
  if (applied.ok) throw new Error('The edit was not refused');
  return applied.faults.map(({ message }) => message).join(' ');
}

const edits: readonly (readonly [string, Intent, (model: Model) => void])[] = [
  [
    'put adds an entry',
    { type: 'put', list: 'nodes', entry: { id: '4', x: 1, y: 2 } },
    (m) => expect(m.nodes[3]).toEqual({ id: '4', x: 1, y: 2 }),
  ],
  [
    'put replaces an entry',
    { type: 'put', list: 'supports', entry: { node: '2', ux: 'fixed' } },
    (m) => expect(m.supports[1]).toEqual({ node: '2', ux: 'fixed' }),
  ],
  [
    'quantities in an edit become SI',
    { type: 'put', list: 'nodes', entry: { id: '4', x: '2 ft', y: 0 } },
    (m) => expect(m.nodes[3]!.x).toBeCloseTo(0.6096, 12),
  ],
  [
    'a renamed node keeps its references',
    { type: 'put', list: 'nodes', key: '2', entry: { id: 'B', x: 4, y: 0 } },
    (m) => {
      expect(m.members.map(({ start: s, end }) => s + end)).toEqual(['1B', 'B3']);
      expect(m.supports[1]!.node).toBe('B');
    },
  ],
  [
    'a renamed case keeps loads and combinations',
    { type: 'put', list: 'cases', key: 'Q', entry: { id: 'R', category: 'snow' } },
    (m) => {
      expect(m.loads.map((load) => load.case)).toEqual(['R', 'R']);
      expect(m.combinations[0]).toMatchObject({ factors: { R: 1.5 } });
    },
  ],
  [
    'a renamed section keeps its members',
    { type: 'put', list: 'sections', key: 's', entry: { ...start.sections[0]!, id: 't' } },
    (m) => expect(m.members.map(({ section }) => section)).toEqual(['t', 't']),
  ],
  [
    'a load is added',
    { type: 'put', list: 'loads', entry: { type: 'node', case: 'Q', node: '2', fy: -1 } },
    (m) => expect(m.loads.map(({ id }) => id)).toEqual(['1', '2', '3']),
  ],
  [
    'a load is replaced',
    { type: 'put', list: 'loads', entry: { id: '2', type: 'node', case: 'Q', node: '2', fy: -1 } },
    (m) => expect(m.loads[1]!.type).toBe('node'),
  ],
  [
    'loads are removed',
    { type: 'remove', list: 'loads', keys: ['1'] },
    (m) => expect(m.loads.map(({ type }) => type)).toEqual(['point']),
  ],
  [
    'drawing adds nodes and members together',
    { type: 'draw', nodes: [{ id: '4', x: 8, y: 3 }], members: [{ ...start.members[0]!, id: 'c', start: '3', end: '4' }] },
    (m) => expect([m.nodes.length, m.members.length]).toEqual([4, 3]),
  ],
  [
    'nodes move together',
    {
      type: 'moveNodes',
      moves: [
        { id: '1', x: 0.1 + 0.2, y: 1 },
        { id: '3', x: 9, y: 1 },
      ],
    },
    (m) =>
      expect(m.nodes.map(({ x, y }) => [x, y])).toEqual([
        [0.3, 1],
        [4, 0],
        [9, 1],
      ]),
  ],
  [
    'a stretched bay moves all beyond it',
    { type: 'stretch', axis: 'x', beyond: 4, by: 1.5 },
    (m) => expect(m.nodes.map(({ x }) => x)).toEqual([0, 5.5, 9.5]),
  ],
  [
    'a stretched level',
    { type: 'stretch', axis: 'y', beyond: 0, by: 2 },
    (m) => expect(m.nodes.map(({ y }) => y)).toEqual([2, 2, 2]),
  ],
  [
    'a removed node takes members, supports and loads along',
    { type: 'remove', list: 'nodes', keys: ['3'] },
    (m) => {
      expect(m.members.map(({ id }) => id)).toEqual(['a']);
      expect(m.supports.map(({ node }) => node)).toEqual(['1', '2']);
      expect(m.loads.map(({ type }) => type)).toEqual(['line']);
    },
  ],
  [
    'a removed member takes its loads along',
    { type: 'remove', list: 'members', keys: ['a'] },
    (m) => expect(m.loads.map(({ type }) => type)).toEqual(['point']),
  ],
  [
    'a removed case takes its loads and emptied combinations along',
    { type: 'remove', list: 'cases', keys: ['Q'] },
    (m) => expect([m.loads, m.combinations]).toEqual([[], []]),
  ],
  [
    'settings',
    { type: 'set', settings: { title: 'Potting shed', gravity: 9.81 } },
    (m) => expect([m.title, m.gravity]).toEqual(['Potting shed', 9.81]),
  ],
];

describe('edits', () => {
  test.each(edits)('%s, and undoing brings back what was', (_, intent, verify) => {
    const applied = applyIntent(start, intent);
    if (!applied.ok) throw new Error(applied.faults[0]!.message);
    verify(applied.model);
    expect(edited(applied.model, { type: 'patch', patches: applied.inverse })).toEqual(start);
    expect(edited(start, { type: 'patch', patches: applied.patches })).toEqual(applied.model);
    expect(describeIntent(intent)).toMatch(/^[A-Z]/);
  });

  test.each<[string, Intent, RegExp]>([
    ['a section in use cannot be removed', { type: 'remove', list: 'sections', keys: ['s'] }, /no section “s”/],
    [
      'a node cannot be moved onto the other end of its member',
      { type: 'moveNodes', moves: [{ id: '2', x: 0, y: 0 }] },
      /has no length/,
    ],
    ['what is not there cannot be moved', { type: 'moveNodes', moves: [{ id: '9', x: 0, y: 0 }] }, /no node “9”/],
    ['what is not there cannot be removed', { type: 'remove', list: 'members', keys: ['z'] }, /Nothing of the name z/],
    ['what is not there cannot be renamed', { type: 'put', list: 'nodes', key: '9', entry: { id: 'A', x: 0, y: 0 } }, /no “9”/],
    ['a load that is not there', { type: 'put', list: 'loads', key: '8', entry: { ...start.loads[0]! } }, /no “8”/],
    ['a name that is taken', { type: 'put', list: 'nodes', key: '1', entry: { id: '2', x: 0, y: 0 } }, /already a node “2”/],
    [
      'patches for another state',
      { type: 'patch', patches: [{ op: 'replace', path: ['nodes', 40, 'x'], value: 1 }] },
      /does not fit/,
    ],
    ['a setting that does not exist', { type: 'set', settings: { nodes: [] } as never }, /“nodes” is not a setting/],
    ['settings of the wrong kind', { type: 'set', settings: { gravity: -1 } }, /not negative/],
  ])('%s', (_, intent, words) => {
    const before = JSON.stringify(start);
    expect(refused(start, intent)).toMatch(words);
    expect(JSON.stringify(start)).toBe(before);
  });

  test('any row of edits is undone step by step to the beginning', () => {
    const intents = edits.map(([, intent]) => intent);
    fc.assert(
      fc.property(fc.array(fc.nat(intents.length - 1), { maxLength: 8 }), (choices) => {
        let model = start;
        const inverses: Intent[] = [];
        for (const choice of choices) {
          const applied = applyIntent(model, intents[choice]!);
          if (!applied.ok) continue;
          inverses.push({ type: 'patch', patches: applied.inverse });
          model = applied.model;
        }
        for (const inverse of inverses.reverse()) model = edited(model, inverse);
        expect(model).toEqual(start);
      }),
      { numRuns: 150 },
    );
  });
});
