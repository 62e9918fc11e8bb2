import { describe, expect, test } from '@jest/globals';
import { applyIntent } from '../model/edits/apply-intent';
import { checkModel } from '../model/check';
import type { Model } from '../model/model';
import { mechanismsWithRemedies } from '../analysis/remedies';
import { solve } from '../analysis/session';
import { ball, clamp, pin, roller, sketch, solved, type Sketch } from '../test/build';
import { moved, turnBy } from '../test/moved';
import { truss, hinges, beam, table, models } from '../test/space-mechanisms';

const classified = (model: Model) => solve(checkModel(model).model!);

describe('mechanisms in space', () => {
  test.each(models)('%s', (_, model, words, count, harmless) => {
    const { mechanisms, status, solution, notices } = classified(sketch(model));
    expect(mechanisms.map(({ description }) => description).join('\n')).toMatch(words);
    expect(mechanisms).toHaveLength(count);
    expect(mechanisms.every((mechanism) => mechanism.harmless)).toBe(harmless);
    expect(status).toBe(harmless ? 'solved' : 'unstable');
    expect(solution !== undefined).toBe(harmless);
    expect(notices.some(({ code }) => code === 'mechanism')).toBe(true);
    for (const { freedoms } of mechanisms)
      if (freedoms.length > 0) expect(Math.max(...freedoms.map(({ amount }) => Math.abs(amount)))).toBeCloseTo(1, 9);
  });

  test.each(models)('%s: the same judgement however it lies in the axes', (_, model, _words, count, harmless) => {
    const { mechanisms, status } = classified(moved(sketch(model), turnBy(0.7, -1.1), [3, 5, -2]));
    expect(mechanisms).toHaveLength(count);
    expect(mechanisms.filter((mechanism) => mechanism.harmless)).toHaveLength(
      classified(sketch(model)).mechanisms.filter((mechanism) => mechanism.harmless).length,
    );
    expect(status).toBe(harmless ? 'solved' : 'unstable');
  });

  test('a harmless motion leaves results as if it were held by hand', () => {
    const loads: Sketch['loads'] = [{ type: 'line', member: 'a', from: { wy: -1e3, wz: 5e2 }, to: { wy: -1e3, wz: 5e2 } }];
    const free = solved(sketch({ ...beam, supports: [ball('1'), ball('2')], loads }));
    const held = solved(sketch({ ...beam, supports: [{ ...ball('1'), rx: 'fixed' }, ball('2')], loads }));
    expect(free.results.mechanisms).toHaveLength(1);
    expect(held.results.mechanisms).toHaveLength(0);
    expect([...free.reactions('2')]).toEqual(Array.from(held.reactions('2'), (value) => expect.closeTo(value, 6)));
    expect(free.displacements('1')[3]).toBeCloseTo(0, 15);
    expect(free.residual()).toBeLessThan(1e-9);
  });

  test('the joints of a large truss are told in one note', () => {
    const { notices, mechanisms } = classified(
      sketch({
        nodes: [['p', 2, 0, 0], ['q', -1, 0, 2], ['s', -1, 0, -2], ['t', 0, 3, 0]],
        members: ['p', 'q', 's'].map((foot) => [foot, foot, 't', truss]),
        supports: ['p', 'q', 's'].map(ball),
        loads: [{ type: 'node', node: 't', fy: -1 }],
      }),
    ); // oxfmt-ignore
    expect(mechanisms).toHaveLength(12);
    expect(notices.filter(({ code }) => code === 'mechanism').map(({ message }) => message)).toEqual([
      '4 nodes can spin, since every member that meets there is hinged: p, q, s, t. No load drives them, so they are held still.',
    ]);
  });

  test('a heap of bars says how many motions it has, and describes some', () => {
    const side = 12;
    const nodes: Sketch['nodes'][number][] = [];
    const members: Sketch['members'][number][] = [];
    for (let i = 0; i < side; i++)
      for (let j = 0; j < side; j++) {
        nodes.push([`${i}.${j}`, 2 * i, 2 * j + 0.3 * (i % 2)]);
        if (i > 0) members.push([`b${i}.${j}`, `${i - 1}.${j}`, `${i}.${j}`, truss]);
        if (j > 0 && i % 4 === 0) members.push([`c${i}.${j}`, `${i}.${j - 1}`, `${i}.${j}`, truss]);
      }
    const { status, mechanisms, notices } = classified(sketch({ nodes, members, supports: [pin('0.0'), pin('4.0')] }));
    expect(status).toBe('unstable');
    expect(mechanisms.filter(({ harmless }) => !harmless)).toHaveLength(100);
    expect(notices.at(-1)!.message).toMatch(/can move in 1\d\d independent ways that involve several nodes; 100 of them/);
  });

  test('motions that have nothing to do with each other are told apart', () => {
    const panel = (name: string, x: number): [Sketch['nodes'], Sketch['members'], Sketch['supports']] => [
      [[`${name}1`, x, 0], [`${name}2`, x + 2, 0], [`${name}3`, x + 2, 2], [`${name}4`, x, 2]],
      [[`${name}a`, `${name}1`, `${name}4`, truss], [`${name}b`, `${name}4`, `${name}3`, truss], [`${name}c`, `${name}3`, `${name}2`, truss]],
      [pin(`${name}1`), pin(`${name}2`)],
    ]; // oxfmt-ignore
    const [p, r] = [panel('p', 0), panel('r', 10)];
    const { mechanisms } = classified(
      sketch({ nodes: [...p[0], ...r[0]], members: [...p[1], ...r[1]], supports: [...p[2], ...r[2]] }),
    );
    const folding = mechanisms.filter(({ harmless }) => !harmless);
    expect(folding.map(({ freedoms }) => [...new Set(freedoms.map(({ node }) => node[0]))])).toEqual(
      expect.arrayContaining([['p'], ['r']]),
    );
    expect(folding).toHaveLength(2);
  });
});

