import { describe, expect, test } from '@jest/globals';
import { solve } from '@rigid-beam/core/analysis/session';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { Load, Model, Support } from '@rigid-beam/core/model/model';
import { placesOf } from '@rigid-beam/core/model/places';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { clamp, sketch } from '@rigid-beam/core/test/build';
import { axisOf, labelOf, measured, placesSaid } from './load-fields';
import { eachChanged, sharedBy, spanOf } from './member-edits';
import { movementRows } from './movement-rows';
import { directionsOf, settlementOf, supportChoices, supportEdit, turnedTo, withRestraint } from './node-edits';

const frame = sketch({
  nodes: [['1', 0, 0], ['2', 3, 4], ['3', 7, 4], ['4', 9, 4]],
  members: [['a', '1', '2'], ['b', '2', '3'], ['c', '3', '4']],
  supports: [clamp('1'), { node: '4', uy: 'fixed' }],
  loads: [{ type: 'node', node: '3', fy: -5e3 }],
}); // oxfmt-ignore
const edited = (model: Model, intent: ReturnType<typeof supportEdit>): Model => {
  const applied = applyIntent(model, intent!);
  if (!applied.ok) throw new Error('refused');
  return applied.model;
};

describe('supports of nodes', () => {
  test('are held in a way, otherwise, or not at all, all of them at once', () => {
    const { kind, choices } = supportChoices(frame, '1', defaultDisplay);
    expect([kind, choices[0]!.id, choices.some(({ id }) => id === kind)]).toEqual(['fixed', 'none', true]);
    expect(supportChoices(frame, '2', defaultDisplay).kind).toBe('none');
    const [one, two] = [frame.nodes.slice(1, 2), frame.nodes.slice(1, 3)];
    expect(supportEdit(frame, one, 'none')).toBeUndefined();
    const held = edited(frame, supportEdit(frame, two, 'pinned'));
    expect(two.map(({ id }) => supportChoices(held, id, defaultDisplay).kind)).toEqual(['pinned', 'pinned']);
    expect(edited(held, supportEdit(held, two, 'none')).supports).toEqual(frame.supports);
  });

  test('that are sprung have a kind of their own to show; what is let go does not push any more', () => {
    const pushing: Support = { node: '4', uy: 'fixed', oneWay: { uy: 'positive' } };
    expect(withRestraint(pushing, 'uy', 'free').oneWay).toBeUndefined();
    expect(withRestraint(pushing, 'uy', 1e6).oneWay).toEqual({ uy: 'positive' });
    const sprung = { ...frame, supports: [{ node: '4', ux: 3e5, uy: 'fixed' } as Support] };
    expect(supportChoices(sprung, '4', defaultDisplay).choices.at(-1)!.id).toBe('other');
  });

  test('turn along a member of their node and back', () => {
    const own = frame.supports[0]!;
    expect(directionsOf(frame, own)).toMatchObject({ value: 'global', meeting: [{ id: 'a' }] });
    const turned = turnedTo(frame, own, 'along a')!;
    expect(directionsOf(frame, turned).value).toBe('along a');
    expect(turnedTo(frame, turned, 'global')).toEqual(own);
    expect(turnedTo(frame, own, 'own')).toBeUndefined();
  });

  test('settle along what they hold, in the case that acts', () => {
    const settles: Load = { id: 's', type: 'settlement', case: frame.cases[0]!.id, node: '4', uy: -0.01 };
    const model = { ...frame, loads: [settles] };
    expect(settlementOf(model, model.supports[1]!, model.cases[0]!)).toEqual({ load: settles, holds: ['uy'] });
    expect(settlementOf(frame, frame.supports[1]!, frame.cases[0]!)).toEqual({ holds: ['uy'] });
  });
});

test('a node says how it moves, and what its support bears where it has one', () => {
  const solution = solve(frame).solution!;
  const rows = movementRows(solution, 0, 3, defaultDisplay)!;
  expect(rows.map(({ effect, hasInfluence }) => [effect.kind, hasInfluence])).toEqual([
    ...[0, 1, 2].map(() => ['movement', true]),
    ...[false, true, false].map((isHeld) => ['reaction', isHeld]),
  ]);
  expect(Number(rows[4]!.value.replaceAll(' ', ''))).toBeGreaterThan(0);
  expect(movementRows(solution, 0, 1, defaultDisplay)).toHaveLength(3);
  expect(movementRows(solution, 0, -1, defaultDisplay)).toBeUndefined();
});

test('members are changed together, say what they share, and span together where they follow each other', () => {
  const [a, b, c] = frame.members as [Model['members'][number], Model['members'][number], Model['members'][number]];
  const changed = edited(
    frame,
    eachChanged([b, c], (member) => ({ ...member, behaviour: 'truss' }), 'both'),
  );
  expect(changed.members.map(({ behaviour }) => behaviour ?? 'frame')).toEqual(['frame', 'truss', 'truss']);
  expect(eachChanged([b], (member) => member, 'one').type).toBe('put');
  expect(sharedBy(changed.members)).toMatchObject({ section: a.section, behaviour: '' });
  expect(sharedBy(frame.members).behaviour).toBe('frame');
  const places = placesOf(frame);
  expect([spanOf(frame, [b, c], places), spanOf(frame, [a, c], places), spanOf(frame, [b], places)]).toEqual([6, 5, 4]);
});

test('fields of a load are called by its axes, and places are said the other way than they are stored', () => {
  const plane = { space: 'plane', display: defaultDisplay } as const;
  const up = { ...plane, display: { ...defaultDisplay, up: 'Z' as const } };
  expect(labelOf('fy', '', 'force', plane)).toMatch(/ Y$/);
  expect(labelOf('wy', 'own ', 'intensity', plane)).toMatch(/ own y$/);
  expect(labelOf('at', '', 'length', plane)).not.toBe(labelOf('at', '', 'number', plane));
  expect(axisOf('fy', '', up)).toEqual({ letter: 'Z', sign: 1 });
  expect(axisOf('uniform', '', plane)).toBeUndefined();
  const line: Load = { id: 'l', type: 'line', case: 'G', member: 'a', from: { wy: -1, at: 0.25 }, to: { wy: -1 } };
  expect(placesSaid(line, 5, defaultDisplay)).toMatch(/1\.25 m.*5 m/);
  expect(placesSaid({ ...line, measure: 'length', from: { wy: -1, at: 1 } }, 5, defaultDisplay)).toMatch(/0\.2.*1/);
  expect(placesSaid(line, undefined, defaultDisplay)).toBeUndefined();
  // A place keeps its number only where it means the same.
  expect(measured(line, 'length')).toEqual({ ...line, measure: 'length', from: { wy: -1 } });
});
