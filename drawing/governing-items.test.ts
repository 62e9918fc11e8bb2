import { describe, expect, test } from '@jest/globals';
import { memberReader } from '@rigid-beam/core/results/read-quantity';
import { VERTEX } from './display-list';
import { drawnMembers } from './geometry';
import { pointedItems } from './pointed-items';
import { placeOn } from './reading-items';
import { sheetItems } from './sheet-items';
import type { View } from './view';
import { labels, lintelModel, paths, ribModel, solutionOf, view } from './test/demo';

const solution = solutionOf(lintelModel);
const outcome = solution.outcomes.findIndex(({ kind }) => kind === 'envelope');
const told: View = { ...view, outcome, governing: true };
/** The stripes: beside a member, of another ink than anything else that stands there. */
const stripes = (given: View) =>
  paths(sheetItems(lintelModel, solution, given)).filter(
    ({ stroke, vertices }) => stroke?.startsWith('load') && vertices.length === 2 * VERTEX,
  );

describe('along an envelope', () => {
  test('each member has a stripe on the side of the greatest and one on that of the least values, cut where another takes over', () => {
    for (const member of drawnMembers(lintelModel, told))
      for (const [side, above] of [['max', -1], ['min', 1]] as const) {
        const expected = memberReader(solution, outcome, member.index).governed('Mz', side)!;
        const found = stripes(told)
          .filter(({ vertices }) => Math.sign(vertices[3]!) === above)
          .map(({ vertices }) => [vertices[0]! - member.x1, vertices[VERTEX]! - member.x1])
          .filter(([from, to]) => from! > -1e-9 && to! < member.length + 1e-9);
        expect(found).toEqual(expected.map(({ from, to }) => [expect.closeTo(from, 9), expect.closeTo(to, 9)]));
      }
  }); // oxfmt-ignore

  test('an outcome has one ink over the whole drawing, and its name', () => {
    const names = labels(sheetItems(lintelModel, solution, told)).filter(
      ({ ink, role }) => ink.startsWith('load') && role === 'name',
    );
    const inks = new Map(names.map(({ text, ink }) => [text, ink]));
    expect(inks.size).toBe(new Set(inks.values()).size);
    expect(names.every(({ text, ink }) => inks.get(text) === ink)).toBe(true);
    expect([...inks.keys()].every((name) => solution.outcomes.some(({ id }) => id === name))).toBe(true);
    expect(inks.size).toBeGreaterThan(1);
  });

  test('nothing is told of a case, when it is switched off, nor from far away', () => {
    const others: readonly Partial<View>[] = [{ outcome: 0 }, { governing: false }, { weight: 0.3 }];
    for (const other of others) expect(stripes({ ...told, ...other })).toEqual([]);
  });

  test('neighbours of the same name say it once', () => {
    const rib = solutionOf(ribModel);
    const all: View = { ...told, outcome: rib.outcomes.findIndex(({ kind }) => kind === 'envelope') };
    const items = sheetItems(ribModel, rib, all);
    const names = labels(items).filter(({ ink, role }) => ink.startsWith('load') && role === 'name');
    const parts = paths(items).filter(({ stroke }) => stroke?.startsWith('load'));
    expect(names.length).toBeLessThan(parts.length / 3);
  });
});

describe('at the pointer', () => {
  test('what is drawn has its value there, and who governs', () => {
    const member = drawnMembers(lintelModel, told)[0]!;
    const at = [member.x1 + 1.25, member.y1] as const;
    const { max, min, maxFrom, minFrom } = memberReader(solution, outcome, member.index).at('Mz', 1.25)!;
    const words = labels(pointedItems(lintelModel, solution, told, member.id, at)).find(({ rank }) => rank === Infinity)!.text;
    const say = (value: number, from: number): string =>
      `${value < 0 ? '−' : ''}${Number((Math.abs(value) / 1e3).toPrecision(4))} kN·m by ${solution.outcomes[from]!.id}`;
    expect(words).toBe(`${say(max, maxFrom)} · ${say(min, minFrom)}, 1.25 m from ${lintelModel.members[0]!.start}`);
    const ofCase = labels(pointedItems(lintelModel, solution, { ...told, outcome: 0 }, member.id, at));
    expect(ofCase.find(({ rank }) => rank === Infinity)!.text).toMatch(/^\S+ kN·m, 1\.25 m from /);
  });

  test('the place of a member that is nearest, and its ends where they are meant', () => {
    const member = drawnMembers(lintelModel, told)[0]!;
    expect(placeOn(member, member.x1 + 0.4, member.y1 + 3)).toBeCloseTo(0.4, 12);
    expect(placeOn(member, member.x1 - 5, 0)).toBe(0);
    const atEnd = labels(pointedItems(lintelModel, solution, told, member.id, [member.x2 - 1e-3, member.y2]));
    expect(atEnd.find(({ rank }) => rank === Infinity)!.text).toContain(`, ${Number(member.length.toPrecision(3))} m from `);
  });
});