describe('remedies', () => {
  const unstable: readonly (readonly [string, Sketch, RegExp])[] = [
    ['a beam on rollers', { nodes: [['1', 0, 0], ['2', 4, 0]], members: [['a', '1', '2']], supports: [roller('1'), roller('2')] }, /Hold node 1 along X/],
    ['a beam on one pin', { nodes: [['1', 0, 0], ['2', 4, 0]], members: [['a', '1', '2']], supports: [pin('1')] }, /Hold node 1 against turning[\s\S]*Hold node 2 along Y/],
    [
      'an unbraced panel',
      {
        nodes: [['1', 0, 0], ['2', 4, 0], ['3', 4, 3], ['4', 0, 3]],
        members: [['a', '1', '4', truss], ['b', '4', '3', truss], ['c', '3', '2', truss]],
        supports: [pin('1'), pin('2')],
        loads: [{ type: 'node', node: '4', fx: 1 }],
      },
      /Brace the panel from node 3 to node 1/,
    ],
    [
      'a hinge too many',
      {
        nodes: [['1', 0, 0], ['2', 3, 0], ['3', 6, 0]],
        members: [['a', '1', '2', { releases: { end: { mz: 'free' } } }], ['b', '2', '3']],
        supports: [pin('1'), roller('3')],
        loads: [{ type: 'node', node: '2', fy: -1 }],
      },
      /Fix the end of member a at node 2/,
    ],
    [
      'a couple on a node of hinges',
      {
        nodes: [['1', 0, 0], ['2', 3, 1], ['3', 6, 0]],
        members: [['a', '1', '2', { releases: { end: { mz: 'free' } } }], ['b', '2', '3', { releases: { start: { mz: 'free' } } }]],
        supports: [clamp('1'), clamp('3')],
        loads: [{ type: 'node', node: '2', mz: 1 }],
      },
      /Fix the end of member a at node 2[\s\S]*Fix the end of member b at node 2/,
    ],
    [
      'a cantilever on a hinge',
      {
        nodes: [['1', 0, 0], ['2', 3, 0]], members: [['a', '1', '2', { releases: { start: { mz: 'free' } } }]],
        supports: [clamp('1')], loads: [{ type: 'node', node: '2', fy: -1 }],
      },
      /^Fix the end of member a at node 1\nHold node 2 along Y$/,
    ],
    [
      'two hinges too many in a beam',
      {
        nodes: [['1', 0, 0], ['2', 3, 0], ['3', 5, 0], ['4', 8, 0]],
        members: [['a', '1', '2', { releases: { end: { mz: 'free' } } }], ['b', '2', '3', { releases: { end: { mz: 'free' } } }], ['c', '3', '4']],
        supports: [clamp('1'), roller('4')],
      },
      /^Fix the end of member a at node 2\nFix the end of member b at node 3$/,
    ],
    [
      'hinged beams that cross, loaded where they do',
      {
        nodes: [['1', -3, 0, 0], ['2', 3, 0, 0], ['3', 0, 0, -3], ['4', 0, 0, 3], ['5', 0, 0, 0]],
        members: [['a', '1', '5', hinges], ['b', '5', '2', hinges], ['c', '3', '5', truss], ['d', '5', '4', truss]],
        supports: ['1', '2', '3', '4'].map(ball), loads: [{ type: 'node', node: '5', fy: -1 }],
      },
      /^Make members a and b run through node 5\nMake members c and d run through node 5$/,
    ],
    [
      'a couple on a joint of a truss',
      {
        nodes: [['1', 0, 0], ['2', 4, 0], ['3', 2, 3]], members: [['a', '1', '2', truss], ['b', '2', '3', truss], ['c', '3', '1', truss]],
        supports: [pin('1'), roller('2')], loads: [{ type: 'node', node: '3', mz: 5 }],
      },
      /^Make member b a frame member fixed at node 3\nMake member c/,
    ],
    [
      'a member that slides in itself',
      {
        nodes: [['1', 0, 0], ['2', 3, 0]],
        members: [['a', '1', '2', { releases: { start: { ux: 'free' }, end: { ux: 'free' } } }]],
        supports: [clamp('1'), clamp('2')],
      },
      /Fix member a along its axis at node 2/,
    ],
    ['a twisted beam between ball joints', models[1]![1], /Hold node 1 against turning about X/],
    ['a table on hinged legs', table, /Brace the panel|Hold node/],
  ]; // oxfmt-ignore

  test.each(unstable)('%s', (_, sketched, words) => {
    const model = checkModel(sketch(sketched)).model!;
    const remedies = mechanismsWithRemedies(model).flatMap((mechanism) => mechanism.remedies);
    expect(remedies.map(({ description }) => description).join('\n')).toMatch(words);
    const harmful = (tried: Model): number => solve(tried).mechanisms.filter(({ harmless }) => !harmless).length;
    for (const { edit } of remedies) {
      const applied = applyIntent(model, edit);
      expect(applied.ok && harmful(applied.model)).toBeLessThan(harmful(model));
    }
  });
});
